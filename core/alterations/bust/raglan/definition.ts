import { define } from '../../kit/define.ts';
import type { AlterationDefinition } from '../../contract.ts';
import { findFront, type BustHow } from '../../kit/bust/front.ts';
import { BUST_PARAMS, BUST_REFUSALS, pick, suggestSetback } from '../../kit/bust/params.ts';
import { bustProgram } from '../../kit/bust/program.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import { suits } from '../../kit/bust/suits.ts';

const HOW: BustHow = { hinge: 'raglan', dart: 'either' };

export const fullBustRaglan: AlterationDefinition = define({
  id: 'full-bust-raglan',
  family: 'bust',
  params: [
    ...pick('total', 'ending', 'whose', 'bustPoint'),
    { ...BUST_PARAMS.hinge, initial: 0.7 },
    ...pick('hingePoint', 'below', 'setback', 'newBustPoint', 'waistWidth'),
  ],
  amount: 'total',
  requires: ['centreFront', 'raglan', 'side'],
  refusals: [
    ...BUST_REFUSALS,
    'raglan-missing',
    'dart-not-in-side-seam',
    'overlap-larger-than-dart',
    'too-much-to-ease',
  ],
  examples: [
    { name: 'newDart', on: 'ebb', values: { total: 40 } },
    { name: 'eased', on: 'ebb', values: { total: 14, ending: 'ease' } },
    { name: 'small', on: 'ebb', values: { total: -20 } },
  ],
  source: 'The slash of a front without darts, hinged on the raglan seam line; the sleeve is not touched.',
  suggest: suggestSetback,
  suits: (pieces) => suits(findFront(pieces, HOW), 'why.raglan'),
  plan: (context, values) => bustProgram(context, values, HOW),
  holds: seamsHold,
});
