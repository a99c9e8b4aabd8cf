import { alterationById } from '../alterations/index.ts';
import type { Draft } from '../fitting/plan/index.ts';
import { isTold } from '../fitting/compare/index.ts';
import { formatLength } from '../units/index.ts';
import { MEASUREMENT_WORDS } from './measurements.ts';
import { askName } from './slip.ts';
import type { Units } from '../speech/index.ts';

/** So many measurements that fit are named; more are counted. */
const NAMED = 4;

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;

/** What to do and what to leave, in one breath; empty while nothing is measured. */
export function sayAdvice(
  { steps, asks, worksheet }: Pick<Draft, 'steps' | 'asks' | 'worksheet'>,
  { unit, fraction }: Units,
): string {
  const known = worksheet.filter((r) => r.body !== null && r.difference !== null);
  if (known.length === 0) return '';
  const todo = asks.map((ask) => {
    const { alteration, fit } = ask;
    const { total } = fit.values;
    if (typeof total === 'number' && alterationById(alteration)?.family === 'bust')
      return `the bust by ${formatLength(total, unit, { fraction, sign: true })}${fit.sum.data['verdict'] === 'optional' ? ' if the style is fitted or drag lines show' : ''}`;
    return lower(askName(ask));
  });
  const fits = known.filter((r) => !isTold(r)).map((r) => lower(MEASUREMENT_WORDS[r.key].name));
  const leave =
    fits.length === 0
      ? ''
      : fits.length > NAMED
        ? ` Leave the ${fits.length} measurements that fit.`
        : ` Leave ${listed(fits)}.`;
  const more = steps.some((s) => s.step.on);
  if (todo.length === 0)
    return more ? 'Nothing more is worth altering.' : 'Nothing is worth altering: the pattern fits these measurements.';
  return `${more ? 'Still worth altering' : 'Worth altering'}: ${todo.join('; ')}.${leave}`;
}
