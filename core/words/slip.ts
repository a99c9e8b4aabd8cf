import { alterationById } from '../alterations/index.ts';
import { amountOf, type DraftStep, type Recommendation } from '../fitting/plan/index.ts';
import { formatLength } from '../units/index.ts';
import { ALTERATION_WORDS, alterationName } from './alterations.ts';
import { CUT_TO, type Units } from '../speech/index.ts';

/** What a step is called, with the direction of its amount. */
export function stepName(step: Pick<DraftStep, 'step' | 'values'>): string {
  return withSide(alterationName(step.step.alteration, amountOf(step)), step.step.side);
}
const withSide = (name: string, side: DraftStep['step']['side']): string =>
  side === 'both' ? name : `${name}, ${side} side`;

/** What a body asks for by the name of its direction, and the side where only one asks. */
export const askName = ({ alteration, fit, side }: Recommendation): string =>
  withSide(alterationName(alteration, fit.values['by'] ?? fit.values['total']), side);

/**
 * How much, as slips, labels and hand sheets write it: to a sixteenth, as it is cut, so that the same amount reads the
 * same everywhere; empty where nothing is counted.
 */
export function stepAmount(step: Pick<DraftStep, 'step' | 'values'>, { unit }: Units): string {
  const amount = amountOf(step);
  if (amount === null) return '';
  const key = alterationById(step.step.alteration)?.amount;
  const over = ALTERATION_WORDS[step.step.alteration]?.over ?? '';
  const param = alterationById(step.step.alteration)?.params.find((p) => p.key === key);
  const signed = key === 'total' || (param?.kind === 'length' && param.signed === true);
  const text =
    key === 'share' ? `${Math.round(amount * 100)} %` : formatLength(amount, unit, { fraction: CUT_TO, sign: signed });
  return [text, over].filter(Boolean).join(' ');
}
