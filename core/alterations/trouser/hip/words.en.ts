import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'trouser-hip': both(
      'Wider hip',
      'Narrower hip',
      'A quarter of the difference at each side edge at the hip line, to nothing at the waist and at the knee.',
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
    'trouserHip.match': () => 'Walk the side seams; the pocket follows the new line.',
  },
} satisfies Words;
