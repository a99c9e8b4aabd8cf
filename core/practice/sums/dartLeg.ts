import { inWords } from '../../speech/index.ts';
import type { Sum } from './sum.ts';

/** The leg of a dart from its length down the middle and its intake. */
export const dartLeg: Sum = {
  id: 'dartLeg',
  asks: 'length',
  draw: ({ between }) => {
    const middle = between(80, 140, 10);
    const intake = between(40, 70, 10);
    const answer = Math.hypot(middle, intake / 2);
    return {
      told: { middle, intake, half: intake / 2, answer },
      answer,
      slips: { middle, wholeIntake: Math.hypot(middle, intake) },
    };
  },
  words: {
    ...inWords({
      title: 'The leg of a dart',
      slips: {
        middle: 'That is the length down its middle. The legs run slanted and are longer.',
        wholeIntake: 'Each leg leans out by half the intake only.',
      },
    }),
    question: (s) =>
      `A dart is ${s.len('middle')} long down its middle and takes up ${s.len('intake')} at the seam. How long are its legs?`,
    sum: (s) =>
      `√(${s.len('middle')}² + ${s.len('half')}²) = ${s.len('answer')}: both legs alike, or they do not sew together.`,
  },
};
