import { CUT_AS, type DraftStep } from '../fitting/plan/index.ts';
import type { Units } from '../speech/index.ts';
import { stepAmount, stepName } from './slip.ts';

/**
 * What the label on each altered piece says was changed, by piece id. Inches are written out: the fonts that
 * go into printed pages lack the sign.
 */
export function labelChanges(steps: readonly DraftStep[], units: Units): Readonly<Record<string, string>> {
  const out: Record<string, string> = {};
  const parted = steps.some((s) => s.step.on && s.step.side !== 'both');
  for (const step of steps) {
    if (!step.step.on || !step.outcome.ok) continue;
    const amount = printable(stepAmount(step, units));
    const said = amount ? `${stepName(step)}: ${amount}` : stepName(step);
    for (const { piece } of step.outcome.value.changes)
      for (const id of parted ? cutAs(piece, step.step.side) : [piece])
        out[id] = [out[id], said].filter(Boolean).join('; ');
  }
  return out;
}

/** What a piece is called once a step was for one side only: the whole, and the side it was for. */
const cutAs = (piece: string, side: 'both' | 'left' | 'right'): readonly string[] =>
  side === 'both'
    ? [piece, piece + CUT_AS.whole, piece + CUT_AS.left, piece + CUT_AS.right]
    : [piece + CUT_AS.whole, piece + CUT_AS[side]];

/** The shipped fonts have no inch sign. */
export const printable = (text: string): string => text.replaceAll('″', ' in');
