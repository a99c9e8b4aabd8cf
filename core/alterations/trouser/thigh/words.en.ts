import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';
import { onHalves } from '../../kit/phrases/trousers.ts';

export const words = {
  names: {
    thigh: both(
      'Wider thigh',
      'Narrower thigh',
      'Half of the difference at each inseam, to nothing at the knee; the crotch curve is drawn on to it.',
      'around one leg',
    ),
  },
  why: {
    'why.thigh': () => 'Front and back have an inseam.',
  },
  steps: {
    'thigh.mark': (s) =>
      `Mark the new inseam point, ${onHalves(s, 'outFront', 'outBack')} from the old one: each piece changes by ${s.both('each')} where the thigh is fullest.`,
    'thigh.out': () =>
      'Draw the crotch curve on to the mark, from nothing at the hip line, and the inseam from it to nothing at the knee. Tape paper beside it first.',
    'thigh.in': () =>
      'Draw the crotch curve to the mark, from nothing at the hip line, and the inseam from it to nothing at the knee. Trim what lies outside.',
    'thigh.match': () =>
      'Walk the inseams: both are equally long. The crotch seam has become longer or shorter with them: measure it again.',
  },
} satisfies Words;
