import { MM_PER_INCH, mm, type Mm } from './brand.ts';
import { ok, refuse, type Result } from './result.ts';

export type LengthUnit = 'cm' | 'in';
/** The finest part of an inch shown. */
export type InchFraction = 8 | 16 | 32;

export type LengthError = 'length-empty' | 'length-unreadable' | 'length-zero-denominator';

const FACTOR = { mm: 1, cm: 10, in: MM_PER_INCH } as const;
const SUFFIX: readonly (readonly [RegExp, keyof typeof FACTOR])[] = [
  [/(?:mm|millimet(?:er|re)s?)$/, 'mm'],
  [/(?:cm|centimet(?:er|re)s?)$/, 'cm'],
  [/(?:in|ins|inch|inches|"|″|”|'')$/, 'in'],
];
const GLYPHS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};
const NUMBER = /^(\d+(?:\.\d*)?|\.\d+)$/;
const FRACTION = /^(?:(\d+)[\s-]+)?(\d+)\/(\d+)$/;

/**
 * Reads a length as people write it: `36 1/2`, `36-1/2"`, `36.5`, `92,7 cm`, `3/8`, `-5 mm`, `+1/4`.
 * A bare number is in `unit`. A decimal comma and a decimal point mean the same; thousands are not grouped.
 * Refuses what it cannot read whole rather than reading a part of it. Exact: the typed number times its factor.
 */
export function parseLength(text: string, unit: LengthUnit | 'mm'): Result<Mm, LengthError> {
  let rest = text
    .trim()
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (g) => ` ${GLYPHS[g] ?? ''}`)
    .trim();
  if (rest === '') return refuse('length-empty');
  let sign = 1;
  const signed = /^([+\-−–])\s*/.exec(rest);
  if (signed) {
    if (signed[1] !== '+') sign = -1;
    rest = rest.slice(signed[0].length);
  }
  let factor: number = FACTOR[unit];
  for (const [pattern, name] of SUFFIX) {
    if (!pattern.test(rest)) continue;
    factor = FACTOR[name];
    rest = rest.replace(pattern, '').trim();
    break;
  }
  const plain = rest.replace(',', '.');
  if (NUMBER.test(plain)) return ok(mm(sign * Number(plain) * factor));
  const fraction = FRACTION.exec(rest);
  if (!fraction) return refuse('length-unreadable', { text: text.trim() });
  const denominator = Number(fraction[3]);
  if (denominator === 0) return refuse('length-zero-denominator', { text: text.trim() });
  const value = Number(fraction[1] ?? 0) + Number(fraction[2]) / denominator;
  return ok(mm(sign * value * factor));
}

export interface FormatOptions {
  readonly fraction?: InchFraction;
  /** Digits after the point in centimetres. */
  readonly digits?: number;
  /** Show + on positive values, as on a worksheet. */
  readonly sign?: boolean;
  /** Leave the unit off. */
  readonly bare?: boolean;
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** Prints a length for people. Rounding happens here only; the value itself is never rounded. */
export function formatLength(value: number, unit: LengthUnit, options: FormatOptions = {}): string {
  const { digits = 1, fraction = 8, sign = false, bare = false } = options;
  const inches = Math.round((Math.abs(value) / MM_PER_INCH) * fraction) / fraction;
  const body = unit === 'in' ? mixedFraction(inches, fraction) : (Math.abs(value) / 10).toFixed(digits);
  const zero = unit === 'in' ? inches === 0 : Number(body) === 0;
  const prefix = zero ? '' : value < 0 ? '−' : sign ? '+' : '';
  return prefix + body + (bare ? '' : unit === 'in' ? '″' : ' cm');
}

function mixedFraction(inches: number, fraction: InchFraction): string {
  const whole = Math.floor(inches);
  const parts = Math.round((inches - whole) * fraction);
  if (parts === 0) return String(whole);
  const shared = gcd(parts, fraction);
  const text = `${parts / shared}/${fraction / shared}`;
  return whole === 0 ? text : `${whole} ${text}`;
}

/** What the chosen unit is shown to, mm: a fraction of an inch, or a tenth of a centimetre. */
export const stepOf = (unit: LengthUnit, fraction: InchFraction = 8): number =>
  unit === 'in' ? MM_PER_INCH / fraction : 1;

/** The nearest value that the chosen unit can show: a fraction of an inch, or a tenth of a centimetre. */
export function roundToUnit(value: number, unit: LengthUnit, fraction: InchFraction = 8): Mm {
  const step = stepOf(unit, fraction);
  return mm(Math.round(value / step) * step);
}
