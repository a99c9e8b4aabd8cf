import { alterationById } from '../alterations/index.ts';
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
