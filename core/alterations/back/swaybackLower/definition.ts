import { define, length } from '../../kit/define.ts';
import { longBack, SWAY, SWAY_COMMON, SWAY_REFUSALS, swayProgram } from '../../kit/sway.ts';
import { numberOf } from '../../engine/values.ts';

/** The wrinkle sits between waist and hip: the line is cut and lapped there. */
export const swaybackLower = define({
  ...SWAY_COMMON,
  id: 'swayback-lower',
  params: [SWAY, length('belowWaist', 20, 120, 60)],
  requires: ['centreBack', 'side', 'hem'],
  refusals: SWAY_REFUSALS,
  examples: [
    { name: 'on the fold', on: 'causeway-shirt', values: { by: 15 } },
    { name: 'with a centre back seam', on: 'causeway-french', values: { by: 12, belowWaist: 70 } },
  ],
  source: 'The slash placed between waist and hip and lapped, to nothing at the side, where the wrinkle sits lower.',
  why: 'why.swayback-lower',
  needs: longBack,
  plan: (context, values) => swayProgram(context, values, 'swayLower', numberOf(values, 'belowWaist')),
});
