import type { Words } from '../../../speech/index.ts';
import { through } from '../../kit/phrases/namesBust.ts';

export const words = {
  names: {
    'full-bust-neck-dart': through('neck'),
  },
  why: {
    'why.neck-dart': () => 'The front has a neck dart: the opening is turned into it, the side seam stays plain.',
  },
} satisfies Words;
