import { inWords } from '../../speech/index.ts';
import type { Sum } from './sum.ts';

/** A crotch seam’s difference, shared by front and back. */
export const crotchShare: Sum = {
  id: 'crotchShare',
  asks: 'length',
  draw: ({ between }) => {
    const body = between(640, 740, 10);
    const ease = 10;
    const lacks = between(12, 36, 4);
    const pattern = body + ease - lacks;
    return {
      told: { body, ease, pattern, wanted: body + ease, lacks, answer: lacks / 2 },
      answer: lacks / 2,
      slips: { whole: lacks, quarter: lacks / 4, noEase: (body - pattern) / 2 },
    };
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
