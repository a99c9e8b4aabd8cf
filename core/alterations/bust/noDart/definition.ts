import { define } from '../../kit/define.ts';
import type { AlterationDefinition } from '../../contract.ts';
import { findFront, type BustHow } from '../../kit/bust/front.ts';
import { BUST_REFUSALS, pick, suggestSetback } from '../../kit/bust/params.ts';
import { bustProgram } from '../../kit/bust/program.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import { suits } from '../../kit/bust/suits.ts';

const HOW: BustHow = { hinge: 'armhole', dart: 'none' };

export const fullBustNoDart: AlterationDefinition = define({
  id: 'full-bust-no-dart',
  family: 'bust',
  params: pick(
    'total',
    'ending',
    'whose',
    'bustPoint',
    'hinge',
    'hingePoint',
    'below',
    'setback',
    'newBustPoint',
    'waistWidth',
  ),
  amount: 'total',
  requires: ['centreFront', 'armhole', 'side'],
  refusals: [
    ...BUST_REFUSALS,
    'armhole-missing',
    'front-has-side-dart',
    'too-much-to-ease',
    'overlap-larger-than-dart',
  ],
  examples: [
    { name: 'newDart', on: 'causeway-shirt', values: { total: 40 } },
    { name: 'intoHem', on: 'causeway-shirt', values: { total: 24, ending: 'hem' } },
    { name: 'eased', on: 'causeway-shirt', values: { total: 14, ending: 'ease' } },
    { name: 'small', on: 'causeway-shirt', values: { total: -20 } },
  ],
  source:
    'The three-line slash of a front without darts; the opening is kept as a dart, let down to the hem, or eased.',
  suggest: suggestSetback,
  suits: (pieces) => {
    const front = pieces.find((p) => p.part === 'front');
    return suits(findFront(pieces, HOW), 'why.no-dart', front && front.darts.length > 0 ? 'possible' : 'best');
  },
  plan: (context, values) => bustProgram(context, values, HOW),
  holds: seamsHold,
});
