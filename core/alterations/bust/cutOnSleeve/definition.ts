import { choice, define, share } from '../../kit/define.ts';
import type { AlterationDefinition } from '../../contract.ts';
import { findFront, type BustHow } from '../../kit/bust/front.ts';
import { BUST_PARAMS, BUST_REFUSALS, pick, suggestSetback } from '../../kit/bust/params.ts';
import { bustProgram } from '../../kit/bust/program.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import { suits } from '../../kit/bust/suits.ts';

const HOW: BustHow = { hinge: 'underarm', dart: 'either' };

export const fullBustCutOnSleeve: AlterationDefinition = define({
  id: 'full-bust-cut-on-sleeve',
  family: 'bust',
  params: [
    ...pick('total'),
    choice('hinges', 'two', 'one'),
    share('overarmShare', 0.5, 1, 0.85),
    share('overarm', 0.2, 0.8, 0.5),
    ...pick('ending', 'whose', 'bustPoint'),
    { ...BUST_PARAMS.hinge, initial: 0.5 },
    ...pick('hingePoint', 'below', 'setback', 'newBustPoint', 'waistWidth'),
  ],
  amount: 'total',
  requires: ['centreFront', 'shoulder', 'underarm', 'side'],
  refusals: [
    ...BUST_REFUSALS,
    'underarm-missing',
    'overarm-missing',
    'dart-not-in-side-seam',
    'overlap-larger-than-dart',
    'too-much-to-ease',
  ],
  examples: [
    { name: 'twoHinges', on: 'causeway-cut-on', values: { total: 40 } },
    { name: 'oneHinge', on: 'causeway-cut-on', values: { total: 14, hinges: 'one' } },
    { name: 'small', on: 'causeway-cut-on', values: { total: -20 } },
  ],
  source:
    'The slash hinged on the underarm curve; a second hinge on the overarm lets the sleeve swing and keeps the drop small.',
  suggest: suggestSetback,
  suits: (pieces) => suits(findFront(pieces, HOW), 'why.cut-on'),
  plan: (context, values) => bustProgram(context, values, HOW),
  holds: seamsHold,
});
