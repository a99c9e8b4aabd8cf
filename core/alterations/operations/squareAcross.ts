import { redrawAcross } from '../../paper/truing/index.ts';
import { operation, type Said } from './operation.ts';

interface SquareAcross extends Said {
  readonly role: 'waist' | 'hem';
}

export const squareAcross = operation<'squareAcross', SquareAcross>('squareAcross', {
  stage: 'true',
  summary: 'draws a hem or waist in one piece again, square to the centre and to the side',
  run: ({ state }, { role }) => {
    state.piece = redrawAcross(state.piece, role);
  },
});
