import { formatLength, type InchFraction, type LengthUnit } from '../units/index.ts';

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
    num: (key, digits = 0) => value(key).toFixed(digits),
    text: (key) => String(data[key] ?? ''),
    count: (key, one, other) => counted(value(key), one, other),
    noun: (key, one, other) => noun(value(key), one, other),
  };
}
