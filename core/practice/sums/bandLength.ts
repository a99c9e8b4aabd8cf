import { inWords } from '../../speech/index.ts';
import type { Sum } from './sum.ts';

/** A knit neckband by its ratio. */
export const bandLength: Sum = {
  id: 'bandLength',
  asks: 'length',
  draw: ({ between }) => {
    const half = between(220, 300, 10);
    const answer = 2 * half * 0.85;
    return {
      told: { half, whole: 2 * half, answer },
      answer,
      slips: { ofHalf: half * 0.85, takenOff: 2 * half * 0.15, uncut: 2 * half },
    };
  },
  words: {
    ...inWords({
      title: 'A neckband from jersey',
      slips: {
        ofHalf: 'That is for half of the neckline: front and back halves were measured once.',
        takenOff: 'That is what the band is shorter by. The band is the rest.',
        uncut: 'As long as the neckline it would stand off: jersey is sewn in stretched.',
      },
    }),
    question: (s) =>
      `The seam line of half a neckline, front and back together, measures ${s.len('half')}. The band is to be 85 % of the whole neckline. How long is its seam line?`,
    sum: (s) => `2 × ${s.len('half')} = ${s.len('whole')}; × 0.85 = ${s.len('answer')}`,
  },
};
