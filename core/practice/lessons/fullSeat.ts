import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const fullSeat: Lesson = {
  id: 'fullSeat',
  part: 'width',
  alteration: 'full-seat',
  on: 'causeway',
  pieces: ['skirtBack'],
  draw: ({ between }) => {
    const by = between(8, 20, 2);
    return { values: { by }, told: { by } };
  },
  words: {
    ...inWords({
      title: 'A fuller seat in a skirt',
      point: 'The wedge is as high as needed at the centre back, and nothing at the side.',
    }),
    task: (s) =>
      en`The skirt rides up behind: it needs ${s.both('by')} more down the centre back over the seat, none at the side. Slash across to a hinge on the side seam, and open.`,
  },
};
