import { MEASUREMENT_CATALOGUE } from '../fitting/fit/index.ts';
import type { Worth } from '../fitting/solve/index.ts';
import { formatLength } from '../units/index.ts';
import { MEASUREMENT_WORDS } from './measurements.ts';
import type { Units } from '../speech/index.ts';

/** What leaving a step out of the plan would cost at the body. */
export function sayWorth({ key, right, left, within }: Worth, { unit, fraction }: Units): string {
  if (key === null) return 'Left out, nothing that was measured would differ.';
  const name = `${MEASUREMENT_WORDS[key].name.toLowerCase()}${right ? ' on the right' : ''}`;
  const by = formatLength(Math.abs(left), unit, { fraction });
  const length = MEASUREMENT_CATALOGUE.find((d) => d.key === key)?.kind === 'length';
  const how = length ? (left > 0 ? 'short' : 'long') : left > 0 ? 'tight' : 'wide';
  const lacks = `Left out, the ${name} would be ${by} too ${how}`;
  return within ? `${lacks}: within what a tape can tell.` : `${lacks}.`;
}
