import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const raglanBust: Lesson = {
  id: 'raglanBust',
  part: 'bust',
  alteration: 'full-bust-raglan',
  on: 'ebb',
  pieces: ['front'],
  dart: true,
  draw: ({ between }) => {
    const total = between(24, 40, 8);
    return { values: { total }, told: { total } };
  },
  words: {
    ...inWords({
      title: 'A fuller bust under a raglan sleeve',
      point: 'Where there is no armhole the hinge lies on the seam that takes its place.',
    }),
    task: (s) =>
      en`Give the whole front ${s.both('total')} more at the bust. This piece is half of it. The hinge lies on the raglan seam. What opens in the side seam becomes a dart: draw it at the end.`,
  },
};
