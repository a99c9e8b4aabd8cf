import type { Words } from '../../../speech/index.ts';
import { FRONT, lap, wedge } from '../../kit/phrases/back.ts';
import { same } from '../../kit/phrases/names.ts';
import { inWords } from '../../../speech/index.ts';

export const words = inWords({
  names: {
    'swayback-fold': same(
      'Swayback, folded at the waist',
      'What pools above the seat is folded out across the back at the waist: all of it at the centre back, nothing at the side. The side seam keeps its length and the front needs nothing.',
      'at the centre back',
    ),
  },
  why: {
    'why.swayback-fold': () => 'The back runs on below the waist in one piece.',
  },
  steps: {
    ...wedge('sway', 'Draw a line straight across the back at the waist, from the centre back to the side seam.', {
      lap,
      match: FRONT,
    }),
  },
} satisfies Words);
