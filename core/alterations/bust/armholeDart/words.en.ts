import type { Words } from '../../../speech/index.ts';
import { through } from '../../kit/phrases/namesBust.ts';

export const words = {
  names: {
    'full-bust-armhole-dart': through('armhole'),
  },
  why: {
    'why.armhole-dart': () =>
      'The front has an armhole dart: the opening is turned into it, the side seam stays plain.',
  },
} satisfies Words;
