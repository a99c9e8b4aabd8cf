import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'shoulder-redraw': both(
      'Broad shoulder, redrawn',
      'Narrow shoulder, redrawn',
      'The shoulder point moves along the seam and the armhole is drawn again to nothing at the notch. The armhole changes its length; the cap has to follow.',
      'on each shoulder',
    ),
  },
  why: {
    'why.shoulder-redraw': () => 'Front and back meet in a shoulder seam that ends at an armhole; the cap must follow.',
  },
} satisfies Words;
