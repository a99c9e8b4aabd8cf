import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { pin, panels, pinned, falls, seamLine, neckBack, walked } from '../../kit/phrases/back.ts';
import { same } from '../../kit/phrases/names.ts';
import { en, inWords } from '../../../speech/index.ts';

export const words = inWords({
  names: {
    'flat-upper-back': same(
      'Flat upper back',
      'What folds between neck and shoulder blades is taken out across the upper back, nothing at the armhole.',
      'at the centre back',
    ),
  },
  why: {
    'why.flat-upper-back': () => 'The back has neck, shoulder and armhole.',
  },
  steps: {
    'flatBack.mark': (s) =>
      en`Draw a line straight across the back through the fold of cloth, from the centre back to the ${pinned(s)}.${panels(s, `the ${pinned(s)}`)} Put a pin where it meets the ${seamLine(s)}.`,
    'flatBack.cut': (s) => en`Cut along the line from the centre back to the ${pinned(s)}, ${pin}. ${CUT_A_TRACING}`,
    'flatBack.lap': (s) =>
      en`Turn the upper part down about the pin until the centre back laps by ${s.both('by')}: ${s.num('degrees', 1)}°.${falls(s)}`,
    'flatBack.true.fold': (s) => en`Rule the centre back straight along the fold${neckBack(s)}`,
    'flatBack.true.seam': () => en`Smooth the bend in the centre back seam.`,
    'flatBack.true.pin': (s) => `Smooth the ${pinned(s)} at the pin; its length stays.`,
    'flatBack.match': (s) => walked(s),
  },
} satisfies Words);
