import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const swayback: Lesson = {
  id: 'swayback',
  part: 'back',
  alteration: 'swayback-fold',
  on: 'causeway-side',
  pieces: ['back'],
  draw: ({ between }) => {
    const by = between(8, 20, 2);
    return { values: { by }, told: { by } };
  },
  words: {
    ...inWords({
      title: 'A swayback',
      point: 'To nothing at the side: the side seam keeps its length and still fits the front.',
    }),
    task: (s) =>
      en`This back is ${s.both('by')} too long down its centre at the waist, and right at the side. Slash across at the waist to a hinge on the side seam, and lap.`,
  },
};
