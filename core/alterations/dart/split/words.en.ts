import type { Words } from '../../../speech/index.ts';

export const words = {
  names: {
    'dart-split': {
      name: 'Dart in two',
      lapName: 'Dart in two',
      about: 'Two narrower darts side by side in place of one that is too wide to press flat.',
      over: 'goes to the second',
    },
  },
  steps: {
    'split.mark': (s) =>
      `Draw a line to the bust point from a place ${s.both('apart')} beside the ${s.text('dart')} dart on the same seam.`,
    'split.turn': (s) => `Fold ${s.num('share')} % of the dart shut: the new line opens by as much.`,
  },
} satisfies Words;
