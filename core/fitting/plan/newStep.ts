import { alterationById, propose } from '../../alterations/index.ts';
import type { Step } from '../../documents/index.ts';
import type { Piece } from '../../pattern/index.ts';

/** A step of the plan with nothing set by hand yet. */
export const planStep = (
  id: string,
  alteration: string,
  values: Step['values'] = {},
  side: Step['side'] = 'both',
): Step => ({
  id,
  alteration,
  revision: alterationById(alteration)?.revision ?? 1,
  school: 'auto',
  knitFactor: null,
  values,
  side,
  on: true,
});

/** The bust step that suits some pieces best. */
export const bustStepFor = (id: string, pieces: readonly Piece[]): Step =>
  planStep(id, propose(pieces, 'bust')[0]?.id ?? 'full-bust-side-dart');
