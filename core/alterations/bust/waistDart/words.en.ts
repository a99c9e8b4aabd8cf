import type { Words } from '../../../speech/index.ts';
import { bust } from '../../kit/phrases/namesBust.ts';

export const words = {
  names: {
    'full-bust-waist-dart': bust(
      'with a waist dart',
      'The side swings as usual; what opens at the side is closed again and hangs in the waist dart, which grows by it.',
    ),
  },
  why: {
    'why.waist-dart': () => 'The front has a waist dart and none at the side: it takes what opens.',
  },
} satisfies Words;
