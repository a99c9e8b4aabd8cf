import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';
import { en } from '../../../speech/index.ts';

export const words = {
  names: {
    'hip-slash': both(
      'Hip wider, slashed',
      'Hip narrower, slashed',
      'The skirt is slashed from the hem to a pin at the waist and across to a pin at the side, and spread evenly from hip to hem. Waist and side seam keep their lengths.',
      'around the hip',
    ),
  },
  why: {
    'why.hip-slash': () => 'There is a skirt with a waist and a hip level.',
  },
  steps: {
    'hip.mark': () =>
      'Draw a line from the hem straight up to the waist seam line, between dart and side, and another from it across to the side at hip level. Pins on the waist and on the side seam line.',
    'hip.cut': () => `Cut from the hem up to the pin at the waist, and across to the pin at the side. ${CUT_A_TRACING}`,
    'hip.open': (s) =>
      `Open the upright line by ${s.both('each')} at hip level and let the part below hang straight: the same from hip to hem. Tape paper behind.`,
    'hip.lap': (s) =>
      `Lap the upright line by ${s.both('each')} at hip level and let the part below hang straight: the same from hip to hem.`,
    'hip.hem': () => en`Level the hem: draw it square to the centre and to the side.`,
    'hip.side': () => 'Smooth the side seam at the pin; its length stays.',
    'hip.match': () => 'Walk side seams and waist: they are as long as before.',
  },
} satisfies Words;
