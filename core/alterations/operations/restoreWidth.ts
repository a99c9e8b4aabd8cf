import { distance, endOf, nearestLength, pathLength, pointAt } from '../../geometry/index.ts';
import { bustLineOf, edgesWithRole, requireEdge, type Edge, type Piece } from '../../pattern/index.ts';
import { edgeAfter, edgeBefore, restoreWidth as widthRestored } from '../../paper/truing/index.ts';
import { mm, TOL } from '../../units/index.ts';
import { operation, type Place, type Said } from './operation.ts';
import { note, stateFor } from './state.ts';

interface RestoreWidth extends Said {
  /** The side edge; the lower part where it has been split. */
  readonly side: string;
  readonly role: 'waist' | 'hem';
  readonly shape: 'straight' | 'curved';
  /** What was let out at the bust stays: the side is drawn in from there down. */
  readonly belowBust?: boolean;
  /** How long the waist or hem is to be, sewn, mm; left out, as long as it was before. */
  readonly target?: number;
  /** Panels whose waist or hem counts with it: what they have lost is given back here too. */
  readonly others?: readonly string[];
}

export const restoreWidth = operation<'restoreWidth', RestoreWidth>('restoreWidth', {
  stage: 'true',
  summary: 'gives a waist or hem its width at the side seam: what it was, or what is asked for',
  run: ({ table, state }, step) => {
    const side = lowerPart(state.piece, step.side, step.role);
    const edge = neighbours(state.piece, side).find((e) => e.role === step.role);
    const by = missing({ table, state }, step);
    const done = edge
      ? widthRestored(state.piece, {
          side,
          waist: edge.id,
          target: mm(pathLength(edge.path) - by),
          shape: step.shape,
          ...(step.belowBust ? { stays: downToBustLine(state.piece, side, edge) } : {}),
        })
      : null;
    if (done?.ok) state.piece = done.value.piece;
    else note(table, state, { code: 'waist-not-restored', grade: 'look', data: { by } });
  },
});

/** How much too long the waist or hem is, mm, with what the panels beside it have lost. */
function missing({ table, state }: Place, { role, target, others = [] }: RestoreWidth): number {
  const total = (piece: Piece): number => edgesWithRole(piece, role).reduce((sum, e) => sum + pathLength(e.path), 0);
  const lost = others
    .map((id) => stateFor(table, id))
    .reduce((sum, other) => sum + total(other.original) - total(other.piece), 0);
  return total(state.piece) - (target ?? total(state.original)) - lost;
}

const neighbours = (piece: Piece, edge: string): readonly Edge[] =>
  [edgeAfter(piece, edge), edgeBefore(piece, edge)].map((id) => requireEdge(piece, id));

/** How far down the side seam the tape around the bust ends, from the end away from the hem or waist; 0 where it does not. */
export function downToBustLine(piece: Piece, side: string, low: Edge): number {
  const { path } = requireEdge(piece, side);
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
export const lowerPart = (piece: Piece, side: string, role: Edge['role']): string =>
  edgesWithRole(piece, 'side').find((e) => neighbours(piece, e.id).some((x) => x.role === role))?.id ?? side;
