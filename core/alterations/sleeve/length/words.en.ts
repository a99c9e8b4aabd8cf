import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { inParts, spreads } from '../../kit/phrases/lengths.ts';
import { both } from '../../kit/phrases/names.ts';

const WHERE: Readonly<Record<string, string>> = {
  above: 'between underarm and elbow',
  below: 'between elbow and wrist',
  both: 'one between underarm and elbow, one between elbow and wrist',
};

export const words = {
  names: {
    'sleeve-length': both(
      'Longer sleeve',
      'Shorter sleeve',
      'The sleeve is cut across above and below the elbow, and each part is spread or lapped by its own difference. Cap and hem stay as they are; an elbow dart goes with its part.',
    ),
  },
  why: {
    'why.sleeve-length': () => 'There is a set-in sleeve with a cap, two underarm seams and a hem.',
  },
  steps: {
    'sleeveLength.mark': (s) =>
      `Draw ${s.count('lines', 'line')} across the sleeve, square to its middle, ${WHERE[s.text('where')] ?? 'between underarm and hem'}.`,
    'sleeveLength.cut': (s) =>
      `Cut the sleeve in two along ${s.noun('lines', 'the line', 'each line')}. ${CUT_A_TRACING}`,
    'sleeveLength.open': (s) =>
      `${inParts(s, 'the sleeve', 'elbow')}, evenly along ${s.noun('lines', 'the line', 'each line')}.${spreads(s) ? ' Tape paper behind.' : ''}`,
    'sleeveLength.true.straight': () => 'Rule the underarm seams straight from end to end over the step.',
    'sleeveLength.true.curve': () => 'Draw the curved underarm seams again in one line over the step.',
    'sleeveLength.match': () =>
      'Walk the underarm seams of the sleeve: both have changed by the same. Cap and hem stay as they were.',
  },
} satisfies Words;
