import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const longerBodice: Lesson = {
  id: 'longerBodice',
  part: 'length',
  alteration: 'length-line',
  on: 'causeway',
  pieces: ['front', 'back'],
  draw: ({ between }) => {
    const by = between(8, 30, 2);
    return { values: { by }, told: { by } };
  },
  words: {
    ...inWords({ title: 'A longer bodice', point: 'The strip between is as high at the side as at the centre.' }),
    task: (s) =>
      en`This bodice is ${s.both('by')} too short between bust and waist. Cut front and back straight across below the dart, and open evenly.`,
  },
};
