import type { Words } from '../../../speech/index.ts';
import { en, inWords } from '../../../speech/index.ts';

export const words = inWords({
  names: {
    'princess-line': {
      name: 'Into a princess line',
      lapName: 'Into a princess line',
      about:
        'Cuts a front with a waist dart and one other dart into centre front and side front; both darts become the seam.',
      over: '',
    },
  },
  why: {
    'why.princessLine': () => 'A waist dart and another dart can become one seam over the bust.',
  },
  steps: {
    'princessLine.mark': () =>
      'Draw a line from the armhole to the bust point where the seam is to run, and draw the legs of both darts on to the bust point.',
    'princessLine.turn': (s) =>
      `Cut along the line to the bust point and fold the ${s.text('dart')} dart shut: the armhole opens.`,
    'princessLine.divide': () =>
      en`Cut along the legs, from the armhole over the bust point to the waist: centre front and side front. Round off the corner at the bust point on both.`,
    'princessLine.match': () =>
      'Walk the two princess seams against each other from the notch both ways. Add seam allowance to both edges.',
  },
} satisfies Words);
