import { capDart as capped } from '../../paper/truing/index.ts';
import { operation, type Said } from './operation.ts';
import { findDart } from './state.ts';

interface CapDart extends Said {
  readonly dart: string;
}

export const capDart = operation<'capDart', CapDart>('capDart', {
  stage: 'true',
  summary: 'draws the mouth of a dart so that it lies on the seam when folded',
  run: ({ table, state }, { dart: id }) => {
    const dart = findDart(table, state.piece, id);
    if (dart) state.piece = capped(state.piece, dart);
  },
});
