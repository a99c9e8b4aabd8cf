import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const roundBack: Lesson = {
  id: 'roundBack',
  part: 'back',
  alteration: 'round-back',
  on: 'causeway',
  pieces: ['back'],
  draw: ({ between }) => {
    const by = between(8, 20, 2);
    return { values: { by }, told: { by } };
  },
  words: {
    ...inWords({ title: 'A round back', point: 'The armhole keeps its length: the hinge lies on its seam line.' }),
    task: (s) =>
      en`This back needs ${s.both('by')} more down its centre, between nape and shoulder blades. Slash across the blades to a hinge on the armhole, and open.`,
  },
};
