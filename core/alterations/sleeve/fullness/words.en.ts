import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'sleeve-fullness': both(
      'Fuller sleeve',
      'Less full sleeve',
      'Lines between the notches of the cap are pinned at its seam line and opened or lapped at the hem: the sleeve flares or is gathered, the cap still fits its armhole. Or they are cut through and opened all the way, and the head is gathered too.',
      'at the hem',
    ),
  },
  why: {
    'why.sleeve-fullness': () => 'The sleeve has a cap and a hem, and no dart in between.',
  },
  steps: {
    'fullness.mark': (s) =>
      `Draw ${s.count('lines', 'line')} down the sleeve along the grain, evenly spaced between the notches of the cap.`,
    'fullness.cut': () => `Cut each line from the hem up to a pin at the seam line of the cap. ${CUT_A_TRACING}`,
    'fullness.open': (s) =>
      `Open each line by ${s.both('gap')} at the hem, the middle strip staying where it is: the hem becomes ${s.both('by')} longer. Tape paper behind.`,
    'fullness.lap': (s) =>
      `Lap each line by ${s.both('gap')} at the hem, the middle strip staying where it is: the hem becomes ${s.both('by')} shorter.`,
    'fullness.cutThrough': () => `Cut each line right through, from the hem to the cap. ${CUT_A_TRACING}`,
    'fullness.openThrough': (s) =>
      `Move the strips apart by ${s.both('gap')} at each line, all the way down, the middle strip staying where it is: cap and hem become ${s.both('by')} longer. Tape paper behind.`,
    'fullness.lapThrough': (s) =>
      `Lap the strips by ${s.both('gap')} at each line, all the way down, the middle strip staying where it is: cap and hem become ${s.both('by')} shorter.`,
    'fullness.head': (s) =>
      Number(s.num('higher', 2)) > 0
        ? `Draw the cap again from notch to notch in one full curve, ${s.both('higher')} higher at its top; mark its top as before.`
        : 'Draw the cap again from notch to notch in one full curve; mark its top as before.',
    'fullness.gather': (s) =>
      `Gather the cap between the notches: it is ${s.num('gathers', 1)} times as long there as it was.`,
    'fullness.matchUnderarm': () =>
      'Walk the cap from the underarm to the notches, and the underarm seams of the sleeve: they are as long as before.',
    'fullness.cap': () => 'Draw the cap smoothly over the pins.',
    'fullness.hem': (s) => `Draw the hem in one curve from seam to seam: it is ${s.both('now')} long.`,
    'fullness.cuff': (s) =>
      `Gather the hem into the cuff: it is ${s.num('ratio', 1)} times as long as what it is sewn to; 1.5 to 3 times is usual.`,
    'fullness.match': () =>
      'Walk the cap along the armholes and the underarm seams of the sleeve: they are as long as before.',
  },
} satisfies Words;
