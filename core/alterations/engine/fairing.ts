import { pathLength } from '../../geometry/index.ts';
import { replaceEdge, requireEdge, type Piece } from '../../pattern/index.ts';
import { fairRun } from '../../paper/truing/index.ts';
import type { Instruction } from '../instructions.ts';
import { stateFor, type PieceState, type TableState } from './state.ts';

type FairRun = Extract<Instruction, { op: 'fairRun' }>;

/** Draws part of an edge again as one smooth curve; its notches go with it. */
export function runFair(table: TableState, state: PieceState, step: FairRun): void {
  const path = requireEdge(state.piece, step.edge).path;
  const end = 'to' in step ? step.to : pathLength(path) - step.toFromEnd;
  const faired = fairRun(path, step.from, end, step.length ?? lengthLike(table, state, step) ?? !step.free);
  const grown = pathLength(faired) - pathLength(path);
  // What lies beyond the redrawn part keeps its place from the far end, what lies on it its share of it.
  const [from, to] = [Math.max(0, step.from), Math.min(pathLength(path), end)];
  const placed = (at: number): number =>
    at <= from ? at : at >= to ? at + grown : from + ((at - from) * (to + grown - from)) / (to - from);
  const marks = state.piece.marks.map((m) =>
    m.kind === 'notch' && m.edge === step.edge ? { ...m, at: placed(m.at) } : m,
  );
  state.piece = { ...replaceEdge(state.piece, step.edge, faired), marks };
}

/** How long an edge is to be that changes with another's; undefined where it goes by itself. */
function lengthLike(table: TableState, state: PieceState, { edge, like }: FairRun): number | undefined {
  if (!like) return undefined;
  const other = stateFor(table, like.piece);
  const size = (piece: Piece, id: string): number => pathLength(requireEdge(piece, id).path);
  return size(state.original, edge) + size(other.piece, like.edge) - size(other.original, like.edge);
}
