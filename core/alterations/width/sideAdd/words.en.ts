import type { Words } from '../../../speech/index.ts';
import { level } from '../../kit/phrases/lengths.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'side-add': both(
      'Side seams let out',
      'Side seams taken in',
      'A quarter of the amount at each side edge at one level, to nothing at the next notch.',
      'around the body',
    ),
  },
  why: {
    'why.side-add': () => 'The pieces have side seams.',
  },
  steps: {
    'sideAdd.mark': (s) => `At the ${level(s)} mark ${s.both('each')} beside each side seam: a quarter of the whole.`,
    'sideAdd.out': () =>
      'Draw the side seams through the marks, to nothing at the next notch; draw the notches on to the new line.',
    'sideAdd.in': () =>
      'Draw the side seams in through the marks, to nothing at the next notch; draw the notches on to the new line.',
    'sideAdd.match': () => 'Walk the side seams, and what is sewn to the pieces at that level.',
  },
} satisfies Words;
