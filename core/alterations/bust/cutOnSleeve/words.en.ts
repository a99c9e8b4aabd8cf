import type { Words } from '../../../speech/index.ts';
import { bust } from '../../kit/phrases/namesBust.ts';

export const words = {
  names: {
    'full-bust-cut-on-sleeve': bust(
      'with a cut-on sleeve',
      'Sleeve and body are one piece: the side hinges on the underarm curve, and a second hinge on the overarm lets the sleeve swing, so that the front need not drop far.',
    ),
  },
  why: {
    'why.cut-on': () => 'The sleeve is cut in one with the front: it hinges under the arm and on the overarm.',
  },
} satisfies Words;
