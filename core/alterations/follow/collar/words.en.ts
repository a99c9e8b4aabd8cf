import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { same } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'collar-follows': same(
      'Collar follows',
      'The collar loses or gains what the stand, or the neckline it is sewn to, did.',
    ),
  },
  why: {
    'why.collar-follows': () => 'There is a collar.',
  },
  steps: {
    'collarFollows.mark': () => 'Draw a line straight across the collar in the middle of its half.',
    'collarFollows.cut': () => `Cut the collar across. ${CUT_A_TRACING}`,
    'collarFollows.lap': (s) => `Lap it until half the collar is shorter by what it loses (${s.signed('by')}).`,
    'collarFollows.open': (s) =>
      `Spread it until half the collar is longer by what it gains (${s.signed('by')}). Tape paper behind.`,
    'collarFollows.match': () => 'Walk the collar along the edge it is sewn to.',
  },
} satisfies Words;
