import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'hip-curve': both(
      'Fuller hip curve',
      'Flatter hip curve',
      'The side seam between waist and hip drawn fuller or flatter, to nothing at both: for a high or a flat hip.',
      'around the body, where it is fullest',
    ),
  },
  why: {
    'why.hip-curve': () => 'The side seams run from the waist over the hip.',
  },
  steps: {
    'hipCurve.mark': (s) =>
      `${s.both('below')} down the side from the waist mark ${s.both('each')} beside the side seam: a quarter of the whole.`,
    'hipCurve.out': () =>
      'Draw the side seams out through the marks in one curve, to nothing at the waist and at the hip. Tape paper beside them first.',
    'hipCurve.in': () =>
      'Draw the side seams in through the marks in one curve, to nothing at the waist and at the hip.',
    'hipCurve.match': () => 'Walk the side seams; a pocket in them follows the new line.',
  },
} satisfies Words;
