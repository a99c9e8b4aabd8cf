import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const neckIntoDart: Lesson = {
  id: 'neckIntoDart',
  part: 'dart',
  alteration: 'neck-gape-dart',
  on: 'causeway',
  pieces: ['front'],
  draw: ({ between }) => {
    const by = between(6, 12, 2);
    return { values: { by }, told: { by } };
  },
  words: {
    ...inWords({
      title: 'A gaping neckline into the dart',
      point: 'What one slash laps, the other opens: the dart takes up what the neckline loses.',
    }),
    task: (s) =>
      en`The neckline stands off by ${s.both('by')} on this half. Slash from the middle of the neckline to the bust point, and along the middle of the side dart to a hinge there; lap the neckline by as much.`,
  },
};
