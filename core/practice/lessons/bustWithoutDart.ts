import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const bustWithoutDart: Lesson = {
  id: 'bustWithoutDart',
  part: 'bust',
  alteration: 'full-bust-no-dart',
  on: 'causeway-shirt',
  pieces: ['front'],
  dart: true,
  draw: ({ between }) => {
    const total = between(30, 50, 10);
    return { values: { total }, told: { total } };
  },
  words: {
    ...inWords({
      title: 'A fuller bust on a front without a dart',
      point: 'The slash makes the dart: nothing has to be invented.',
    }),
    task: (s) =>
      en`Give the whole front of this shirt ${s.both('total')} more at the bust. This piece is half of it. What opens in the side seam becomes a dart: draw it at the end.`,
  },
};
