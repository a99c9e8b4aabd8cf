import { inWords } from '../../speech/index.ts';
import type { Sum } from './sum.ts';

/** What is left of the ease on a body, and whether it is enough. */
export const easeLeft: Sum = {
  id: 'easeLeft',
  asks: 'length',
  draw: ({ between }) => {
    const chart = between(860, 1000, 20);
    const ease = between(50, 90, 10);
    const body = chart + between(10, 40, 5);
    const answer = chart + ease - body;
    return {
      told: { chart, ease, body, garment: chart + ease, answer },
      answer,
      slips: { allOfIt: ease, difference: body - chart },
    };
  },
  words: {
    ...inWords({
      title: 'Ease that is left',
      slips: {
        allOfIt: 'That is the ease on the body of the chart. This body is larger and uses some of it up.',
        difference: 'That is how much larger the body is than the chart’s. What is left is the ease less that.',
      },
    }),
    question: (s) =>
      `The pattern is drafted for a bust of ${s.len('chart')} and has ${s.len('ease')} of ease there. The bust measured is ${s.len('body')}. How much ease is left?`,
    sum: (s) =>
      `${s.len('chart')} + ${s.len('ease')} = ${s.len('garment')}, less ${s.len('body')} = ${s.len('answer')}`,
  },
};
