import type { Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';
import { en } from '../../../speech/index.ts';

export const words = {
  names: {
    'facing-width': both(
      'Facing wider',
      'Facing narrower',
      'The free edge of the facings is moved, whether they are cut on or sewn on; seams and folds stay where they are.',
      'in width',
    ),
  },
  why: {
    'why.facing-width': () => 'There is a facing.',
  },
  steps: {
    'facingWidth.mark': (s) =>
      `Mark the new edge of the facing, ${s.both('by')} from the old one: it is then ${s.both('width')} wide.`,
    'facingWidth.draw': (s) =>
      en`Trace neckline, shoulder and centre of the piece it faces, and draw the facing ${s.both('width')} deep.`,
    'facingWidth.edge': () =>
      'Fold the facing under along its fold line, trace neckline and hem through, and draw its free edge through the mark.',
    'facingWidth.match': () => 'Walk the facing along the neckline: its seams are as they were.',
  },
} satisfies Words;
