import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const narrowShoulder: Lesson = {
  id: 'narrowShoulder',
  part: 'shoulder',
  alteration: 'shoulder-slash',
  on: 'causeway',
  pieces: ['front', 'back'],
  draw: ({ between }) => {
    const by = between(6, 14, 2);
    return { values: { by: -by }, told: { by } };
  },
  words: {
    ...inWords({ title: 'A narrow shoulder', point: 'Front and back together: two shoulders are sewn to each other.' }),
    task: (s) =>
      en`Each shoulder is ${s.both('by')} too long. Slash front and back from the middle of the shoulder to a hinge on the armhole, and lap.`,
  },
};
