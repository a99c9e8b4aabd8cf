import type { DraftStep } from '../draft/index.ts';
import type { Units } from './say.ts';
import { stepAmount, stepName } from './slip.ts';

/**
 * What the label on each altered piece says was changed, by piece id. Inches are written out: the fonts that
 * go into printed pages lack the sign.
 */
export function labelChanges(steps: readonly DraftStep[], units: Units): Readonly<Record<string, string>> {
  const out: Record<string, string> = {};
  for (const step of steps) {
    if (!step.step.on || !step.outcome.ok) continue;
    const amount = printable(stepAmount(step, units));
    const said = amount ? `${stepName(step)}: ${amount}` : stepName(step);
    for (const { piece } of step.outcome.value.changes) out[piece] = [out[piece], said].filter(Boolean).join('; ');
  }
  return out;
}

/** The shipped fonts have no inch sign. */
export const printable = (text: string): string => text.replaceAll('″', ' in');
