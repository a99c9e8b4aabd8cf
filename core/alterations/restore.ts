import { pathLength } from '../geometry/index.ts';
import { edgesWithRole, type Edge, type Piece } from '../pattern/index.ts';
import { restoreWidth, type Finding } from '../truing/index.ts';
import { mm } from '../units/index.ts';
import type { Instruction } from './instructions.ts';
import type { PieceState } from './state.ts';

/** Gives a waist or hem its width at the side seam: what it was before, or what is asked for. */
export function restore(
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
  const by = total(state.piece) - (step.target ?? total(state.original));
  if (!edge) return void note({ code: 'waist-not-restored', grade: 'look', data: { by } });
  const done = restoreWidth(state.piece, {
    side,
    waist: edge.id,
    target: mm(pathLength(edge.path) - by),
    shape: step.shape,
  });
  if (done.ok) state.piece = done.value.piece;
  else note({ code: 'waist-not-restored', grade: 'look', data: { by } });
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
