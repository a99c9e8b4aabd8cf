import type { FormRow } from '../form/index.ts';
import { formatLength } from '../units/index.ts';
import type { Units } from '../speech/index.ts';
import { MEASUREMENT_WORDS } from './measurements.ts';

/** A measurement that no form meets together with the others: what they go with, and what to do. */
export function sayConflict({ key, body, form, right }: FormRow, { unit, fraction }: Units): string {
  const len = (mm: number): string => formatLength(mm, unit, { fraction });
  const name = `${MEASUREMENT_WORDS[key].name}${right ? ' on the right' : ''}`;
  return `${name}: ${len(body ?? form)} measured; the others go with about ${len(form)}. Measure it again, and what lies beside it.`;
}
