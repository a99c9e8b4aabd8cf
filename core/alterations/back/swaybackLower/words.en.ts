import type { Words } from '../../../speech/index.ts';
import { FRONT, lap, wedge } from '../../kit/phrases/back.ts';
import { same } from '../../kit/phrases/names.ts';
import { inWords } from '../../../speech/index.ts';

export const words = inWords({
  names: {
    'swayback-lower': same(
      'Swayback, between waist and hip',
      'The same fold, placed lower, where the wrinkle sits between waist and hip.',
      'at the centre back',
    ),
  },
  why: {
    'why.swayback-lower': () => 'The back runs on below the waist in one piece.',
  },
  steps: {
    ...wedge('swayLower', 'Draw a line straight across the back where the wrinkle sits, between waist and hip.', {
      lap,
      match: FRONT,
    }),
  },
} satisfies Words);
