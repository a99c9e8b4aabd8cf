import type { Words } from '../../../speech/index.ts';
import { same } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'pocket-follows': same(
      'Pocket follows the side seam',
      'The opening of the pocket bag is drawn anew along the altered side seam between its notches; bag and grainline go with it.',
    ),
  },
  why: {
    'why.pocket-follows': () => 'There is a pocket in the side seam.',
  },
  steps: {
    'pocket.mark': () => 'Lay the pocket bag under the altered side seam, its notches at the notches of the opening.',
    'pocket.draw': () =>
      'Trace the seam between the notches as the new opening, and draw the bag to its ends. The grainline stays parallel to that of the skirt.',
    'pocket.match': () => 'Walk the opening of the pocket along the side seam from notch to notch.',
  },
} satisfies Words;
