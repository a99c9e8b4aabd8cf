import { isSample, wholeSample } from '@ample/core/blocks';
import type { Job } from '@ample/core/documents';
import { PATTERN_VERSION, patternSchema, type MeasurementKey, type Pattern } from '@ample/core/pattern';
import { editJob } from './job.ts';
import { useLibrary } from './library.ts';
import { freshId } from '../lib/ids.ts';

/** The pattern of a job: inline, from the drawer, or one of the house's samples, drafted when first asked for. */
export function patternOf(job: Pick<Job, 'pattern'> | null, patterns: readonly Pattern[]): Pattern | null {
  const ref = job?.pattern;
  if (!ref) return null;
  if ('chart' in ref) return ref;
  const id = 'id' in ref ? ref.id : 'sample' in ref ? ref.sample : '';
  // A sample is always the one that comes with the app, whatever an older version put in the drawer.
  return isSample(id) ? wholeSample(id) : (patterns.find((p) => p.id === id) ?? null);
}

/** One's own pattern is changed in the job that is open; the drawer keeps the newest. */
export const isOwn = (pattern: Pattern): boolean => !isSample(pattern.id);

/** Changes the pattern of the open job. A sample is never changed: `copyPattern` makes it one's own first. */
export const editPattern = (change: (pattern: Pattern) => Pattern): void =>
  editJob((j) => {
    const now = patternOf(j, useLibrary.getState().patterns);
    return now && isOwn(now) ? { ...j, pattern: change(now) as Job['pattern'] } : j;
  });

/** One body measurement of one size in the chart of the open job's pattern; null takes it out. */
export const setInChart = (size: string, key: MeasurementKey, value: number | null): void =>
  editPattern((p) => ({
    ...p,
    chart: p.chart.map((r) => {
      if (r.size !== size) return r;
      const { [key]: _gone, ...rest } = r.body;
      return { ...r, body: value === null ? rest : { ...rest, [key]: value } };
    }),
  }));

/** The pattern of the open job as one's own, to be changed. */
export const copyPattern = (): void =>
  editJob((j) => {
    const now = patternOf(j, useLibrary.getState().patterns);
    return now ? { ...j, pattern: { ...now, id: freshId('p'), name: `${now.name}, my own` } as Job['pattern'] } : j;
  });

/** A pattern of paper only: a name, one size, nothing else known yet. */
export const paperPattern = (name: string): Pattern =>
  patternSchema.parse({
    format: 'ample-draft/pattern',
    version: PATTERN_VERSION,
    id: freshId('p'),
    name,
    chart: [{ size: '1', body: {} }],
    sizes: {},
  });
