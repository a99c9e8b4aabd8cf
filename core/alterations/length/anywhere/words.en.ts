import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'length-anywhere': both(
      'Longer at a line of your own',
      'Shorter at a line of your own',
      'A line anywhere, so far from the underarm, the notch or the lower end of the side seam: every piece it crosses is cut there and spread or lapped in parallel. For more lines take the step again, each with its own amount.',
      '',
    ),
  },
  why: {
    'why.length-anywhere': () => 'Any piece with a side seam will do; no line has to be marked on it.',
  },
} satisfies Words;
