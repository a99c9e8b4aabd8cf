import type { Words } from '../../../speech/index.ts';
import { through } from '../../kit/phrases/namesBust.ts';

export const words = {
  names: {
    'full-bust-shoulder-dart': through('shoulder'),
  },
  why: {
    'why.shoulder-dart': () =>
      'The front has a shoulder dart: the opening is turned into it, the side seam stays plain.',
  },
} satisfies Words;
