import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { same } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'neck-gape-dart': same(
      'Neckline gape, into the dart',
      'What stands away at the neckline is folded out to nothing at the bust point; the dart opens by the same turn.',
      'at the neckline',
    ),
  },
  why: {
    'why.neck-gape-dart': () => 'The front has a dart that can take what the neckline gives.',
  },
  steps: {
    'gape.mark': (s) =>
      `Draw a line from where the neckline stands away to the bust point, and the middle line of the ${s.text('dart')} dart to it.`,
    'gape.cut': () =>
      `Cut along the dart’s line to the bust point and fold along the line from the neckline; leave a thread of paper at the bust point. ${CUT_A_TRACING}`,
    'gape.fold': (s) =>
      `Fold ${s.both('by')} out at the neckline, to nothing at the bust point: the paper turns ${s.num('degrees', 1)}° and the ${s.text('dart')} dart opens by it.`,
    'gape.dart': (s) =>
      `Draw the ${s.text('dart')} dart again, wider, to its old distance from the bust point, legs equal.`,
    'gape.neck': () => 'Draw the neckline again in one curve over the fold.',
    'gape.match': (s) =>
      `Walk shoulder and side. The neckline is shorter by ${s.both('shorter')}, which is less than what was folded out unless the fold runs square to it; what is sewn to it follows.`,
  },
} satisfies Words;
