import type { Speaker, Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

/** What is done at one of the lines: "spread by 1.0 cm above the elbow"; nothing where nothing is. */
function part(s: Speaker, key: 'above' | 'below'): readonly string[] {
  const turn = s.text(key === 'above' ? 'turnAbove' : 'turnBelow');
  if (turn === 'none') return [];
  return [`${turn} the sleeve by ${s.both(key)}${s.text('where') === 'whole' ? '' : ` ${key} the elbow`}`];
}

function done(s: Speaker): string {
  const all = [...part(s, 'above'), ...part(s, 'below')].join(', and ');
  return `${all.charAt(0).toUpperCase()}${all.slice(1)}, the same all along the line, its middle running on.`;
}

const WHERE: Readonly<Record<string, string>> = {
  above: 'between underarm and elbow',
  below: 'between elbow and wrist',
  both: 'one between underarm and elbow, one between elbow and wrist',
};

const adds = (s: Speaker): boolean => s.text('turnAbove') === 'spread' || s.text('turnBelow') === 'spread';

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
    'sleeveLength.open': (s) => `${done(s)}${adds(s) ? ' Tape paper behind.' : ''}`,
    'sleeveLength.true.straight': () => 'Rule the underarm seams straight from end to end over the step.',
    'sleeveLength.true.curve': () => 'Draw the curved underarm seams again in one line over the step.',
    'sleeveLength.match': () =>
      'Walk the underarm seams of the sleeve: both have changed by the same. Cap and hem stay as they were.',
  },
} satisfies Words;
