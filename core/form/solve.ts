import { leastSquares } from '../numeric/index.ts';
import type { MeasurementKey } from '../pattern/index.ts';
import { FORM } from '../units/index.ts';
import type { Figure } from './figure.ts';
import { LEGS_SHOWN, SHOWN, tapesOn } from './measure.ts';
import { filledIn, firstFigure, type Body, type Untold } from './proportions.ts';

/** One measurement of the body beside what a tape reads on its form, mm. */
export interface FormRow {
  readonly key: MeasurementKey;
  /** As measured; null where it was not, and was filled in. */
  readonly body: number | null;
  readonly form: number;
  readonly filled: boolean;
  /** Taken and read on the right half, where that differs. */
  readonly right?: true;
}

export interface Form {
  readonly figure: Figure;
  /** Every measurement a form of the torso shows; what differs on the right comes last. */
  readonly rows: readonly FormRow[];
  /** Rows that no form meets together with the others: to be measured again. */
  readonly conflicts: readonly FormRow[];
}

const GIRTHS: readonly MeasurementKey[] = [
  'neck',
  'highBust',
  'fullBust',
  'underbust',
  'waist',
  'highHip',
  'hip',
  'upperArm',
  'thigh',
  'knee',
];
/** How closely a row is to be met, mm. */
export const metWithin = (key: MeasurementKey): number => (GIRTHS.includes(key) ? FORM.girth : FORM.length);

/** What is solved for, and how hard it is held where it begins. */
interface Free {
  readonly key: Exclude<keyof Figure, 'scale' | 'legs' | 'right' | 'beside'>;
  /** Millimetres it may lie off for the price of one millimetre at a row that was measured. */
  readonly loose: number;
}
const FREE: readonly Free[] = [
  { key: 'neckHalf', loose: 10 },
  { key: 'highBustHalf', loose: 80 },
  { key: 'underbustHalf', loose: 100 },
  { key: 'waistHalf', loose: 200 },
  { key: 'highHipHalf', loose: 200 },
  { key: 'hipHalf', loose: 200 },
  { key: 'bustRise', loose: 60 },
  { key: 'bust', loose: 30 },
  { key: 'waist', loose: 20 },
  { key: 'waistTilt', loose: 16 },
  { key: 'hip', loose: 200 },
  { key: 'shoulder', loose: 100 },
  { key: 'shoulderDrop', loose: 4 },
  { key: 'neckPoint', loose: 6 },
  { key: 'neckPit', loose: 12 },
  { key: 'underarm', loose: 15 },
  { key: 'armX', loose: 8 },
  { key: 'armZ', loose: 8 },
  { key: 'halfSpan', loose: 200 },
  { key: 'armRadius', loose: 200 },
];

/** What may differ on a right half; all else it shares with the left. */
const ONE_SIDED: readonly Free['key'][] = ['shoulder', 'shoulderDrop', 'armX', 'armZ', 'armRadius', 'hip'];

/** How far the seat reaches back, on legs. */
const SEAT: Free = { key: 'seat', loose: 60 };
/** The crotch hangs from the waist, and so does the hip unless its depth was measured. */
const HIP: Free = { key: 'hip', loose: 4 };

/** Whether the waist lies higher behind only the side tells: without it the waist is level. */
const freeFor = (body: Body, legs: boolean): readonly Free[] =>
  [...FREE, ...(legs ? [SEAT] : [])]
    .filter((u) => u.key !== 'waistTilt' || body.sideWaist !== undefined)
    .map((u) => (legs && u.key === 'hip' && body.hipDepth === undefined ? HIP : u));

/** Where what was measured is not met, what is usual gives way, so many times. */
const LOOSENED = [0.3, 1, 5, 25] as const;
/** How often at most, and the share that must be gained each time. */
const AGAIN = 12;
const GAIN = 0.02;

/** Girths that were filled in pull the form this much less than measured ones. */
const FILLED = 0.05;
/** A cross width tells where the arm lies, the front length where the waist lies in front, and little else does. */
const FILLED_MORE: Readonly<Partial<Record<MeasurementKey, number>>> = { crossFront: 0.4, bustPointToWaist: 0.5 };

/** What the tape is to read: as measured, and weakly what was filled in. */
function asked(
  body: Body,
  keys: readonly MeasurementKey[],
): readonly { readonly key: MeasurementKey; readonly value: number; readonly weight: number }[] {
  const fill = filledIn(body);
  return keys.flatMap((key) => {
    const value = body[key];
    if (value !== undefined) return [{ key, value, weight: 1 }];
    const usual = (fill as Body)[key];
    return usual === undefined ? [] : [{ key, value: usual, weight: FILLED_MORE[key] ?? FILLED }];
  });
}

/** How far what no tape tells lies off the usual, mm. */
export type Shift = Readonly<Partial<Record<Untold, number>>>;

/**
 * The form of a body: a figure on which a tape reads what was measured. What was not measured is filled in from usual
 * proportions, pulling weakly. Damped Gauss-Newton; the same body always gives the same form. With legs on request.
 */
export function formOf(body: Body, shift: Shift = {}, legs = false): Form {
  const usual = firstFigure(body, legs);
  const first = { ...usual };
  for (const key of Object.keys(shift) as Untold[]) first[key] = usual[key] + (shift[key] ?? 0);
  return solved(body, first, freeFor(body, legs));
}

/** A figure changed in what is free until every tape, or `only` some, reads what was measured. */
function solved(body: Body, first: Figure, free: readonly Free[], only?: readonly MeasurementKey[]): Form {
  const legs = first.legs !== null;
  const shown = legs ? [...SHOWN, ...LEGS_SHOWN] : SHOWN;
  const rows = asked(body, only ?? (legs ? [...SHOWN, 'crotchLength'] : SHOWN));
  const keys = rows.map((r) => r.key);
  const figureAt = (x: readonly number[]): Figure =>
    ordered({ ...first, ...Object.fromEntries(free.map((u, i) => [u.key, first[u.key] + (x[i] ?? 0)])) });
  /** What is left at a place, what is usual holding so many times less than at first. */
  const residuals =
    (looser: number) =>
    (x: readonly number[]): readonly number[] | null => {
      const read = tapesOn(figureAt(x), keys);
      const off = rows.map((r, i) => r.weight * ((read[i] ?? 0) - r.value));
      return off.every(Number.isFinite) ? [...off, ...free.map((u, i) => (x[i] ?? 0) / (looser * u.loose))] : null;
    };
  let x: readonly number[] = free.map(() => 0);
  for (const looser of LOOSENED) {
    let left = Infinity;
    // Tapes catch on other places as the form changes: slopes are taken anew until nothing is gained.
    for (let again = 0; again < AGAIN; again++) {
      const found = leastSquares(residuals(looser), x, { bounds: [], h: 0.05, close: 1e-3, still: 1e-4, rounds: 14 });
      const cost = found?.r.reduce((sum, v) => sum + v * v, 0) ?? Infinity;
      if (!found || cost > left * (1 - GAIN)) break;
      [x, left] = [found.x, cost];
    }
    const read = tapesOn(figureAt(x), keys);
    if (rows.every((r, i) => r.weight < 1 || Math.abs((read[i] ?? 0) - r.value) < FORM.close)) break;
  }
  const figure = onItsLegs(figureAt(x), body);
  const read = tapesOn(figure, shown);
  const told = shown.map((key, i): FormRow => {
    const measured = body[key];
    return { key, body: measured ?? null, form: read[i] ?? 0, filled: measured === undefined };
  });
  const conflicts = told.filter((r) => r.body !== null && Math.abs(r.form - r.body) > FORM.contradicts);
  return { figure, rows: told, conflicts };
}

/**
 * The form of a body of which the right side was measured otherwise: the left half is solved by its tape, and then the right in
 * shoulder, arm and hip level by its own; the rest they share. `right` null gives one that is alike on both sides.
 */
export function formOfBoth(body: Body, right: Body | null, shift: Shift = {}, legs = false): Form {
  const left = formOf(body, shift, legs);
  if (!right) return left;
  const free = freeFor(right, legs).filter((u) => ONE_SIDED.includes(u.key));
  const { shoulderDrop } = left.figure;
  // The cross widths are read at another level where the shoulder lies otherwise.
  const only = SHOWN.filter((key) => right[key] !== body[key] || key === 'crossBack' || key === 'crossFront');
  const other = solved(right, { ...left.figure, shoulderDrop: right.shoulderSlope ?? shoulderDrop }, free, only);
  const own = (rows: readonly FormRow[]): readonly FormRow[] =>
    rows.filter((r) => right[r.key] !== body[r.key]).map((r) => ({ ...r, right: true as const }));
  return {
    figure: { ...left.figure, right: { ...other.figure, beside: left.figure } },
    rows: [...left.rows, ...own(other.rows)],
    conflicts: [...left.conflicts, ...own(other.conflicts)],
  };
}

/** Knee and ankle as far down the side of a figure as they were measured: a tape runs out over the hip before it hangs. */
function onItsLegs(f: Figure, body: Body): Figure {
  if (!f.legs) return f;
  const [knee = 0, ankle = 0] = tapesOn(f, ['waistToKnee', 'outsideLeg']);
  const less = (measured: number | undefined, read: number): number => (measured === undefined ? 0 : read - measured);
  return {
    ...f,
    legs: {
      ...f.legs,
      knee: f.legs.knee - less(body.waistToKnee, knee),
      ankle: f.legs.ankle - less(body.outsideLeg, ankle),
    },
  };
}

/** Levels in their order on the body, whatever was asked: each at least so far above the one below, mm. */
function ordered(f: Figure): Figure {
  const waist = Math.max(f.waist, f.hip + 90 * f.scale);
  const bust = Math.min(Math.max(f.bust, waist + 95 * f.scale), f.neckPoint - f.shoulderDrop - 90 * f.scale);
  const underarm = Math.min(Math.max(f.underarm, waist + 60 * f.scale), f.neckPoint - f.shoulderDrop - 60 * f.scale);
  return { ...f, waist, bust, underarm };
}
