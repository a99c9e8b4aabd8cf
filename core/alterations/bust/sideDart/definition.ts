import { define } from '../../kit/define.ts';
import type { AlterationDefinition } from '../../contract.ts';
import { findFront, type BustHow } from '../../kit/bust/front.ts';
import { BUST_REFUSALS, pick, suggestSetback } from '../../kit/bust/params.ts';
import { bustProgram } from '../../kit/bust/program.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import { suits } from '../../kit/bust/suits.ts';

const HOW: BustHow = { hinge: 'armhole', dart: 'side' };

export const fullBustSideDart: AlterationDefinition = define({
  id: 'full-bust-side-dart',
  family: 'bust',
  params: pick(
    'total',
    'whose',
    'bustPoint',
    'hinge',
    'hingePoint',
    'setback',
    'newBustPoint',
    'waistDart',
    'waistWidth',
  ),
  amount: 'total',
  requires: ['centreFront', 'armhole', 'side', 'dart'],
  refusals: [...BUST_REFUSALS, 'armhole-missing', 'no-side-dart', 'dart-not-in-side-seam', 'overlap-larger-than-dart'],
  examples: [
    { name: 'full', on: 'causeway', values: { total: 50 } },
    { name: 'small', on: 'causeway', values: { total: -20 } },
    { name: 'fullKeepingWaistDart', on: 'causeway', values: { total: 50, waistDart: 'keep', waistWidth: 'curved' } },
    { name: 'fullWithoutWaistDart', on: 'causeway-side', values: { total: 40 } },
    { name: 'fullInOne', on: 'jetty', values: { total: 40 } },
    { name: 'smallInOne', on: 'jetty', values: { total: -16 } },
  ],
  source: 'The usual three-line slash of dressmaking handbooks, hinged on the armhole seam line.',
  suggest: suggestSetback,
  suits: (pieces) => suits(findFront(pieces, HOW), 'why.side-dart'),
  plan: (context, values) => bustProgram(context, values, HOW),
  holds: seamsHold,
});
