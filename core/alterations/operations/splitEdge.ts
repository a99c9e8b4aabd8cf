import { pathLength } from '../../geometry/index.ts';
import { requireEdge, seamsAfterSplit, splitEdge as splitAt } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';
import { operation, type Said } from './operation.ts';

interface SplitEdge extends Said {
  readonly edge: string;
  /** Arc length from its start, mm. */
  readonly at: number;
}

export const splitEdge = operation<'splitEdge', SplitEdge>('splitEdge', {
  stage: 'true',
  summary: 'divides an edge where a change along it is to begin',
  run: ({ table, state }, { edge, at }) => {
    const size = pathLength(requireEdge(state.piece, edge).path);
    if (at <= TOL.shortEdge || at >= size - TOL.shortEdge) return;
    const split = splitAt(state.piece, edge, at);
    state.piece = split.piece;
    table.seams = seamsAfterSplit(table.seams, state.piece.id, split);
  },
});
