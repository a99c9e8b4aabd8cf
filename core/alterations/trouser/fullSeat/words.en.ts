import { inWords } from '../../../speech/index.ts';
import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';
import { rise } from '../../kit/phrases/trousers.ts';

export const words = inWords({
  names: {
    'full-seat-trousers': both(
      'Full seat',
      'Flat seat',
      'The back alone: opened or lapped along the hip line at the centre back, and put on or taken off at the inseam point.',
      'over the seat',
    ),
  },
  why: {
    'why.full-seat-trousers': () => 'The back has a crotch seam and a side seam.',
  },
  steps: rise(
    'fullSeatTrousers',
    'Walk side seams and inseams: they match the front as before. Sit and bend in the toile before you cut cloth.',
  ),
} satisfies Words);
