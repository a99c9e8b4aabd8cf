import { en, inWords } from '../../../speech/index.ts';
import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = inWords({
  names: {
    'front-dip': both(
      'Waist lower in front',
      'Waist higher in front',
      'The waist of the front is drawn again from the amount below it at the centre front, or above it over a belly, to nothing at the side.',
      'at the centre front',
    ),
  },
  why: {
    'why.front-dip': () => 'The front ends at a waist seam.',
  },
  steps: {
    'frontDip.mark': (s) => en`Mark a point on the centre front ${s.both('by')} ${s.text('way')} the waist seam.`,
    'frontDip.true': () =>
      en`Draw the waist seam again from that point, square to the centre front, to nothing at the side. The dart keeps its tip; fold it shut and cut its end again.`,
    'frontDip.match': () =>
      en`Walk the waistband along the waist: it fits as before. The fly facing follows the centre front.`,
  },
} satisfies Words);
