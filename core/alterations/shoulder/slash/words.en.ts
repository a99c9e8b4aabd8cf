import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'shoulder-slash': both(
      'Broad shoulder, slashed',
      'Narrow shoulder, slashed',
      'The outer part of the shoulder swings about a pin on the armhole seam line until the seam is as long as wanted. The armhole keeps its length, so the sleeve still fits.',
      'on each shoulder',
    ),
  },
  why: {
    'why.shoulder-slash': () =>
      'Front and back meet in a shoulder seam that ends at an armhole; the armhole keeps its length.',
  },
} satisfies Words;
