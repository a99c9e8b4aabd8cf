import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'armhole-depth': both(
      'Underarm higher',
      'Underarm lower',
      'The underarm moves up, down or out and is blended into the curve at the notch, alike on front, back and sleeve.',
      'at the underarm',
    ),
  },
  why: {
    'why.armhole-depth': () => 'The armhole comes down to a side seam.',
  },
  steps: {
    'underarm.mark': () => 'Mark the new underarm on front and back, and both ends of the sleeve cap.',
    'underarm.raise': (s) =>
      `Draw the armhole from ${s.both('by')} higher at the underarm, blended into the curve at the notch.`,
    'underarm.lower': (s) =>
      `Draw the armhole from ${s.both('by')} lower at the underarm, blended into the curve at the notch.`,
    'underarm.out': (s) =>
      `Draw the armhole from ${s.both('out')} farther out at the underarm, blended in at the notch.`,
    'underarm.sleeve': () => 'Do the same at both ends of the sleeve cap.',
    'underarm.cap': () => 'Fit the cap to the new armholes: raise or lower it by the little they still differ.',
    'underarm.match': () => 'Walk side seams and sleeve underarm, then the armhole along the cap.',
  },
} satisfies Words;
