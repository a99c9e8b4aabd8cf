import { inWords } from '../../../speech/index.ts';
import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';
import { rise } from '../../kit/phrases/trousers.ts';

export const words = inWords({
  names: {
    'crotch-length': both(
      'Longer crotch seam',
      'Shorter crotch seam',
      'Cut along the hip line from the crotch seam to a pin in the side seam and opened or lapped: behind for the seat, in front for the belly, or both.',
      'from front waist to back waist',
    ),
  },
  why: {
    'why.crotch-length': () => 'Front and back have a crotch seam and a side seam.',
  },
  steps: rise(
    'crotchLength',
    'Walk side seams and inseams. Lay the tape on edge along the whole crotch seam, from the front waist to the back waist.',
  ),
} satisfies Words);
