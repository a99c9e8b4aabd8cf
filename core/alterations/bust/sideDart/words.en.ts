import type { Words } from '../../../speech/index.ts';
import { bust } from '../../kit/phrases/namesBust.ts';

export const words = {
  names: {
    'full-bust-side-dart': bust(
      'with a side dart',
      'Gives the front more (or less) room at the bust without touching neck, shoulder or armhole. The side swings about a hinge on the armhole seam line; the side dart takes up what opens.',
    ),
  },
  why: {
    'why.side-dart': () => 'The front has a dart in its side seam: what opens goes straight into it.',
  },
} satisfies Words;
