import { en, inWords } from '../../../speech/index.ts';
import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = inWords({
  names: {
    'crotch-depth': both(
      'Deeper crotch',
      'Shallower crotch',
      'Front and back are cut straight across between waist and hip and spread or lapped in parallel.',
      'from waist to seat, sitting',
    ),
  },
  why: {
    'why.crotch-depth': () => 'Front and back have a crotch seam and a crotch line.',
  },
  steps: {
    'crotchDepth.mark': (s) =>
      `On front and back draw a line square to the grain, ${s.both('above')} above the hip line.`,
    'crotchDepth.cut': () => `Cut each piece in two along its line. ${CUT_A_TRACING}`,
    'crotchDepth.open': (s) =>
      `Spread each piece by ${s.both('by')}, the same all along the line, the grainline running on. Tape paper behind.`,
    'crotchDepth.lap': (s) =>
      `Lap each piece by ${s.both('by')}, the same all along the line, the grainline running on.`,
    'crotchDepth.true.curve': () =>
      'Draw crotch seam and side seam again in one line over the step, the sides of front and back equally long.',
    'crotchDepth.match': () =>
      en`Walk the side seams. Pocket and fly facing follow the longer or shorter seam. Sit down in the toile before you cut cloth.`,
  },
} satisfies Words);
