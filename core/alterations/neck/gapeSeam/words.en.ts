import type { Words } from '../../../speech/index.ts';
import { same } from '../../kit/phrases/names.ts';
import { en } from '../../../speech/index.ts';

export const words = {
  names: {
    'neck-gape-seam': same(
      'Neckline gape, pinned at a seam',
      'What stands away at the neckline is taken out of a seam, from the pinned amount to nothing over a length.',
      'over both sides of the seam',
    ),
  },
  why: {
    'why.neck-gape-seam': () => 'Front and back meet in a shoulder seam at the neck.',
  },
  steps: {
    'pinned.mark': (s) =>
      `Mark how much was pinned: ${s.both('by')} over both sides of the seam, running out to nothing over ${s.both('over')}.`,
    'pinned.shoulder': (s) =>
      `Take it from the neck end of both shoulders and draw each seam to nothing over ${s.len('over')}; share it so that both stay equally long.`,
    'pinned.centre': (s) =>
      en`Take half of it, ${s.both('each')}, from the centre back at the neck and draw the seam to nothing over ${s.len('over')}.`,
    'pinned.neck': () => 'Square the neckline to the seam again.',
    'pinned.match': () => 'Walk shoulders and neckline; band or facing lose what the neckline lost.',
  },
} satisfies Words;
