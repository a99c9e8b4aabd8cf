import { newestFirst, type MeasurementSet } from '../fit/index.ts';
import type { Job } from '../../documents/schema.ts';
import { inOrderOfDate } from './follow.ts';

/** What comes next in a job, and the station where it is done. */
export interface NextAction {
  readonly code:
    | 'next.measure'
    | 'next.size'
    | 'next.table'
    | 'next.note'
    | 'next.decide'
    | 'next.toile'
    | 'next.cut'
    | 'next.again'
    | 'next.master';
  readonly station: 'body' | 'size' | 'table' | 'toile' | 'print' | 'plan';
}

/** Worked out from the documents alone, so that the rail need not draft every job. */
export function nextAction(job: Job, wearer: { readonly sets: readonly MeasurementSet[] } | undefined): NextAction {
  const newest = newestFirst(wearer?.sets ?? [])[0];
  // On the form nothing is sewn: what it shows is decided, and then the work goes on as it would have.
  const last = inOrderOfDate(job.fittings)
    .filter((f) => f.kind !== 'form' || f.observations.some((o) => o.answers.length === 0))
    .at(-1);
  if (job.finished !== null) return { code: 'next.again', station: 'toile' };
  if (!newest?.readings.highBust || !newest.readings.fullBust) return { code: 'next.measure', station: 'body' };
  if (!last && job.again) return { code: 'next.master', station: 'plan' };
  if (!last)
    return job.steps.length === 0 ? { code: 'next.size', station: 'size' } : { code: 'next.table', station: 'table' };
  if (last.verdict === 'good' && last.kind !== 'form') return { code: 'next.cut', station: 'print' };
  const looked = last.observations.length > 0 || last.followed.length > 0 || Object.keys(last.checks).length > 0;
  if (!looked) return { code: 'next.note', station: 'toile' };
  if (last.observations.some((o) => o.answers.length === 0)) return { code: 'next.decide', station: 'toile' };
  return { code: 'next.toile', station: 'print' };
}
