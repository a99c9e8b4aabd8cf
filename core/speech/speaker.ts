import { formatLength, formatShare, shownSum, type InchFraction, type LengthUnit } from '../units/index.ts';

import { counted, noun } from './plural.ts';

export interface Units {
  readonly unit: LengthUnit;
  readonly fraction: InchFraction;
}

/** What is cut is given to a sixteenth of an inch, whatever is shown elsewhere. */
export const CUT_TO: InchFraction = 16;

export type Data = Readonly<Record<string, string | number>>;

/** What a sentence may use: the data by key, as lengths, angles or words. */
export interface Speaker {
  /** A length in the user's unit. */
  readonly len: (key: string) => string;
  /** A length with its sign. */
  readonly signed: (key: string) => string;
  /** A length added or taken off: the sign stands apart, as in a sum. */
  readonly plus: (key: string) => string;
  /** A length both ways, for amounts that are cut. */
  readonly both: (key: string) => string;
  /** One of so many parts of a length as shown, with its sign. */
  readonly share: (key: string, parts: number) => string;
  /**
   * The same with these lengths shown so that they add up to the result: added or taken off, as written or, with
   * `keep`, as typed in.
   */
  readonly adding: (terms: Readonly<Record<string, '+' | '−' | 'keep +' | 'keep −'>>, result: string) => Speaker;
  readonly num: (key: string, digits?: number) => string;
  readonly text: (key: string) => string;
  /** A count with its noun: "1 piece", "3 pieces". */
  readonly count: (key: string, one: string, other?: string) => string;
  /** The word that goes with a count. */
  readonly noun: (key: string, one: string, other: string) => string;
}

export type Sentence = (s: Speaker) => string;

export function speaker(data: Data, units: Units): Speaker {
  const value = (key: string): number => {
    const v = data[key];
    return typeof v === 'number' ? v : Number(v);
  };
  const len = (key: string) => formatLength(value(key), units.unit, { fraction: units.fraction });
  return {
    len,
    signed: (key) => formatLength(value(key), units.unit, { fraction: units.fraction, sign: true }),
    plus: (key) =>
      `${value(key) < 0 ? '−' : '+'} ${formatLength(Math.abs(value(key)), units.unit, { fraction: units.fraction })}`,
    both: (key) => {
      const other = units.unit === 'cm' ? 'in' : 'cm';
      return `${formatLength(value(key), units.unit, { fraction: CUT_TO })} (${formatLength(value(key), other, { fraction: CUT_TO })})`;
    },
    share: (key, parts) => formatShare(value(key), parts, units.unit, { fraction: units.fraction, sign: true }),
    adding: (terms, result) => {
      const signs = Object.entries(terms).map(([key, how]) => ({ key, sign: how.endsWith('+') ? 1 : -1, how }));
      const sum = shownSum(
        signs.map(({ key, sign, how }) => ({ value: sign * value(key), keep: how.startsWith('keep') })),
        value(result),
        units.unit,
        units.fraction,
      );
      const shown = signs.map(({ key, sign }, i) => [key, sign * (sum.terms[i] ?? 0)] as const);
      return speaker({ ...data, ...Object.fromEntries(shown), [result]: sum.result }, units);
    },
    num: (key, digits = 0) => value(key).toFixed(digits),
    text: (key) => String(data[key] ?? ''),
    count: (key, one, other) => counted(value(key), one, other),
    noun: (key, one, other) => noun(value(key), one, other),
  };
}
