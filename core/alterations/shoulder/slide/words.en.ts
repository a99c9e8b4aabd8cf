import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'shoulder-slide': both(
      'Broad shoulder, block slid',
      'Narrow shoulder, block slid',
      'The upper armhole is cut out as a block and slid along the shoulder; the armhole is blended below it.',
      'on each shoulder',
    ),
  },
  why: {
    'why.shoulder-slide': () => 'Front and back meet in a shoulder seam that ends at an armhole.',
  },
} satisfies Words;
