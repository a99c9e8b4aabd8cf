import { en, inWords, type Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = inWords({
  names: {
    'yoke-round-back': both(
      'Round back, at the yoke seam',
      'Flat back, at the yoke seam',
      'The yoke turns about the armhole end of its seam, and the back below gets (or loses) the wedge: most at the centre back, nothing at the armhole. The yoke itself, neckline and shoulder stay as they are.',
      'at the centre back',
    ),
  },
  why: {
    'why.yoke-round-back': () => 'The back has a yoke.',
  },
  steps: {
    'yokeRound.mark': () =>
      'Pin the yoke to the back along the yoke seam line. Put another pin where that line meets the armhole seam line.',
    'yokeRound.cut': () =>
      en`Unpin the yoke from the centre back as far as the pin at the armhole; clip both allowances from outside to it. ${CUT_A_TRACING}`,
    'yokeRound.open': (s) =>
      en`Turn the yoke up about the pin until the centre back opens by ${s.both('by')}: ${s.num('degrees', 1)}°. Tape paper to the back behind the gap.`,
    'yokeRound.lap': (s) =>
      en`Turn the yoke down about the pin until it laps the back by ${s.both('by')} at the centre back: ${s.num('degrees', 1)}°.`,
    'yokeRound.true': () =>
      en`On the back, rule the centre back straight on as far as the corner of the yoke. Draw its upper edge from there, square to the centre back, in a curve to nothing at the pin. Cut the two apart: the yoke keeps its own edge.`,
    'yokeRound.pin': () => 'Smooth the armhole at the pin; its length stays.',
    'yokeRound.match': () =>
      'Walk shoulder, neckline and armhole: all three are as long as before. Ease the back into the yoke over the shoulder blade.',
  },
} satisfies Words);
