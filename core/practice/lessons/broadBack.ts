import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const broadBack: Lesson = {
  id: 'broadBack',
  part: 'back',
  alteration: 'back-width',
  on: 'causeway',
  pieces: ['back'],
  draw: ({ between }) => {
    const by = between(8, 20, 4);
    return { values: { by }, told: { by } };
  },
  words: {
    ...inWords({ title: 'A broader back', point: 'The block goes out level: shoulder and armhole keep their shape.' }),
    task: (s) =>
      en`The whole back is ${s.both('by')} too narrow across. This piece is half of it. Cut a block out beside the armhole, from the shoulder down and across to the side, and slide it out.`,
  },
};
