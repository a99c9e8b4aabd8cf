import { inWords } from '../../speech/index.ts';
import type { Sum } from './sum.ts';

/** What the front lacks: the cup of the body less the cup of the draft. */
export const bustAmount: Sum = {
  id: 'bustAmount',
  asks: 'length',
  draw: ({ between }) => {
    const high = between(800, 1000, 5);
    const draft = 50;
    const full = high + draft + between(20, 70, 5);
    const answer = full - high - draft;
    return {
      told: { high, full, draft, cup: full - high, answer },
      answer,
      slips: { cupAlone: full - high, half: answer / 2, braCup: 2 * draft },
    };
  },
  words: {
    ...inWords({
      title: 'How much more at the bust',
      slips: {
        cupAlone:
          'That is the whole difference between full and high bust. The pattern has a part of it already: take its own cup off.',
        half: 'That is for half of the front. The amount is asked over the whole of it.',
        braCup: 'A bra’s letter says nothing here: count with the two measurements.',
      },
    }),
    question: (s) =>
      `High bust ${s.len('high')}, full bust ${s.len('full')}; the pattern is drafted for a cup of ${s.len('draft')}, in the size of this high bust. How much does the whole front lack at the bust?`,
    sum: (s) =>
      `${s.len('full')} − ${s.len('high')} = ${s.len('cup')}, less the pattern’s ${s.len('draft')} = ${s.len('answer')}`,
  },
};
