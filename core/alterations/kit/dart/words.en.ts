import type { Words } from '../../../speech/index.ts';

export const words = {
  why: {
    'why.dart': () => 'There is a dart to work on.',
  },
  steps: {
    'dart.cap': (s) =>
      `Fold the ${s.text('dart')} dart closed as it will be pressed and trim along the seam, to give it its shaped end.`,
    'dart.match': () =>
      'Walk the seams the darts lie in against their partners, darts closed: lengths and notches must meet.',
  },
} satisfies Words;
