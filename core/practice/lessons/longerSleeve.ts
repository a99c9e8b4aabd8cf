import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const longerSleeve: Lesson = {
  id: 'longerSleeve',
  part: 'sleeve',
  alteration: 'sleeve-length',
  on: 'causeway-long-sleeve',
  pieces: ['sleeve'],
  draw: ({ between }) => {
    const by = between(10, 30, 5);
    return { values: { by, upper: 0 }, told: { by } };
  },
  words: {
    ...inWords({
      title: 'A longer sleeve',
      point: 'Above or below the elbow, so that the elbow stays where the arm bends.',
    }),
    task: (s) =>
      en`The arm is ${s.both('by')} longer from elbow to wrist than this sleeve. Cut it straight across below the elbow, and open evenly.`,
  },
};
