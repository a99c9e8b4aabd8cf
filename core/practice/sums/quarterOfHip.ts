import { inWords } from '../../speech/index.ts';
import { lackingOf } from './lacking.ts';
import type { Sum } from './sum.ts';

/** All round the hip, shared by four seam edges. */
export const quarterOfHip: Sum = {
  id: 'quarterOfHip',
  asks: 'length',
  draw: ({ between }) => {
    const [body, lacks] = [between(960, 1120, 10), between(16, 48, 8)];
    return lackingOf({ body, ease: 40, lacks }, 4, { half: lacks / 2 });
  },
  words: {
    ...inWords({
      title: 'A quarter at each side',
      slips: {
        whole: 'That is what is missing all round. Two fronts and two backs share it.',
        half: 'That would be for two pieces. Half a front and half a back are four edges at the sides.',
        noEase: 'The ease was forgotten: the skirt must be wider than the body.',
      },
    }),
    question: (s) =>
      `Hip ${s.len('body')}, ease wanted ${s.len('ease')}; the skirt measures ${s.len('pattern')} around the hip. By how much does each of the four side edges move out?`,
    sum: (s) =>
      `${s.len('body')} + ${s.len('ease')} = ${s.len('wanted')}, less ${s.len('pattern')} = ${s.len('lacks')}; ÷ 4 = ${s.len('answer')}`,
  },
};
