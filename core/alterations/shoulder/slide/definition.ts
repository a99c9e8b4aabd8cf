import type { AlterationDefinition } from '../../contract.ts';
import { bothShoulders } from '../../kit/bothShoulders.ts';
import { define, length } from '../../kit/define.ts';
import { outerShoulders } from '../../kit/shoulder.ts';
import { fitsShoulder, neckHolds } from '../../kit/shoulderFit.ts';
import { onOne, outward } from './layout.ts';

const BY = length('by', -30, 30, -8, true);
export const shoulderSlide: AlterationDefinition = define({
  id: 'shoulder-slide',
  family: 'shoulder',
  params: [BY],
  requires: ['shoulder', 'armhole'],
  refusals: ['shoulder-seam-missing', 'shoulder-in-sleeve', 'no-room-to-slide'],
  examples: [
    { name: 'narrow', on: 'causeway', values: { by: -10 } },
    { name: 'broad', on: 'causeway-shirt', values: { by: 8 } },
  ],
  source: 'A block cut from the middle of the shoulder and across to the armhole, slid along the shoulder.',
  why: 'why.shoulder-slide',
  needs: outerShoulders,
  reads: ['shoulder'],
  fits: fitsShoulder,
  plan: (context, values) => bothShoulders(context, values, { limits: BY, find: outerShoulders, onOne, outward }),
  holds: neckHolds,
});
