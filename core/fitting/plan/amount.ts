import { alterationById, isByBust, type Fit } from '../../alterations/index.ts';
import type { Amount, Amounts } from '../fit/index.ts';
import type { Step } from '../../documents/schema.ts';
import type { DraftStep } from './step.ts';

/** The amount of a step as it runs; null for steps without one, or when it cannot be computed. */
export function amountOf({ step, values }: Pick<DraftStep, 'step' | 'values'>): number | null {
  const definition = alterationById(step.alteration);
  if (!definition?.amount) return null;
  const param = definition.params.find((p) => p.key === definition.amount);
  // A bust amount that no method can compute is unknown; the parameter's initial value must not stand in for it.
  const initial = !isByBust(definition) && param && 'initial' in param ? param.initial : null;
  const value = values[definition.amount] ?? initial;
  return typeof value === 'number' ? value : null;
}

/** The parameters that make up a step's amount. */
const amountsOf = ({ alteration }: Pick<Step, 'alteration'>): readonly string[] => {
  const d = alterationById(alteration);
  return d?.amounts ?? (d?.amount ? [d.amount] : []);
};

/** Whether the amount was typed or dragged, and so takes precedence over the computed one. */
export const isTyped = (step: Pick<Step, 'alteration' | 'values'>): boolean =>
  amountsOf(step).some((key) => step.values[key] !== undefined);

/** The step with its amount computed again: everything the method sets is reset, not the number alone. */
export function computed(step: Step, fit: Fit | null): Step {
  const said = new Set([...amountsOf(step), ...Object.keys(fit?.values ?? {})]);
  return { ...step, values: Object.fromEntries(Object.entries(step.values).filter(([key]) => !said.has(key))) };
}

/**
 * The sum behind a step's amount: by the method chosen by hand, else by the recommended one; null when there is none.
 */
export const methodOf = ({ school }: Pick<Step, 'school'>, amounts: Amounts | null): Amount | null =>
  (school === 'auto' ? amounts?.chosen : amounts?.all.find((a) => a.method === school)) ?? null;
