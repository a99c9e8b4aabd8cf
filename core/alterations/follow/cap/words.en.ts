import type { Words } from '../../../speech/index.ts';
import { same } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'cap-follows': same(
      'Sleeve cap follows the armhole',
      'The cap is raised or lowered from the biceps line until each half fits its armhole with the ease it was drafted with.',
    ),
  },
  why: {
    'why.cap-follows': () => 'A sleeve is set into the armholes.',
  },
  steps: {
    'cap.mark': () => 'Draw the biceps line across the sleeve: the cap changes above it, the sleeve below stays.',
    'cap.higher': (s) =>
      `Raise the cap by ${s.both('raised')} at the top and draw both halves to the underarm, each as long as its armhole and its ease ask.`,
    'cap.lower': (s) =>
      `Lower the cap at the top (${s.signed('raised')}) and draw both halves to the underarm, each as long as its armhole and its ease ask.`,
    'cap.notches': () =>
      'Mark the notches of the cap again, each as far from the notch of its armhole as it was drafted.',
    'cap.match': () => 'Walk each half of the cap along its armhole: the ease is what was drafted.',
  },
} satisfies Words;
