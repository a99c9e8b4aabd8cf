import type { Speaker, Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

/** What is done at the lines: "Spread the sleeve by 2.0 cm above the elbow and by 1.0 cm below". */
function done(s: Speaker): string {
  const [above, below] = [s.text('turnAbove'), s.text('turnBelow')];
  if (s.text('where') === 'whole') return `${VERB[above] ?? VERB['lap']} the sleeve by ${s.both('above')}`;
  if (above === 'none') return `${VERB[below] ?? VERB['lap']} the sleeve by ${s.both('below')} below the elbow`;
  const first = `${VERB[above] ?? VERB['lap']} the sleeve by ${s.both('above')} above the elbow`;
  if (below === 'none') return first;
  return `${first} and ${below === above ? '' : `${below} it `}by ${s.both('below')} below`;
}

const VERB: Readonly<Record<string, string>> = { spread: 'Spread', lap: 'Lap' };

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
    'sleeveLength.open': (s) =>
      `${done(s)}, evenly along ${s.noun('lines', 'the line', 'each line')}.${adds(s) ? ' Tape paper behind.' : ''}`,
    'sleeveLength.true.straight': () => 'Rule the underarm seams straight from end to end over the step.',
    'sleeveLength.true.curve': () => 'Draw the curved underarm seams again in one line over the step.',
    'sleeveLength.match': () =>
      'Walk the underarm seams of the sleeve: both have changed by the same. Cap and hem stay as they were.',
  },
} satisfies Words;
