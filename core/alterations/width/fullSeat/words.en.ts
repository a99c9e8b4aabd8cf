import type { Words } from '../../../speech/index.ts';
import { falls, wedge } from '../../kit/phrases/back.ts';
import { same } from '../../kit/phrases/names.ts';
import { en, inWords } from '../../../speech/index.ts';

export const words = inWords({
  names: {
    'full-seat': same(
      'Full seat',
      'A wedge across the seat: the amount at the centre back, nothing at the side.',
      'at the centre back',
    ),
  },
  why: {
    'why.full-seat': () => 'The back reaches over the seat.',
  },
  steps: {
    ...wedge('seat', 'Draw a line straight across the back over the seat, from the centre back to the side seam.', {
      open: (s) =>
        en`Open the line about the pin until the centre back is ${s.both('by')} longer: ${s.num('degrees', 1)}°.${falls(s)} Tape paper behind the gap.`,
      match: 'Walk the side seam along the front: it has kept its length. The waist is as wide as before.',
    }),
  },
} satisfies Words);
