import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'hip-depth': both(
      'Hip lower',
      'Hip higher',
      'The curve of the hip moves to where the body has it: the paper is spread or lapped between waist and hip, and the other way below the hip. Darts become longer or shorter with it; waist and hem stay.',
      'from waist to hip',
    ),
  },
  why: {
    'why.hip-depth': () => 'The pieces carry a waist and a hip line.',
  },
  steps: {
    'hipDepth.mark': () =>
      'On each piece that runs over the hip draw two lines square to the grain: one between waist and hip, across the darts, and one below the hip.',
    'hipDepth.cut': () => `Cut each piece along both lines. ${CUT_A_TRACING}`,
    'hipDepth.lower': (s) =>
      `Spread the upper line by ${s.both('by')} and lap the lower one by as much: the hip comes lower, the hem stays.`,
    'hipDepth.higher': (s) =>
      `Lap the upper line by ${s.both('by')} and spread the lower one by as much: the hip comes higher, the hem stays. Tape paper behind.`,
    'hipDepth.true.straight': () => 'Rule the straight seams that were cut from end to end.',
    'hipDepth.true.curve': () =>
      'Draw the curve of the hip again in one line, and the legs of the darts to their new tips.',
    'hipDepth.match': () => 'Walk the side seams; move the pocket’s notches along.',
  },
} satisfies Words;
