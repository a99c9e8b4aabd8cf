import type { Words } from '../../../speech/index.ts';
import { en } from '../../../speech/index.ts';

export const words = {
  names: {
    'princess-apex': {
      name: 'Apex higher',
      lapName: 'Apex lower',
      about: 'Moves the fullest place of a princess seam up or down on both panels.',
      over: '',
    },
  },
  why: {
    'why.apex': () => 'The front is in two panels with an apex notch.',
  },
  steps: {
    'apex.mark': () =>
      en`Draw a box around the apex on centre front and side front, level at top and bottom, straight at the inner edge.`,
    'apex.cut': () => 'Cut both boxes out of a tracing.',
    'apex.up': (s) => `Slide both boxes up by ${s.both('by')}, straight along the grain. Tape paper behind the gap.`,
    'apex.down': (s) =>
      `Slide both boxes down by ${s.both('by')}, straight along the grain. Tape paper behind the gap.`,
    'apex.match': () => 'Walk the two princess seams against each other: apex notches must meet, lengths to 1 mm.',
  },
} satisfies Words;
