import { en, inWords } from '../../speech/index.ts';
import type { Lesson } from '../lesson.ts';

export const smallerBust: Lesson = {
  id: 'smallerBust',
  part: 'bust',
  alteration: 'full-bust-side-dart',
  on: 'causeway',
  pieces: ['front'],
  dart: true,
  draw: ({ between }) => {
    const total = between(12, 20, 4);
    return { values: { total: -total }, told: { total } };
  },
  words: {
    ...inWords({
      title: 'A smaller bust',
      point: 'Lapping is opening backwards: the same hinges, and the centre goes up instead of down.',
    }),
    task: (s) =>
      en`Take ${s.both('total')} out of the whole front at the bust. This piece is half of it. The same three lines as for a fuller bust, lapped instead of opened; then draw the side dart.`,
  },
};
