import { TOL } from '../../units/index.ts';
import type { AlterationDefinition } from '../contract.ts';
import { define, held, length } from '../kit/define.ts';
import { BELOW_NECK, upperBackOf, upperBackTurn } from '../kit/upperBack.ts';
import { numberOf } from '../values.ts';

export const flatUpperBack: AlterationDefinition = define({
  id: 'flat-upper-back',
  family: 'back',
  params: [length('by', 0, 40, 10), length('belowNeck', 60, 140, BELOW_NECK)],
  requires: ['centreBack', 'neck', 'shoulder', 'armhole'],
  refusals: ['back-not-found', 'shoulder-seam-missing', 'line-off-piece', 'wedge-too-large'],
  examples: [
    { name: 'with a centre back seam', on: 'causeway', values: { by: 10 } },
    { name: 'on the fold', on: 'causeway-side', values: { by: 8 } },
  ],
  source: 'Excess between neck and shoulder blade folded out along the line of the high round back.',
  why: 'why.flat-upper-back',
  needs: upperBackOf,
  plan: (context, values) =>
    upperBackTurn(context, -numberOf(values, 'by'), numberOf(values, 'belowNeck'), 'flatBack', 40),
  holds: held(
    { part: ['back'], role: 'neck', slack: TOL.seam },
    { part: ['back'], role: 'shoulder' },
    { part: ['back'], role: 'armhole', slack: 1 },
    { part: ['back'], role: 'side' },
  ),
});
