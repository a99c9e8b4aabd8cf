import type { Words } from '../../../speech/index.ts';
import { bust } from '../../kit/phrases/namesBust.ts';
import { inWords } from '../../../speech/index.ts';

export const words = inWords({
  names: {
    'full-bust-princess-armhole': bust(
      'princess from the armhole',
      'The side front opens along its princess seam; the opening at the side is closed into that seam. The centre front is lengthened by the same amounts, so that both seams still meet.',
    ),
  },
  why: {
    'why.princess-armhole': () => 'The front is in two panels whose seam begins at the armhole.',
  },
} satisfies Words);
