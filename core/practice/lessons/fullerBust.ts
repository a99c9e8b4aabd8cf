import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const fullerBust: Lesson = {
  id: 'fullerBust',
  part: 'bust',
  alteration: 'full-bust-side-dart',
  on: 'causeway',
  pieces: ['front'],
  dart: true,
  draw: ({ between }) => {
    const total = between(30, 70, 10);
    return { values: { total }, told: { total } };
  },
  words: {
    ...inWords({
      title: 'A fuller bust',
      point:
        'Half of the amount goes into each half. Open square to the line, level the centre, and let the dart end short of the bust point.',
    }),
    task: (s) =>
      en`Give the whole front ${s.both('total')} more at the bust. This piece is half of it. Slash to the bust point and on to a hinge on the armhole, from the side seam to a hinge at the bust point, and across the centre; then draw the side dart.`,
  },
};
