import { en } from '../../speech/index.ts';
import type { Sum } from './sum.ts';
import { samplePattern } from '../../blocks/index.ts';

/** The chart the sizes are read from: high and full bust of one size after another, mm. */
const CHART = samplePattern('causeway').chart.map((r) => ({ high: r.body.highBust ?? 0, full: r.body.fullBust ?? 0 }));

/** By the high bust, though the full bust would say a larger one. */
export const startingSize: Sum = {
  id: 'startingSize',
  asks: 'size',
  draw: ({ between }) => {
    const i = between(1, 5, 1);
    const [below, row, above] = [CHART[i - 1], CHART[i], CHART[i + 1]].map((r) => r ?? { high: 0, full: 0 }) as [
      { high: number; full: number },
      { high: number; full: number },
      { high: number; full: number },
    ];
    const high = row.high + between(-10, 10, 5);
    const full = above.full + between(-5, 15, 5);
    return {
      told: {
        ...{ high, full, size: i + 1, one: i, two: i + 1, three: i + 2 },
        ...{
          high1: below.high,
          high2: row.high,
          high3: above.high,
          full1: below.full,
          full2: row.full,
          full3: above.full,
        },
      },
      answer: i + 1,
      slips: { byFullBust: i + 2 },
    };
  },
  words: {
    title: 'The size to start from',
    question: (s) =>
      `High bust ${s.len('high')}, full bust ${s.len('full')}. The chart: size ${s.num('one')} high bust ${s.len('high1')}, bust ${s.len('full1')}; size ${s.num('two')} high bust ${s.len('high2')}, bust ${s.len('full2')}; size ${s.num('three')} high bust ${s.len('high3')}, bust ${s.len('full3')}. Which size of this bodice do you start from?`,
    sum: (s) =>
      `The nearest high bust: ${s.len('high')} is nearest to ${s.len('high2')}, size ${s.num('size')}. The bust is altered afterwards.`,
    slips: {
      get byFullBust() {
        return en`That is the size by the full bust: neck, shoulders and armholes would be too large, and they are the hardest to change. Take the high bust.`;
      },
    },
  },
};
