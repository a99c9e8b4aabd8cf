import { restoreNeck as neckRestored } from '../../paper/truing/index.ts';
import { operation, type Said } from './operation.ts';

interface RestoreNeck extends Said {
  readonly by: number;
  readonly reach: number;
}

export const restoreNeck = operation<'restoreNeck', RestoreNeck>('restoreNeck', {
  stage: 'true',
  summary: 'puts the neckline back after the upper back has turned',
  run: ({ state }, { by, reach }) => {
    state.piece = neckRestored(state.original, state.piece, by, reach);
  },
});
