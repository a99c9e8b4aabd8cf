import type { ChartRow, MeasurementKey } from '../../pattern/index.ts';
import { MEASUREMENT_CATALOGUE } from './catalogue.ts';

/** A dated set: up to two readings of each measurement, mm. */
export interface MeasurementSet {
  readonly id: string;
  readonly date: string;
  readonly readings: Readonly<Partial<Record<MeasurementKey, readonly number[] | undefined>>>;
  /** The same taken on the right, where that side differs; only `SIDED` ones count. */
  readonly right?: Readonly<Partial<Record<MeasurementKey, readonly number[] | undefined>>>;
  readonly notes: string;
  readonly remarks?: Readonly<Partial<Record<MeasurementKey, string | undefined>>>;
  /** Copied from the set before and not taken again. */
  readonly carried?: readonly MeasurementKey[];
}

/** Body measurements used for the sums, mm: the mean of the readings taken. */
export type Body = Readonly<Partial<Record<MeasurementKey, number>>>;

export function meanOf(readings: readonly number[] | undefined): number | undefined {
  return readings && readings.length > 0 ? readings.reduce((a, b) => a + b, 0) / readings.length : undefined;
}

/** The body as of the newest set; a measurement missing there is taken from the newest older set that has it. */
export function bodyFrom(sets: readonly MeasurementSet[]): Body {
  const body: Partial<Record<MeasurementKey, number>> = {};
  for (const set of newestFirst(sets))
    for (const { key } of MEASUREMENT_CATALOGUE) {
      const value = meanOf(set.readings[key]);
      if (value !== undefined && body[key] === undefined) body[key] = value;
    }
  return body;
}

export type BodyProblemCode =
  | 'measure-not-positive'
  | 'measure-looks-like-inches'
  | 'measure-looks-like-cm'
  | 'measure-unlikely'
  | 'full-below-high'
  | 'full-far-below-high'
  | 'waist-far-above-bust'
  | 'readings-differ'
  | 'readings-far-apart'
  | 'sides-far-apart'
  | 'set-old'
  | 'value-moved'
  | 'value-carried';

/** A problem with the measurements: `stop` prevents computing, `ask` is a question that does not. */
export interface BodyProblem {
  readonly code: BodyProblemCode;
  readonly grade: 'stop' | 'ask';
  readonly key: MeasurementKey;
  readonly data: Readonly<Record<string, string | number>>;
  /** Of what was taken on the right. */
  readonly right?: true;
}

/** Two readings of one place of which one is so many times the other are not of one place, or not in one unit. */
const FAR_APART = 1.25;

/** How far beyond the rows of its chart a body may lie that still wears the pattern, as a share. */
const BESIDE_CHART = 0.1;
/** What is usual of a body; where the pattern’s chart goes beyond, as a child’s does, what is usual there. */
function usualOf(
  range: readonly [number, number],
  key: MeasurementKey,
  chart: readonly ChartRow[],
): readonly [number, number] {
  const rows = chart.flatMap((r) => r.body[key] ?? []);
  return [
    Math.min(range[0], ...rows.map((v) => v * (1 - BESIDE_CHART))),
    Math.max(range[1], ...rows.map((v) => v * (1 + BESIDE_CHART))),
  ];
}

/**
 * What is impossible and what is unlikely in a body, beside the chart of the pattern it is measured for. Warnings leave a
 * way on.
 */
export function checkBody(body: Body, set?: MeasurementSet, chart: readonly ChartRow[] = []): readonly BodyProblem[] {
  const out: BodyProblem[] = [];
  for (const { key, range: usual } of MEASUREMENT_CATALOGUE) {
    const value = body[key];
    if (value === undefined) continue;
    const range = usualOf(usual, key, chart);
    const readings = set?.readings[key];
    const [first, second] = readings ?? [];
    const least = Math.min(value, ...(readings ?? []));
    // The mean may look plausible when neither reading is.
    if (!(least > 0)) out.push({ code: 'measure-not-positive', grade: 'stop', key, data: { value: least } });
    else if (
      first !== undefined &&
      second !== undefined &&
      Math.max(first, second) > FAR_APART * Math.min(first, second)
    )
      out.push({ code: 'readings-far-apart', grade: 'stop', key, data: { first, second } });
    else if (value < range[0] / 1.6 && value * 2.54 > range[0] && value * 2.54 < range[1])
      out.push({ code: 'measure-looks-like-inches', grade: 'ask', key, data: { value, meant: value * 2.54 } });
    else if (value > range[1] && value / 2.54 > range[0] && value / 2.54 < range[1])
      out.push({ code: 'measure-looks-like-cm', grade: 'ask', key, data: { value, meant: value / 2.54 } });
    else if (value < range[0] || value > range[1])
      out.push({
        code: 'measure-unlikely',
        grade: value > range[1] * 3 || value < range[0] / 5 ? 'stop' : 'ask',
        key,
        data: { value, lo: range[0], hi: range[1] },
      });
    if (
      first !== undefined &&
      second !== undefined &&
      Math.abs(first - second) > 10 &&
      !out.some((p) => p.key === key && p.grade === 'stop')
    )
      out.push({ code: 'readings-differ', grade: 'ask', key, data: { first, second } });
  }
  const { highBust, fullBust, waist } = body;
  if (highBust !== undefined && fullBust !== undefined && fullBust < highBust)
    out.push({
      code: highBust - fullBust > 50 ? 'full-far-below-high' : 'full-below-high',
      grade: highBust - fullBust > 50 ? 'stop' : 'ask',
      key: 'fullBust',
      data: { by: highBust - fullBust },
    });
  if (waist !== undefined && fullBust !== undefined && waist - fullBust > 300)
    out.push({ code: 'waist-far-above-bust', grade: 'stop', key: 'waist', data: { by: waist - fullBust } });
  return out;
}

/** Limits beyond which a question is asked: the age of a set, days, and a change between two sets, mm. */
const OLD = 183;
const MOVED = 20;

/** The newest set first; of two of one day, the one taken later. */
export const newestFirst = <T extends { readonly date: string }>(sets: readonly T[]): readonly T[] =>
  [...sets].reverse().sort((a, b) => b.date.localeCompare(a.date));

const days = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / 86_400_000;

/** One value then and now. */
export interface Change {
  readonly key: MeasurementKey;
  readonly before: number;
  readonly now: number;
  readonly by: number;
}

/** What changed from one body to another, in measuring order; what only one of them has is left out. */
export function changesBetween(before: Body, now: Body): readonly Change[] {
  return MEASUREMENT_CATALOGUE.flatMap(({ key }) => {
    const [a, b] = [before[key], now[key]];
    return a === undefined || b === undefined || a === b ? [] : [{ key, before: a, now: b, by: b - a }];
  });
}

/** Bodies change: a set of more than half a year, a value moved by more than 2 cm, a value only carried over. */
export function checkAge(sets: readonly MeasurementSet[], today: string): readonly BodyProblem[] {
  const [newest, ...older] = newestFirst(sets);
  const first = newest && (Object.keys(newest.readings)[0] as MeasurementKey | undefined);
  if (!newest || !first) return [];
  const out: BodyProblem[] = [];
  const age = days(newest.date, today);
  if (age > OLD)
    out.push({
      code: 'set-old',
      grade: 'ask',
      key: first,
      data: { months: Math.floor(age / 30.4), date: newest.date },
    });
  const carried = newest.carried ?? [];
  for (const c of changesBetween(bodyFrom(older), bodyFrom([newest])))
    if (Math.abs(c.by) > MOVED)
      out.push({ code: 'value-moved', grade: 'ask', key: c.key, data: { by: c.by, before: c.before } });
  for (const key of carried) if (newest.readings[key]) out.push({ code: 'value-carried', grade: 'ask', key, data: {} });
  return out;
}

/** A measurement over the years, oldest first; carried values are left out. */
export const historyOf = (
  sets: readonly MeasurementSet[],
  key: MeasurementKey,
): readonly { readonly date: string; readonly value: number }[] =>
  [...newestFirst(sets)].reverse().flatMap((s) => {
    const value = s.carried?.includes(key) ? undefined : meanOf(s.readings[key]);
    return value === undefined ? [] : [{ date: s.date, value }];
  });
