import { sub, unit } from '../../../geometry/index.ts';
import type { AlterationDefinition } from '../../contract.ts';
import { bothShoulders } from '../../kit/bothShoulders.ts';
import { define, length } from '../../kit/define.ts';
import { cutPlace, shouldersOrOverarms } from '../../kit/shoulder.ts';
import { armholeHolds, fitsShoulder, neckHolds } from '../../kit/shoulderFit.ts';
import { onOne } from './layout.ts';

const BY = length('by', -45, 45, -8, true);
export const shoulderSlash: AlterationDefinition = define({
  id: 'shoulder-slash',
  family: 'shoulder',
  params: [BY],
  requires: ['shoulder'],
  refusals: ['shoulder-seam-missing', 'shoulder-in-sleeve', 'shoulder-too-short', 'slash-leaves-armhole'],
  examples: [
    { name: 'narrow', on: 'causeway', values: { by: -10 } },
    { name: 'broad', on: 'causeway-shirt', values: { by: 8 } },
    { name: 'in panels', on: 'skerry-shoulder', values: { by: -10 } },
    { name: 'with a cut-on sleeve', on: 'causeway-cut-on', values: { by: -10 } },
  ],
  source: 'Slash from the middle of the shoulder to a hinge on the armhole seam line at notch height.',
  why: 'why.shoulder-slash',
  grade: 'best',
  needs: shouldersOrOverarms,
  reads: ['shoulder'],
  fits: fitsShoulder,
  plan: (context, values) =>
    bothShoulders(context, values, {
      limits: BY,
      find: shouldersOrOverarms,
      onOne,
      outward: (on) => unit(sub(on.shoulderPoint, cutPlace(on))),
    }),
  holds: (before, after) => [...neckHolds(before, after), ...armholeHolds(before, after)],
});
