import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const shorterBodice: Lesson = {
  id: 'shorterBodice',
  part: 'length',
  alteration: 'length-line',
  on: 'causeway',
  pieces: ['front', 'back'],
  draw: ({ between }) => {
    const by = between(8, 20, 2);
    return { values: { by: -by }, told: { by } };
  },
  words: {
    ...inWords({
      title: 'A shorter bodice',
      point: 'Even from centre to side, and both pieces alike: otherwise the side seams no longer meet.',
    }),
    task: (s) =>
      en`This bodice is ${s.both('by')} too long between bust and waist. Cut front and back straight across below the dart, and lap evenly.`,
  },
};
