import type { Words } from '../../../speech/index.ts';
import { same } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'pocket-follows': same(
      'Pocket and fly follow their seam',
      'The opening of a pocket bag or fly facing is drawn anew along the altered seam between its notches; the rest of it and the grainline go with it.',
    ),
  },
  why: {
    'why.pocket-follows': () => 'There is a pocket or a fly in a seam.',
  },
  steps: {
    'pocket.mark': () =>
      'Lay the pocket bag or the fly facing under the altered seam, its notches at the notches of the opening.',
    'pocket.draw': () =>
      'Trace the seam between the notches as the new opening, and draw the rest to its ends. The grainline stays parallel to that of the piece it is sewn to.',
    'pocket.match': () => 'Walk the opening along the seam from notch to notch.',
  },
} satisfies Words;
