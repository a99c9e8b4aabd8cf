import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const broadShoulder: Lesson = {
  id: 'broadShoulder',
  part: 'shoulder',
  alteration: 'shoulder-slash',
  on: 'causeway-shirt',
  pieces: ['front', 'back'],
  draw: ({ between }) => {
    const by = between(6, 12, 2);
    return { values: { by }, told: { by } };
  },
  words: {
    ...inWords({
      title: 'A broad shoulder',
      point: 'Opened at the shoulder seam, nothing at the hinge: the armhole seam line keeps its length.',
    }),
    task: (s) =>
      en`Each shoulder is ${s.both('by')} too short. Slash front and back from the middle of the shoulder to a hinge on the armhole, and open.`,
  },
};
