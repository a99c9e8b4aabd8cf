import type { Words } from '../../../speech/index.ts';
import { same } from '../../kit/phrases/names.ts';
import { en } from '../../../speech/index.ts';

export const words = {
  names: {
    'facing-follows': same(
      'Facings follow the neckline',
      'The neck facings are drawn anew on the altered pieces, as deep as they were.',
    ),
  },
  why: {
    'why.facing-follows': () => 'The neckline has facings.',
  },
  steps: {
    'facing.mark': () => 'Lay paper over the altered front and back, darts at the neck folded shut.',
    'facing.draw': (s) => en`Trace neckline, shoulder and centre, and draw the facing ${s.both('depth')} deep.`,
    'facing.match': () => 'Walk the facing along the neckline, and its shoulders along each other.',
  },
} satisfies Words;
