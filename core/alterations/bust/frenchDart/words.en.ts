import type { Words } from '../../../speech/index.ts';
import { through } from '../../kit/phrases/namesBust.ts';

export const words = {
  names: {
    'full-bust-french-dart': through('French'),
  },
  why: {
    'why.french-dart': () => 'The front has a French dart low in the side seam: the opening is turned into it.',
  },
} satisfies Words;
