import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const shorterLeg: Lesson = {
  id: 'shorterLeg',
  part: 'trousers',
  alteration: 'leg-length',
  on: 'landing',
  pieces: ['trouserFront', 'trouserBack'],
  draw: ({ between }) => {
    const by = between(10, 40, 5);
    return { values: { by: -by, upper: 0 }, told: { by } };
  },
  words: {
    ...inWords({ title: 'A shorter leg', point: 'Taken out below the knee, the hem keeps its width.' }),
    task: (s) =>
      en`These trousers are ${s.both('by')} too long from knee to hem. Cut front and back straight across below the knee, and lap evenly.`,
  },
};
