import { alterationById, isByBust, type Fit } from '../../alterations/index.ts';
import type { Amount, Amounts } from '../fit/index.ts';
import type { Step } from '../../documents/schema.ts';
import type { DraftStep } from './step.ts';

/** The value that says how much a step does: its own, or what it runs with. Null where nothing is counted. */
export function amountOf({ step, values }: Pick<DraftStep, 'step' | 'values'>): number | null {
  const definition = alterationById(step.alteration);
  if (!definition?.amount) return null;
  const param = definition.params.find((p) => p.key === definition.amount);
  // What no method can work out for the bust is unknown: the place where its field begins is no amount.
  const initial = !isByBust(definition) && param && 'initial' in param ? param.initial : null;
  const value = values[definition.amount] ?? initial;
  return typeof value === 'number' ? value : null;
}

/** The values of a step that say how much it does. */
const amountsOf = ({ alteration }: Pick<Step, 'alteration'>): readonly string[] => {
  const d = alterationById(alteration);
  return d?.amounts ?? (d?.amount ? [d.amount] : []);
};

/** Whether the amount was typed or dragged, and so goes before what would be worked out. */
export const isTyped = (step: Pick<Step, 'alteration' | 'values'>): boolean =>
  amountsOf(step).some((key) => step.values[key] !== undefined);

/** The step with its amount worked out again: all that the method says comes back, not the number alone. */
export function computed(step: Step, fit: Fit | null): Step {
  const said = new Set([...amountsOf(step), ...Object.keys(fit?.values ?? {})]);
  return { ...step, values: Object.fromEntries(Object.entries(step.values).filter(([key]) => !said.has(key))) };
}

/** The sum that gives a step its amount: of the method chosen by hand, else of the one that suits; null where none does. */
export const methodOf = ({ school }: Pick<Step, 'school'>, amounts: Amounts | null): Amount | null =>
  (school === 'auto' ? amounts?.chosen : amounts?.all.find((a) => a.method === school)) ?? null;
