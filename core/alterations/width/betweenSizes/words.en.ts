import type { Speaker, Words } from '../../../speech/index.ts';
import { same } from '../../kit/phrases/names.ts';

/** Said where the seams between panels take their share of a grade. */
const shared = (s: Speaker): string =>
  Number(s.num('edges')) > 1
    ? ` The side takes one share of ${s.num('edges')}; the seams between the panels take the others.`
    : '';

export const words = {
  names: {
    'grade-between-sizes': same(
      'From one size to another',
      'The side seams run on the pattern’s own sizes: one at the bust, another at the waist, another at the hip. Front and back stay equally long.',
    ),
  },
  why: {
    'why.grade-between-sizes': () => 'The pattern has several sizes drawn inside each other.',
  },
  steps: {
    'grade.mark': (s) =>
      `Start from size ${s.text('from')} at the bust. Mark where size ${s.text('waist')} lies at the waist${s.text('hip') === s.text('waist') ? '' : ` and size ${s.text('hip')} at the hip`}.${shared(s)}`,
    'grade.waist': (s) =>
      `Draw the side seam from nothing at the underarm (below a dart: from its lower leg) to size ${s.text('waist')} at the waist, as long as before.`,
    'grade.side': (s) =>
      `Draw the side seam from nothing at the underarm over size ${s.text('waist')} at the waist to size ${s.text('hip')} at the hem, as long as before.`,
    'grade.skirt': (s) =>
      `Draw the side seam of the skirt from size ${s.text('waist')} at the waist to size ${s.text('hip')} at the hip and on to the hem.`,
    'grade.match': () =>
      'Walk the side seams, front along back, and the waist seam. Notches have gone straight across to the new line.',
  },
} satisfies Words;
