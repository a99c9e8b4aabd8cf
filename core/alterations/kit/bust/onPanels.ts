import type { AlterationDefinition } from '../../contract.ts';
import { choice } from '../define.ts';
import { findPanels } from './panels.ts';
import { BUST_PARAMS, pick } from './params.ts';
import { princessProgram } from './princess.ts';
import { seamsHold } from './promises.ts';
import { suits } from './suits.ts';

/** The bust alteration of a princess line, by where its seam begins; `hinge` is the usual place on the armhole. */
export const onPanels = (top: 'armhole' | 'shoulder', hinge: number): AlterationDefinition => ({
  id: `full-bust-princess-${top}`,
  revision: 1,
  family: 'bust',
  params: [
    ...pick('total'),
    { ...BUST_PARAMS.hinge, initial: hinge },
    ...pick('below', 'waistWidth'),
    choice('grain', 'kept', 'square'),
  ],
  amount: 'total',
  requires: ['centreFront', 'princess', 'armhole', 'side'],
  refusals: [
    'front-not-found',
    'side-front-not-found',
    'princess-missing',
    `princess-not-from-${top}`,
    'apex-notch-missing',
    'armhole-missing',
    'side-missing',
    'centre-front-missing',
    'hinge-below-bust-point',
    'spread-beyond-reach',
    'cut-leaves-piece',
    'line-misses-hem',
    'overlap-too-large',
  ],
  examples: [
    { name: 'full', on: `skerry-${top}`, values: { total: 40 } },
    { name: 'small', on: `skerry-${top}`, values: { total: -20 } },
  ],
  source:
    'The slash along the inside of the princess seam; the side opening is closed into the seam, the centre front lengthened to match.',
  suggest: () => ({}),
  suits: (pieces) => suits(findPanels(pieces, top), `why.princess-${top}`),
  plan: (context, values) => princessProgram(context, values, top),
  holds: seamsHold,
});
