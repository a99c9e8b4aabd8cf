import type { Rigid } from '../../geometry/index.ts';
import { drawYokeEdge } from '../../paper/truing/index.ts';
import { operation, type Said } from './operation.ts';

interface DrawYoke extends Said {
  /** How the yoke has moved. */
  readonly turn: Rigid;
}

export const drawYoke = operation<'drawYoke', DrawYoke>('drawYoke', {
  stage: 'true',
  summary: 'draws the edge below a yoke that has turned, and puts the yoke seam where the yoke now ends',
  run: ({ state }, { turn }) => {
    state.piece = drawYokeEdge(state.original, state.piece, turn);
  },
});
