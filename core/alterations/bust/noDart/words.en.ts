import type { Words } from '../../../speech/index.ts';
import { bust } from '../../kit/phrases/namesBust.ts';

export const words = {
  names: {
    'full-bust-no-dart': bust(
      'without darts',
      'The same swing on a front without darts. What opens at the side is kept as a new dart, let down to the hem, or, when it is little, eased in.',
    ),
  },
  why: {
    'why.no-dart': () => 'The front has no dart and a set-in armhole to hinge on.',
  },
} satisfies Words;
