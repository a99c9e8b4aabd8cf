import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const fullUpperArm: Lesson = {
  id: 'fullUpperArm',
  part: 'sleeve',
  alteration: 'upper-arm',
  on: 'causeway',
  pieces: ['sleeve'],
  trues: 'cap',
  draw: ({ between }) => {
    const by = between(16, 36, 4);
    return { values: { by }, told: { by } };
  },
  words: {
    ...inWords({
      title: 'A full upper arm',
      point: 'Four hinges: cap, hem and both underarms. The cap drops as the sleeve opens.',
    }),
    task: (s) =>
      en`The sleeve needs ${s.both('by')} more around the upper arm. Slash it down the middle with hinges at both ends, and across from underarm to underarm with hinges there; pull it open. Then draw the cap anew, as high as it was.`,
  },
};
