import { en, inWords } from '../../../speech/index.ts';
import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { same } from '../../kit/phrases/names.ts';

export const words = inWords({
  names: {
    'waistband-follows': same(
      'Waistband follows the waist',
      'The waistband loses or gains what the waist did, at its front and at its back; the overlap stays.',
    ),
  },
  why: {
    'why.waistband-follows': () => 'The waist has a waistband.',
  },
  steps: {
    'waistbandFollows.mark': () =>
      'Draw a line straight across the waistband in the middle of its front and of its back.',
    'waistbandFollows.cut': () => `Cut the waistband across. ${CUT_A_TRACING}`,
    'waistbandFollows.lap': (s) => `Lap it until half the waistband is shorter by what it loses (${s.signed('by')}).`,
    'waistbandFollows.open': (s) =>
      `Spread it until half the waistband is longer by what it gains (${s.signed('by')}). Tape paper behind.`,
    'waistbandFollows.match': () =>
      en`Walk the waistband along the waist, darts shut, from the centre front to the centre back.`,
  },
} satisfies Words);
