import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const widerHip: Lesson = {
  id: 'widerHip',
  part: 'width',
  alteration: 'hip-slash',
  on: 'causeway',
  pieces: ['skirtFront', 'skirtBack'],
  draw: ({ between }) => {
    const by = between(16, 48, 8);
    return { values: { by }, told: { by } };
  },
  words: {
    ...inWords({
      title: 'A wider hip',
      point: 'A quarter in each piece. From hip to hem it opens evenly; above, to nothing at the waist.',
    }),
    task: (s) =>
      en`The skirt needs ${s.both('by')} more around the hip; the waist stays. Half the front and half the back take a quarter each. Slash from the hem up to a hinge at the waist, and across from it at the hip to a hinge at the side.`,
  },
};
