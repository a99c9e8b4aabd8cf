import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'front-width': both(
      'Broad front',
      'Narrow front',
      'The armhole block of the front moves out (or in) by half the difference; the shoulder keeps its length.',
      'across the front',
    ),
  },
  why: {
    'why.front-width': () => 'The front has an armhole between shoulder and side.',
  },
} satisfies Words;
