import { define } from '../../kit/define.ts';
import { longBack, SWAY, SWAY_COMMON, SWAY_REFUSALS, swayProgram } from '../../kit/sway.ts';

/** Folded out across at the waist: all of it at the centre back, nothing at the side. */
export const swaybackFold = define({
  ...SWAY_COMMON,
  id: 'swayback-fold',
  params: [SWAY],
  requires: ['centreBack', 'side', 'hem'],
  refusals: SWAY_REFUSALS,
  examples: [
    { name: 'on the fold', on: 'causeway-side', values: { by: 15 } },
    { name: 'with a centre back seam', on: 'causeway-french', values: { by: 12 } },
  ],
  source: 'Excess folded out across the back at the waist, to nothing at a hinge on the side seam line.',
  why: 'why.swayback-fold',
  grade: 'best',
  needs: longBack,
  plan: (context, values) => swayProgram(context, values, 'sway', 0),
});
