import type { Point } from '../../geometry/index.ts';
import { carryEdge } from '../../paper/truing/index.ts';
import { operation, type Said } from './operation.ts';

interface MoveEdge extends Said {
  readonly edge: string;
  /** How far its start and its end move, mm. */
  readonly start: Point;
  readonly end: Point;
}

export const moveEdge = operation<'moveEdge', MoveEdge>('moveEdge', {
  stage: 'true',
  summary: 'moves a whole edge, each end by its own shift; its neighbours are drawn to it',
  run: ({ state }, { edge, start, end }) => {
    state.piece = carryEdge(state.piece, edge, start, end);
  },
});
