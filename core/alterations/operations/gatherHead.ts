import { gatheredHead, type Head } from '../../paper/truing/index.ts';
import { operation, type Said } from './operation.ts';

export const gatherHead = operation<'gatherHead', Said & Head>('gatherHead', {
  stage: 'true',
  summary: 'draws the head of a sleeve again between two places of its cap, its top higher, to be gathered',
  run: ({ state }, { fromStart, fromEnd, higher }) => {
    state.piece = gatheredHead(state.piece, { fromStart, fromEnd, higher });
  },
});
