import type { AlterationDefinition } from '../contract.ts';
import { blockOf, crossWidth, fitsCross } from '../kit/crossWidth.ts';
import { choice, define, held, length } from '../kit/define.ts';

export const backWidth: AlterationDefinition = define({
  id: 'back-width',
  family: 'back',
  params: [length('by', -60, 60, 16, true), choice('way', 'slide', 'hinge')],
  requires: ['shoulder', 'armhole', 'side'],
  refusals: ['shoulder-seam-missing', 'underarm-missing'],
  examples: [
    { name: 'broader', on: 'causeway', values: { by: 16 } },
    { name: 'narrower, hinged', on: 'causeway-side', values: { by: -12, way: 'hinge' } },
  ],
  source: 'The armhole block slid out or in by half the difference, or turned about a hinge on the shoulder seam line.',
  why: 'why.back-width',
  needs: (context) => blockOf(context, 'back'),
  fits: (context) => fitsCross(context, 'back'),
  plan: (context, values) => crossWidth(context, values, 'back'),
  holds: held({ part: ['back'], role: 'shoulder' }, { part: ['back'], role: 'neck' }),
});
