import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { inParts, spreads } from '../../kit/phrases/lengths.ts';
import { both } from '../../kit/phrases/names.ts';

const WHERE: Readonly<Record<string, string>> = {
  above: 'a hand’s breadth above the knee',
  below: 'half-way between the knee and the hem',
  both: 'one a hand’s breadth above the knee, one half-way between the knee and the hem',
};

export const words = {
  names: {
    'leg-length': both(
      'Longer leg',
      'Shorter leg',
      'Front and back are cut across above and below the knee, and each part is spread or lapped by its own difference. The hem keeps its width.',
    ),
  },
  why: {
    'why.leg-length': () => 'Front and back have a side seam, an inseam and a hem.',
  },
  steps: {
    'legLength.mark': (s) =>
      `Draw ${s.count('lines', 'line')} across front and back, square to the grain, ${WHERE[s.text('where')] ?? WHERE['both']}.`,
    'legLength.cut': (s) => `Cut each piece in two along ${s.noun('lines', 'its line', 'each line')}. ${CUT_A_TRACING}`,
    'legLength.open': (s) =>
      `${inParts(s, 'each piece', 'knee')}, evenly along ${s.noun('lines', 'the line', 'each line')}.${spreads(s) ? ' Tape paper behind.' : ''}`,
    'legLength.true.curve': () => 'Draw side seams and inseams again in one line over the step.',
    'legLength.match': () =>
      'Walk side seams and inseams: front and back have changed by the same. The hem is as wide as before.',
  },
} satisfies Words;
