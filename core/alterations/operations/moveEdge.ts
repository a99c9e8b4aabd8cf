import type { Point } from '../../geometry/index.ts';
import { carryEdge, type Swing } from '../../paper/truing/index.ts';
import { loweredUnderarm } from '../../pattern/index.ts';
import { operation, type Said } from './operation.ts';

interface MoveEdge extends Said {
  readonly edge: string;
  /** How far its start and its end move, mm. */
  readonly start: Point;
  readonly end: Point;
  /** What one of its ends moves besides, run out on the way. */
  readonly swing?: Swing;
  /** How far this takes the underarm of the paper below that of the body, mm; nothing where it goes with the body. */
  readonly underarm?: number;
}

export const moveEdge = operation<'moveEdge', MoveEdge>('moveEdge', {
  stage: 'true',
  summary: 'moves a whole edge, each end by its own shift; its neighbours are drawn to it',
  run: ({ state }, { edge, start, end, swing, underarm = 0 }) => {
    state.piece = loweredUnderarm(carryEdge(state.piece, edge, start, end, swing), underarm);
  },
});
