import { en, inWords, type Speaker, type Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

/** Less than a millimetre nobody eases in. */
const easeOf = (s: Speaker): string =>
  Number(s.num('ease', 1)) < 1
    ? 'The upper edge of the back is as long as the yoke’s, to less than a millimetre.'
    : `The upper edge of the back is ${s.len('ease')} longer than the yoke’s: ease it in over the shoulder blade.`;

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
    'yokeRound.mark': () => 'Put a pin where the yoke seam line meets the armhole seam line.',
    'yokeRound.cut': () =>
      en`Unpin the yoke from the centre back as far as the pin at the armhole; clip both allowances from outside to it. ${CUT_A_TRACING}`,
    'yokeRound.open': (s) =>
      en`Turn the yoke up about the pin until the centre back opens by ${s.both('by')}: ${s.num('degrees', 1)}°. Tape paper to the back behind the gap.`,
    'yokeRound.lap': (s) =>
      en`Turn the yoke down about the pin until it laps the back by ${s.both('by')} at the centre back: ${s.num('degrees', 1)}°.`,
    'yokeRound.true': () =>
      en`On the back, rule the centre back straight on as far as the corner of the yoke. Draw its upper edge from there, square to the centre back, in a curve to nothing at the pin. The yoke keeps its own edge.`,
    'yokeRound.pin': () => 'Smooth the armhole at the pin; its length stays.',
    'yokeRound.match': (s) => `Walk shoulder, neckline and armhole: all three are as long as before. ${easeOf(s)}`,
  },
} satisfies Words);
