import { amountOf, type Draft } from '../plan/index.ts';
import { bodyFrom, changesBetween, newestFirst } from '../fit/index.ts';
import { alterationById } from '../../alterations/index.ts';
import { jobSchema, type Job, type Step, type Wearer } from '../../documents/schema.ts';
import { inOrderOfDate } from './follow.ts';

/** A step with the amount it was carried out with: made again, it is the master, not the sums, that decides. */
function settled(step: Step, draft: Draft): Step {
  const done = draft.steps.find((s) => s.step.id === step.id);
  const key = alterationById(step.alteration)?.amount;
  const amount = done ? amountOf(done) : null;
  const values = done
    ? Object.fromEntries(Object.entries(done.values).filter(([, v]) => v !== undefined))
    : step.values;
  return {
    ...step,
    values: { ...(values as Step['values']), ...(key && amount !== null ? { [key]: amount } : {}) },
  };
}

/** The altered pattern as a master: a new job with the same pattern, size and amounts, for another cloth. */
export function makeAgain(
  job: Job,
  draft: Draft,
  { id, fabric, today }: { readonly id: string; readonly fabric: string; readonly today: string },
): Job {
  return jobSchema.parse({
    format: job.format,
    version: job.version,
    id,
    title: job.title,
    wearer: job.wearer,
    pattern: job.pattern,
    size: draft.size,
    sizeMethod: job.sizeMethod,
    cup: draft.cup,
    order: job.order,
    steps: job.steps.filter((s) => s.on).map((s) => settled(s, draft)),
    labels: job.labels,
    fabric,
    again: { job: job.id, title: job.title, fabric: job.fabric, date: today, body: { ...draft.body } },
  });
}

/** Something to look at anew before a pattern is used again. */
export interface AgainCheck {
  readonly code: 'again.cloth' | 'again.moved' | 'again.old' | 'again.left' | 'again.never' | 'again.knit';
  readonly data: Readonly<Record<string, string | number>>;
}

/** A body moves in this many months, as a rule. */
const MONTHS = 6;

/** What to check again when a job was made from another: cloth, body, and what the last fitting had left open. */
export function againChecks(
  job: Pick<Job, 'again' | 'fabric'>,
  wearer: Pick<Wearer, 'sets'>,
  source: Pick<Job, 'fittings'> | null,
  knit: boolean,
  today: string,
): readonly AgainCheck[] {
  if (!job.again) return [];
  const out: AgainCheck[] = [{ code: 'again.cloth', data: { from: job.again.fabric, to: job.fabric } }];
  if (knit) out.push({ code: 'again.knit', data: {} });
  for (const { key, by } of changesBetween(job.again.body, bodyFrom(wearer.sets)))
    out.push({ code: 'again.moved', data: { key, by } });
  const measured = newestFirst(wearer.sets)[0]?.date;
  if (measured && monthsBetween(measured, today) >= MONTHS)
    out.push({ code: 'again.old', data: { months: monthsBetween(measured, today) } });
  const last = source && inOrderOfDate(source.fittings).at(-1);
  if (!last || last.verdict !== 'good') out.push({ code: 'again.never', data: {} });
  const open =
    (last?.followed ?? []).filter((f) => f.result !== 'gone').length +
    (last?.verdict === 'good' ? 0 : (last?.observations.length ?? 0));
  if (open > 0) out.push({ code: 'again.left', data: { count: open, date: last?.date ?? '' } });
  return out;
}

function monthsBetween(a: string, b: string): number {
  const [ya = 0, ma = 0, da = 0] = a.split('-').map(Number);
  const [yb = 0, mb = 0, db = 0] = b.split('-').map(Number);
  return (yb - ya) * 12 + (mb - ma) - (db < da ? 1 : 0);
}
