import type { Words } from '../../../speech/index.ts';

export const words = {
  names: {
    'dart-cut-away': {
      name: 'Dart cut away',
      lapName: 'Dart cut away',
      about: 'A wide dart is cut open along its legs and sewn like a seam.',
      over: 'allowance',
    },
  },
  steps: {
    'cutAway.mark': (s) =>
      `Mark the legs of the ${s.text('dart')} dart as stitching lines. It takes up ${s.len('intake')}: too much to fold flat.`,
    'cutAway.dart': (s) =>
      `Draw cutting lines ${s.both('allowance')} inside both legs and cut the middle out; clip to within a thread of the tip after sewing.`,
  },
} satisfies Words;
