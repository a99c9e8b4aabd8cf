import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { same } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'band-follows': same(
      'Band follows the neckline',
      'The band loses or gains what the neckline did, times the share of the neckline it was drafted with.',
    ),
  },
  why: {
    'why.band-follows': () => 'The neckline has a band.',
  },
  steps: {
    'bandFollows.mark': (s) =>
      `The band is ${s.num('percent')} % of the neckline. Draw a line straight across it in the middle of each part.`,
    'bandFollows.cut': () => `Cut the band across. ${CUT_A_TRACING}`,
    'bandFollows.lap': (s) => `Lap it until half the band is shorter by what it loses (${s.signed('by')}).`,
    'bandFollows.open': (s) =>
      `Spread it until half the band is longer by what it gains (${s.signed('by')}). Tape paper behind.`,
    'bandFollows.match': () => 'Walk the band along the neckline, stretched as it will be sewn.',
  },
} satisfies Words;
