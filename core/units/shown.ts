import { mm, type Mm } from './brand.ts';
import { formatLength, roundToUnit, stepOf, type FormatOptions, type InchFraction, type LengthUnit } from './length.ts';

/** One term of a sum, mm, with its sign in it. */
export interface ShownTerm {
  readonly value: number;
  /** Typed in: shown as it is, whatever the others have to give way by. */
  readonly keep?: boolean;
}

/** More than rounding can explain, in steps of the unit for each term: then it was no sum of these terms. */
const ROUNDING = 1;

/**
 * A sum as it can be shown: every term and the result a whole number of the unit's steps, so that what stands there
 * adds up. The result is the true one, rounded; of the terms the one whose rounding is farthest off gives way, by one
 * step at a time. Where every term is kept, the result gives way.
 */
export function shownSum(
  terms: readonly ShownTerm[],
  result: number,
  unit: LengthUnit,
  fraction: InchFraction = 8,
): { readonly terms: readonly Mm[]; readonly result: Mm } {
  const step = stepOf(unit, fraction);
  const steps = terms.map((t) => Math.round(t.value / step));
  const total = (): number => steps.reduce((n, s) => n + s, 0);
  const wanted = Math.round(result / step);
  const shown = (n: number): Mm => mm(n * step);
  if (Math.abs(wanted - total()) > ROUNDING * (terms.length + 1))
    return { terms: steps.map(shown), result: shown(wanted) };
  while (terms.some((t) => !t.keep) && total() !== wanted) {
    const way = Math.sign(wanted - total());
    const off = terms.map((t, i) => (t.keep ? -Infinity : (t.value / step - (steps[i] ?? 0)) * way));
    const i = off.indexOf(Math.max(...off));
    steps[i] = (steps[i] ?? 0) + way;
  }
  return { terms: steps.map(shown), result: shown(total()) };
}

/**
 * A share of a length as it is shown: the length rounded first, then divided, with as many digits as that takes; an
 * inch in thirty-seconds at the finest, a centimetre in hundredths.
 */
export function formatShare(value: number, parts: number, unit: LengthUnit, options: FormatOptions = {}): string {
  const { fraction = 8 } = options;
  const share = roundToUnit(value, unit, fraction) / parts;
  const finer: InchFraction = fraction * parts <= 8 ? 8 : fraction * parts <= 16 ? 16 : 32;
  const whole = roundToUnit(share, unit, fraction) === mm(share);
  return formatLength(share, unit, { ...options, fraction: finer, digits: whole ? 1 : 2 });
}
