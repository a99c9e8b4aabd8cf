import type { AlterationDefinition } from '../contract.ts';
import { blockOf, crossWidth, fitsCross } from '../kit/crossWidth.ts';
import { choice, define, held, length } from '../kit/define.ts';

export const frontWidth: AlterationDefinition = define({
  id: 'front-width',
  family: 'back',
  params: [length('by', -60, 60, 16, true), choice('way', 'slide', 'hinge')],
  requires: ['shoulder', 'armhole', 'side'],
  refusals: ['shoulder-seam-missing', 'underarm-missing'],
  examples: [
    { name: 'broader', on: 'causeway', values: { by: 16 } },
    { name: 'narrower, hinged', on: 'causeway-shirt', values: { by: -10, way: 'hinge' } },
  ],
  source: 'The armhole block slid out or in by half the difference, or turned about a hinge on the shoulder seam line.',
  why: 'why.front-width',
  needs: (context) => blockOf(context, 'front'),
  fits: (context) => fitsCross(context, 'front'),
  plan: (context, values) => crossWidth(context, values, 'front'),
  holds: held({ part: ['front'], role: 'shoulder' }, { part: ['front'], role: 'neck' }),
});
