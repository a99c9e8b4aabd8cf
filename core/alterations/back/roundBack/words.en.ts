import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { pin, panels, pinned, falls, seamLine, neckBack, walked } from '../../kit/phrases/back.ts';
import { same } from '../../kit/phrases/names.ts';
import { en, inWords } from '../../../speech/index.ts';

export const words = inWords({
  names: {
    'round-back': same(
      'High round back',
      'The back is slashed across a little below the neck and the neck raised at the centre back, nothing at the armhole. Neckline, shoulder and armhole keep their lengths.',
      'at the centre back',
    ),
  },
  why: {
    'why.round-back': () => 'The back has neck, shoulder and armhole.',
  },
  steps: {
    'round.mark': (s) =>
      en`Draw a line straight across the back a little below the neck, from the centre back to the ${pinned(s)}.${panels(s, `the ${pinned(s)}`)} Put a pin where it meets the ${seamLine(s)}.`,
    'round.cut': (s) => en`Cut along the line from the centre back to the ${pinned(s)}, ${pin}. ${CUT_A_TRACING}`,
    'round.open': (s) =>
      en`Turn the upper part up about the pin until the centre back opens by ${s.both('by')}: ${s.num('degrees', 1)}°.${falls(s)} Tape paper behind the gap.`,
    'round.true.fold': (s) => en`Rule the centre back straight up the fold${neckBack(s)}`,
    'round.true.seam': () => en`Keep the curve in the centre back seam and smooth it.`,
    'round.true.pin': (s) => `Smooth the ${pinned(s)} at the pin; its length stays.`,
    'round.match': (s) => walked(s),
  },
} satisfies Words);
