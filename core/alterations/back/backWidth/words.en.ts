import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'back-width': both(
      'Broad back',
      'Narrow back',
      'The armhole block of the back moves out (or in) by half the difference; the shoulder keeps its length.',
      'across the back',
    ),
  },
  why: {
    'why.back-width': () => 'The back has an armhole between shoulder and side.',
  },
} satisfies Words;
