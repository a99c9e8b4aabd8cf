import { pathLength } from '../../geometry/index.ts';
import { fairRun } from '../../paper/truing/index.ts';
import { replaceEdge, requireEdge, type Piece } from '../../pattern/index.ts';
import { operation, type Place, type Said } from './operation.ts';
import { stateFor } from './state.ts';

/** The second place is counted from the start or from the end, as is known before a slash changes the edge's length. */
type Fair = Said & {
  readonly edge: string;
  readonly from: number;
  readonly free?: boolean;
  /** How long the whole edge is to be, mm; left out, as long as it was. */
  readonly length?: number;
  /** An edge of another piece drawn before: this one becomes as much longer or shorter as that has. */
  readonly like?: { readonly piece: string; readonly edge: string };
} & ({ readonly to: number; readonly toFromEnd?: never } | { readonly toFromEnd: number; readonly to?: never });

export const fair = operation<'fair', Fair>('fair', {
  stage: 'true',
  summary: 'draws an edge between two places as one smooth curve',
  run: ({ table, state }, step) => {
    const path = requireEdge(state.piece, step.edge).path;
    const size = pathLength(path);
    const end = step.to ?? size - step.toFromEnd;
    const faired = fairRun(path, step.from, end, step.length ?? lengthLike({ table, state }, step) ?? !step.free);
    const grown = pathLength(faired) - size;
    // What lies beyond the redrawn part keeps its place from the far end, what lies on it its share of it.
    const [from, to] = [Math.max(0, step.from), Math.min(size, end)];
    const placed = (at: number): number =>
      at <= from ? at : at >= to ? at + grown : from + ((at - from) * (to + grown - from)) / (to - from);
    const marks = state.piece.marks.map((m) =>
      m.kind === 'notch' && m.edge === step.edge ? { ...m, at: placed(m.at) } : m,
    );
    state.piece = { ...replaceEdge(state.piece, step.edge, faired), marks };
  },
});

/** How long an edge is to be that changes with another's; undefined where it goes by itself. */
function lengthLike({ table, state }: Place, { edge, like }: Fair): number | undefined {
  if (!like) return undefined;
  const other = stateFor(table, like.piece);
  const size = (piece: Piece, id: string): number => pathLength(requireEdge(piece, id).path);
  return size(state.original, edge) + size(other.piece, like.edge) - size(other.original, like.edge);
}
