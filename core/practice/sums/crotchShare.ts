import { inWords } from '../../speech/index.ts';
import { lackingOf } from './lacking.ts';
import type { Sum } from './sum.ts';

/** A crotch seam’s difference, shared by front and back. */
export const crotchShare: Sum = {
  id: 'crotchShare',
  asks: 'length',
  draw: ({ between }) => {
    const [body, lacks] = [between(640, 740, 10), between(12, 36, 4)];
    return lackingOf({ body, ease: 10, lacks }, 2, { quarter: lacks / 4 });
  },
  words: {
    ...inWords({
      title: 'A share of the crotch seam',
      slips: {
        whole: 'That is for front and back together. Each piece gets half.',
        quarter: 'Front and back are two pieces of one seam, not four: the left and right legs have one each.',
        noEase: 'The ease was forgotten.',
      },
    }),
    question: (s) =>
      `Crotch length ${s.len('body')}, ease ${s.len('ease')}; the crotch seams of front and back together measure ${s.len('pattern')}. Front and back share what is missing. By how much do you open each?`,
    sum: (s) =>
      `${s.len('body')} + ${s.len('ease')} = ${s.len('wanted')}, less ${s.len('pattern')} = ${s.len('lacks')}; ÷ 2 = ${s.len('answer')}`,
  },
};
