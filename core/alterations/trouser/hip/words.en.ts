import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'trouser-hip': both(
      'Wider hip',
      'Narrower hip',
      'A quarter of the difference at each side edge at the hip line, to nothing at the waist and at the knee; or slashed, and as much down to the hem.',
      'around the hip',
    ),
  },
  why: {
    'why.trouser-hip': () => 'The trousers have side seams and a hip line.',
  },
  steps: {
    'trouserHip.mark': (s) => `At the hip line mark ${s.both('each')} beside each side seam: a quarter of the whole.`,
    'trouserHip.out': () =>
      'Draw the side seams out through the marks in one line, to nothing at the waist and at the knee. Tape paper beside them first.',
    'trouserHip.in': () =>
      'Draw the side seams in through the marks in one line, to nothing at the waist and at the knee.',
    'trouserHip.slash.mark': () =>
      'On front and back draw a line from the hem up to the hip line and on to the waist seam line, between dart and side, and another from it along the hip line to the side. Pins on the waist and on the side seam line.',
    'trouserHip.slash.cut': () =>
      `Cut from the hem up to the pin at the waist, and along the hip line to the pin at the side. ${CUT_A_TRACING}`,
    'trouserHip.slash.open': (s) =>
      `Open the line by ${s.both('each')} at the hip and let the leg below it hang straight: as much wider from hip to hem. Tape paper behind.`,
    'trouserHip.slash.lap': (s) =>
      `Lap the line by ${s.both('each')} at the hip and let the leg below it hang straight: as much narrower from hip to hem.`,
    'trouserHip.slash.hem': () => 'Level the hem: rule it square to the grain, from the inseam to the side.',
    'trouserHip.slash.side': () =>
      'Smooth the side seam at the pin, and make front and back equally long there at the hem.',
    'trouserHip.slash.match': () =>
      'Walk side seams, inseams and waist; the pocket follows the side. The waist has moved a little at the side: measure the crotch depth again.',
    'trouserHip.match': () => 'Walk the side seams; the pocket follows the new line.',
  },
} satisfies Words;
