import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const dartLower: Lesson = {
  id: 'dartLower',
  part: 'dart',
  alteration: 'dart-raise',
  on: 'causeway-side',
  pieces: ['front'],
  draw: ({ between }) => {
    const by = between(10, 25, 5);
    return { values: { by: -by }, told: { by } };
  },
  words: {
    ...inWords({
      title: 'A lower side dart',
      point: 'A box moves the dart without changing it: its sides stay upright.',
    }),
    task: (s) =>
      en`The bust sits ${s.both('by')} lower than this dart. Cut a box around the dart and slide it down by as much.`,
  },
};
