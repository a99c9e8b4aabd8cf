import { distance, endOf, nearestLength, pathLength, pointAt } from '../../geometry/index.ts';
import { bustLineOf, edgesWithRole, requireEdge, type Edge, type Piece } from '../../pattern/index.ts';
import { restoreWidth, type Finding } from '../../paper/truing/index.ts';
import { mm, TOL } from '../../units/index.ts';
import type { Instruction } from '../instructions.ts';
import { stateFor, type PieceState, type TableState } from './state.ts';

/** Gives a waist or hem its width at the side seam: what it was before, or what is asked for. */
export function restore(
  table: TableState,
  state: PieceState,
  step: Extract<Instruction, { op: 'restoreWidth' }>,
  note: (f: Omit<Finding, 'piece'>) => void,
): void {
  const total = (piece: Piece): number =>
    edgesWithRole(piece, step.role).reduce((sum, e) => sum + pathLength(e.path), 0);
  const side = lowerPart(state.piece, step.side, step.role);
  const n = state.piece.edges.length;
  const i = state.piece.edges.findIndex((e) => e.id === side);
  const edge = [state.piece.edges[(i + 1) % n], state.piece.edges[(i + n - 1) % n]].find((e) => e?.role === step.role);
  const lost = (step.others ?? [])
    .map((id) => stateFor(table, id))
    .reduce((sum, other) => sum + total(other.original) - total(other.piece), 0);
  const by = total(state.piece) - (step.target ?? total(state.original)) - lost;
  if (!edge) return void note({ code: 'waist-not-restored', grade: 'look', data: { by } });
  const done = restoreWidth(state.piece, {
    side,
    waist: edge.id,
    target: mm(pathLength(edge.path) - by),
    shape: step.shape,
    ...(step.belowBust ? { stays: downToBustLine(state.piece, side, edge) } : {}),
  });
  if (done.ok) state.piece = done.value.piece;
  else note({ code: 'waist-not-restored', grade: 'look', data: { by } });
}

/** How far down the side seam the tape around the bust ends, from the end away from the hem or waist; 0 where it does not. */
function downToBustLine(piece: Piece, side: string, low: Edge): number {
  const path = requireEdge(piece, side).path;
  const line = bustLineOf(piece);
  const ends = [line[0]?.from, line.at(-1)?.to].flatMap((p) => p ?? []);
  const end = ends.find((p) => distance(p, pointAt(path, nearestLength(path, p))) < TOL.touches);
  if (!end) return 0;
  const along = nearestLength(path, end);
  const corners = [low.path.start, endOf(low.path)];
  const startsLow = corners.some((c) => distance(c, path.start) < TOL.meets);
  return startsLow ? pathLength(path) - along : along;
}

/** Of a side in several parts, the one that meets the hem or waist. */
function lowerPart(piece: Piece, side: string, role: Edge['role']): string {
  const n = piece.edges.length;
  const meets = piece.edges.find(
    (e, i) =>
      e.role === 'side' && [piece.edges[(i + 1) % n], piece.edges[(i + n - 1) % n]].some((x) => x?.role === role),
  );
  return meets?.id ?? side;
}
