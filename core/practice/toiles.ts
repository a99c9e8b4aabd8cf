import { samplePattern, type SampleId } from '../blocks/index.ts';
import type { Body } from '../form/index.ts';
import { askedSteps, type ResolvedJob } from '../fitting/plan/index.ts';
import type { MeasurementKey } from '../pattern/index.ts';
import type { Draw } from './lesson.ts';
import { drawFrom } from './task.ts';
import { shuffled } from './wrinkles.ts';

/** A toile to read: a sample on a body that differs from its chart in one thing, and causes of which one is the right one. */
export interface ToileToRead {
  readonly on: SampleId;
  readonly options: readonly string[];
  readonly right: string;
  /** How the body differs from the one the draft was made for, mm. */
  readonly differs: readonly { readonly key: MeasurementKey; readonly by: number }[];
  /** As drafted: nothing is altered. */
  readonly job: ResolvedJob;
}

/** One cause, how a body that has it differs from the chart, for each mm of the amount, and how much of it shows, mm. */
export interface ToileCase {
  readonly on: SampleId;
  readonly cause: string;
  readonly each: Readonly<Partial<Record<MeasurementKey, number>>>;
  readonly amounts: readonly number[];
}

/**
 * What a computed toile shows plainly and by itself. Others need an arm that moves or a hand that tugs; a full thigh pulls
 * at the crotch too, as a crotch that is too high does; how far a crotch hangs a coarse mesh tells to a centimetre only.
 */
export const TOILES: readonly ToileCase[] = [
  { on: 'causeway', cause: 'fuller-bust', each: { fullBust: 1 }, amounts: [50, 60, 70] },
  { on: 'causeway', cause: 'narrow-shoulder', each: { shoulder: -1 }, amounts: [11, 13, 15] },
  { on: 'causeway', cause: 'broad-shoulder', each: { shoulder: 1 }, amounts: [11, 13, 15] },
  { on: 'causeway', cause: 'bodice-short', each: { napeToWaist: 1, sideWaist: 1 }, amounts: [20, 25, 30] },
  { on: 'causeway', cause: 'bodice-long', each: { napeToWaist: -1, sideWaist: -1 }, amounts: [20, 25] },
  { on: 'causeway', cause: 'waist-narrow', each: { waist: 1 }, amounts: [40, 50] },
  { on: 'causeway', cause: 'hip-narrow', each: { hip: 1 }, amounts: [50, 60] },
  { on: 'causeway', cause: 'hip-wide', each: { hip: -1 }, amounts: [40, 50] },
  { on: 'landing', cause: 'rise-longer', each: { crotchDepth: 1, crotchLength: 1.6 }, amounts: [25, 30] },
  { on: 'landing', cause: 'hip-wide', each: { hip: -1, crotchLength: -0.3 }, amounts: [40, 50] },
  { on: 'landing', cause: 'waist-narrow', each: { waist: 1 }, amounts: [40, 50] },
];

/** Causes to choose from besides, where a sample shows few. */
export const BESIDES: Readonly<Partial<Record<SampleId, readonly string[]>>> = {
  landing: ['rise-shorter', 'thigh-slimmer'],
};

/** The sizes they are hung in. */
export const TOILE_SIZES = ['3', '4', '5'] as const;
const OPTIONS = 4;
/** Nobody took these measurements on any day; a set must have one. */
const DATE = '2026-01-01';

/** A toile to read: the same seed gives the same one. The causes offered all show on a toile of this sample. */
export function toileOf(seed: number): ToileToRead {
  const { oneOf } = drawFrom(seed);
  const one = oneOf(TOILES);
  return toileWith(one, oneOf(TOILE_SIZES), oneOf(one.amounts), oneOf);
}

/** A case in a size, by an amount, its causes in an order drawn by chance. */
export function toileWith(
  { on, cause, each }: ToileCase,
  size: string,
  amount: number,
  oneOf: Draw['oneOf'],
): ToileToRead {
  const others = shuffled(
    [...TOILES.filter((c) => c.on === on && c.cause !== cause).map((c) => c.cause), ...(BESIDES[on] ?? [])],
    oneOf,
  );
  const differs = (Object.entries(each) as [MeasurementKey, number][]).map(([key, by]) => ({ key, by: by * amount }));
  return {
    ...{ on, right: cause, differs },
    options: shuffled([cause, ...others.slice(0, OPTIONS - 1)], oneOf),
    job: jobFor(on, size, differs),
  };
}

function jobFor(on: SampleId, size: string, differs: ToileToRead['differs']): ResolvedJob {
  const pattern = samplePattern(on);
  const row: Body = pattern.chart.find((r) => r.size === size)?.body ?? {};
  const body = { ...row, ...Object.fromEntries(differs.map(({ key, by }) => [key, (row[key] ?? 0) + by])) };
  const readings = Object.fromEntries(Object.entries(body).map(([key, mm]) => [key, [mm]]));
  return {
    job: { size, sizeMethod: pattern.garment === 'top' ? 'highBust' : 'hip', steps: [] },
    wearer: { sets: [{ id: 'toile', date: DATE, readings, remarks: {}, carried: [], notes: '' }], bustEase: null },
    pattern,
  };
}

/** The same job with the steps that this body asks for. */
export const mended = (job: ResolvedJob): ResolvedJob => ({ ...job, job: { ...job.job, steps: [...askedSteps(job)] } });
