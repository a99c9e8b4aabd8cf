import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'forward-shoulder': both(
      'Forward shoulder',
      'Shoulder seam back',
      'The shoulder seam moves forward: the sliver taken from the front is joined to the back as it is. Nothing is lost or gained; the cap’s notch moves by the same.',
      'at the shoulder end',
    ),
  },
  why: {
    'why.forward-shoulder': () => 'Front and back share a shoulder seam that can lie elsewhere.',
  },
  steps: {
    'forward.mark': (s) =>
      Number(s.num('neck', 1)) === 0
        ? `Draw the new seam from the old neck point to ${s.both('by')} down the armhole.`
        : `Draw the new seam: ${s.both('neck')} from the old one along the neckline, ${s.both('by')} along the armhole.`,
    'forward.cut': () => `Cut the sliver between the two lines off the front. ${CUT_A_TRACING}`,
    'forward.cut.back': () => `Cut the sliver between the two lines off the back. ${CUT_A_TRACING}`,
    'forward.join': () =>
      'Lay the sliver against the shoulder seam of the back, darts shut, seam line to seam line, and tape it: nothing is trimmed.',
    'forward.join.back': () =>
      'Lay the sliver against the shoulder seam of the front, seam line to seam line, and tape it: nothing is trimmed.',
    'forward.cap': (s) =>
      `Move the shoulder notch of the sleeve cap by ${s.both('by')} the same way; the cap itself stays.`,
    'forward.match': () => 'Walk the new shoulders, the armholes along the cap from the moved notch, and the facings.',
  },
} satisfies Words;
