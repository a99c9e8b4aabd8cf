import { amountOf, type Draft, type ResolvedJob } from '../draft/index.ts';
import { changesBetween, type Change as BodyChange } from '../fit/index.ts';
import type { Job, Step, Version, Wearer } from '../formats/schema.ts';
import type { Pattern } from '../pattern/index.ts';
import { ADVICE } from '../units/index.ts';

const choicesOf = (of: Pick<Job, 'size' | 'sizeMethod' | 'cup' | 'steps' | 'order'>) => ({
  size: of.size,
  sizeMethod: of.sizeMethod,
  cup: of.cup,
  steps: of.steps,
  order: of.order,
});

/** A named state of a job as it stands. `at` is the moment, ISO. */
export const versionOf = (job: Job, wearer: Wearer, id: string, name: string, at: string): Version => ({
  id,
  name,
  at,
  ...choicesOf(job),
  body: { sets: wearer.sets, bustEase: wearer.bustEase, eases: wearer.eases },
  pattern: 'chart' in job.pattern ? job.pattern : null,
});

/** A job with the choices of a version put back. Fittings, other versions and the body stay as they are. */
export const returnTo = (job: Job, version: Version): Job => ({
  ...job,
  ...choicesOf(version),
  ...(version.pattern ? { pattern: version.pattern } : {}),
});

/** Does a job stand exactly as a version says? */
export const standsAs = (job: Job, version: Version): boolean =>
  JSON.stringify(choicesOf(job)) === JSON.stringify(choicesOf(version)) &&
  (version.pattern === null || JSON.stringify(version.pattern) === JSON.stringify(job.pattern));

/** What a version's draft is computed from: its own body, and the pattern of the job where it kept none. */
export const resolveVersion = (version: Version, pattern: Pattern): ResolvedJob => ({
  job: choicesOf(version),
  wearer: version.body,
  pattern: version.pattern ?? pattern,
});

/** One difference between two states of a job. Amounts in mm. */
export type Difference =
  | { readonly kind: 'size'; readonly from: string | null; readonly to: string | null }
  | { readonly kind: 'cup'; readonly from: string | null; readonly to: string | null }
  | { readonly kind: 'added' | 'removed'; readonly step: Step; readonly amount: number | null }
  | { readonly kind: 'off' | 'on'; readonly step: Step; readonly amount: number | null }
  | { readonly kind: 'amount'; readonly step: Step; readonly from: number | null; readonly to: number | null }
  | { readonly kind: 'side'; readonly step: Step; readonly from: Step['side'] }
  | { readonly kind: 'other'; readonly step: Step }
  | { readonly kind: 'order' }
  | { readonly kind: 'body'; readonly change: BodyChange };

type State = Pick<Draft, 'size' | 'cup' | 'steps' | 'body'>;

/** What changed from one state to another, in the order of the work. Both are drafted, so that amounts left to the sums count. */
export function differences(before: State, after: State): readonly Difference[] {
  const out: Difference[] = [];
  if (before.size !== after.size) out.push({ kind: 'size', from: before.size, to: after.size });
  if (before.cup !== after.cup) out.push({ kind: 'cup', from: before.cup, to: after.cup });
  for (const change of changesBetween(before.body, after.body)) out.push({ kind: 'body', change });
  for (const was of before.steps)
    if (!after.steps.some((s) => s.step.id === was.step.id))
      out.push({ kind: 'removed', step: was.step, amount: amountOf(was) });
  for (const now of after.steps) {
    const was = before.steps.find((s) => s.step.id === now.step.id);
    const { step } = now;
    const amount = amountOf(now);
    if (!was) out.push({ kind: 'added', step, amount });
    else if (was.step.on !== step.on) out.push({ kind: step.on ? 'on' : 'off', step, amount });
    else {
      const from = amountOf(was);
      if (was.step.side !== step.side) out.push({ kind: 'side', step, from: was.step.side });
      if (Math.abs((from ?? 0) - (amount ?? 0)) >= ADVICE.worthTelling / 10)
        out.push({ kind: 'amount', step, from, to: amount });
      else if (was.step.alteration !== step.alteration || !sameValues(was.values, now.values))
        out.push({ kind: 'other', step });
    }
  }
  const kept = (of: State, other: State): string =>
    of.steps
      .map((s) => s.step.id)
      .filter((id) => other.steps.some((s) => s.step.id === id))
      .join(' ');
  if (kept(before, after) !== kept(after, before)) out.push({ kind: 'order' });
  return out;
}

const sameValues = (a: object, b: object): boolean => JSON.stringify(a) === JSON.stringify(b);
