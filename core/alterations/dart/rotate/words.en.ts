import type { Words } from '../../../speech/index.ts';
import { seam } from '../../kit/phrases/darts.ts';

export const words = {
  names: {
    'dart-rotate': {
      name: 'Dart to another place',
      lapName: 'Dart to another place',
      about: 'Turns a dart, wholly or in part, about the bust point to any other seam, or into a dart that is there.',
      over: 'of the dart',
    },
  },
  steps: {
    'rotate.mark': (s) =>
      `Draw a line from the bust point to the new place on the ${seam(s)}. Draw the legs of the ${s.text('dart')} dart on to the bust point.`,
    'rotate.mark.into': (s) =>
      `Draw the legs of the ${s.text('dart')} dart, and of the dart it is turned into, on to the bust point.`,
    'rotate.cut': () =>
      'Cut along the new line to the bust point, leaving a thread of paper, and along one leg of the old dart. Cut a tracing, never your only original.',
    'rotate.turn.whole': (s) =>
      `Fold the ${s.text('dart')} dart shut: the paper turns ${s.num('degrees', 1)}° about the bust point and the new place opens.`,
    'rotate.turn.part': (s) =>
      `Fold ${s.num('share')} % of the ${s.text('dart')} dart shut: the paper turns ${s.num('degrees', 1)}° about the bust point and the new place opens.`,
    'rotate.dart': (s) =>
      `Draw the new dart: its tip ${s.both('setback')} from the bust point, then sideways until both legs are equal.`,
    'rotate.darts': (s) =>
      `Draw both darts: their tips ${s.both('setback')} from the bust point, then sideways until their legs are equal.`,
  },
} satisfies Words;
