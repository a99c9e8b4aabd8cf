import type { Words } from '../../../speech/index.ts';

export const words = {
  names: {
    'dart-setback': {
      name: 'Dart length',
      lapName: 'Dart length',
      about: 'Lengthens or shortens a dart until it ends as far from the bust point as it should.',
      over: 'from the bust point',
    },
  },
  steps: {
    'setback.mark': () => 'Mark the bust point.',
    'setback.shorter': (s) =>
      `Bring the tip of the ${s.text('dart')} dart back to ${s.both('setback')} from the bust point (it was ${s.len('was')}) and draw both legs to it, equally long.`,
    'setback.longer': (s) =>
      `Let the ${s.text('dart')} dart run on to ${s.both('setback')} from the bust point (it was ${s.len('was')}) and draw both legs to it, equally long.`,
  },
} satisfies Words;
