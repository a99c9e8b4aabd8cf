import type { Words } from '../../../speech/index.ts';

export const words = {
  names: {
    'dart-ease': {
      name: 'Dart into ease or gathers',
      lapName: 'Dart into ease or gathers',
      about: 'A dart is left unsewn and drawn up in the seam it opens in.',
      over: '',
    },
  },
  steps: {
    'ease.mark': (s) => `Cross out the legs of the ${s.text('dart')} dart.`,
    'ease.dart': (s) => `Put a notch on the seam at both sides of it: between them ${s.both('intake')} is eased in.`,
    'gather.dart': (s) => `Put a notch on the seam at both sides of it: between them ${s.both('intake')} is gathered.`,
    'ease.match': () =>
      'Walk the seam against its partner: it is longer by what is eased in, and meets it at the notches.',
    'gather.match': () =>
      'Walk the seam against its partner: it is longer by what is gathered, and meets it at the notches.',
  },
} satisfies Words;
