import type { Words } from '../../../speech/index.ts';
import { bust } from '../../kit/phrases/namesBust.ts';

export const words = {
  names: {
    'full-bust-raglan': bust(
      'raglan',
      'The swing of a front without darts, hinged on the raglan seam line. The raglan seam keeps its length, so the sleeve is not touched.',
    ),
  },
  why: {
    'why.raglan': () => 'The front has a raglan seam: it carries the hinge, and the sleeve is not touched.',
  },
} satisfies Words;
