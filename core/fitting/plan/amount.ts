import { alterationById, type Fit } from '../../alterations/index.ts';
import type { Step } from '../../documents/schema.ts';
import type { DraftStep } from './step.ts';

/** The value that says how much a step does: its own, or what it runs with. Null where nothing is counted. */
export function amountOf({ step, total, values }: Pick<DraftStep, 'step' | 'total' | 'values'>): number | null {
  const definition = alterationById(step.alteration);
  if (!definition?.amount) return null;
  if (definition.amount === 'total') return total;
  const param = definition.params.find((p) => p.key === definition.amount);
  const value = values[definition.amount] ?? (param && 'initial' in param ? param.initial : null);
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
