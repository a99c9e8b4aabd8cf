import { inWords } from '../../speech/index.ts';
import type { Sum } from './sum.ts';

/** The whole amount, and what of it goes into one half. */
export const halfOfFront: Sum = {
  id: 'halfOfFront',
  asks: 'length',
  draw: ({ between }) => {
    const total = between(20, 80, 4);
    return { told: { total, answer: total / 2 }, answer: total / 2, slips: { whole: total, quarter: total / 4 } };
  },
  words: {
    ...inWords({
      title: 'Half of the front',
      slips: {
        whole: 'That is for the whole front. The piece is cut twice, or on the fold: each half gets half.',
        quarter: 'Halved once too often: the amount is the front’s alone, and the front has two halves.',
      },
    }),
    question: (s) =>
      `The whole front lacks ${s.len('total')} at the bust. By how much do you open the slash on the front piece, which is half of it?`,
    sum: (s) => `${s.len('total')} ÷ 2 = ${s.len('answer')}`,
  },
};
