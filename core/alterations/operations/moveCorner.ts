import type { Point } from '../../geometry/index.ts';
import { drawCorner, type CornerReach } from '../../paper/truing/index.ts';
import { operation, type Said } from './operation.ts';

interface MoveCorner extends Said {
  /** The two edges that meet in it, either way round. */
  readonly between: readonly [string, string];
  readonly to: Point;
  readonly reach?: CornerReach;
}

export const moveCorner = operation<'moveCorner', MoveCorner>('moveCorner', {
  stage: 'true',
  summary: 'moves a corner and draws the two edges that meet in it again, from nothing at their reach',
  run: ({ state }, { between, to, reach }) => {
    state.piece = drawCorner(state.piece, between, to, reach);
  },
});
