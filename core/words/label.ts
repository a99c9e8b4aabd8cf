import type { DraftStep } from '../draft/index.ts';
import { formatLength } from '../units/index.ts';
import { ALTERATION_WORDS } from './params.ts';
import type { Units } from './say.ts';

/**
 * What the label on each altered piece says was changed, by piece id. Inches are written out: the fonts that
 * go into printed pages lack the sign.
 */
export function labelChanges(steps: readonly DraftStep[], { unit, fraction }: Units): Readonly<Record<string, string>> {
  const out: Record<string, string> = {};
  for (const { step, total, outcome } of steps) {
    if (!step.on || !outcome.ok || total === null) continue;
    const words = ALTERATION_WORDS[step.alteration];
    const name = (total < 0 ? words?.lapName : words?.name) ?? step.alteration;
    const amount = formatLength(total, unit, { fraction, sign: true }).replace('″', ' in');
    const id = outcome.value.altered;
    out[id] = [out[id], `${name}: ${amount} over the front`].filter(Boolean).join('; ');
  }
  return out;
}
