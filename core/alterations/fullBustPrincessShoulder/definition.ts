import type { AlterationDefinition } from '../contract.ts';
import { BUST_PARAMS, pick } from '../bust/params.ts';
import { findPanels, princessProgram } from '../bust/princess.ts';
import { seamsHold } from '../bust/promises.ts';
import { suits } from '../bust/suits.ts';

export const fullBustPrincessShoulder: AlterationDefinition = {
  id: 'full-bust-princess-shoulder',
  revision: 1,
  family: 'bust',
  params: [...pick('total'), { ...BUST_PARAMS.hinge, initial: 0.62 }, ...pick('below', 'waistWidth')],
  amount: 'total',
  requires: ['centreFront', 'princess', 'armhole', 'side'],
  refusals: [
    'front-not-found',
    'side-front-not-found',
    'princess-missing',
    'princess-not-from-shoulder',
    'apex-notch-missing',
    'armhole-missing',
    'hinge-below-bust-point',
    'spread-beyond-reach',
    'cut-leaves-piece',
    'line-misses-hem',
    'overlap-too-large',
  ],
  examples: [
    { name: 'full', on: 'skerry-shoulder', values: { total: 40 } },
    { name: 'small', on: 'skerry-shoulder', values: { total: -20 } },
  ],
  source:
    'The slash along the inside of the princess seam; the side opening is closed into the seam, the centre front lengthened to match.',
  suggest: () => ({}),
  suits: (pieces) => suits(findPanels(pieces, 'shoulder'), 'princess-shoulder'),
  plan: (context, values) => princessProgram(context, values, 'shoulder'),
  holds: seamsHold,
};
