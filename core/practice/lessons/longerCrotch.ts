import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const longerCrotch: Lesson = {
  id: 'longerCrotch',
  part: 'trousers',
  alteration: 'crotch-length',
  on: 'landing',
  pieces: ['trouserFront', 'trouserBack'],
  draw: ({ between }) => {
    const by = between(16, 32, 8);
    return { values: { by }, told: { by } };
  },
  words: {
    ...inWords({ title: 'A longer crotch seam', point: 'Half in front, half behind, and nothing at the side.' }),
    task: (s) =>
      en`The crotch seam is ${s.both('by')} too short; front and back share it. Slash each along the hip line from the crotch seam to a hinge on the side seam, and open.`,
  },
};
