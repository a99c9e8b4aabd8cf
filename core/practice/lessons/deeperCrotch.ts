import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const deeperCrotch: Lesson = {
  id: 'deeperCrotch',
  part: 'trousers',
  alteration: 'crotch-depth',
  on: 'landing',
  pieces: ['trouserFront', 'trouserBack'],
  draw: ({ between }) => {
    const by = between(8, 24, 4);
    return { values: { by }, told: { by } };
  },
  words: {
    ...inWords({ title: 'A deeper crotch', point: 'Both pieces alike, so that the side seams still meet.' }),
    task: (s) =>
      en`Sitting, this body is ${s.both('by')} longer from waist to chair than the trousers allow. Cut front and back straight across between waist and hip, and open evenly.`,
  },
};
