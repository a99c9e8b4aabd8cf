import type { Draft } from '@ample/core/fitting/plan';
import type { Job } from '@ample/core/documents';
import { inOrderOfDate } from '@ample/core/fitting/toile';
import { isOnlyMissing } from '../shared/first/firstThing.ts';
import type { StationId } from './stations.ts';

/** How far a job has come along the tape: the number of stations whose work is done. */
export function reached(draft: Draft | null, job: Pick<Job, 'fittings'> | null = null): number {
  if (!draft || draft.size === null) return 1;
  const last = job && inOrderOfDate(job.fittings).at(-1);
  if (last) return last.verdict === 'good' ? 9 : 8;
  if (draft.steps.length === 0) return 3;
  return draft.steps.some((s) => s.step.on && s.outcome.ok) ? 7 : 5;
}

/** What wants attention, by station. */
export function pins(
  draft: Draft | null,
  job: Pick<Job, 'fittings'> | null = null,
): Readonly<Partial<Record<StationId, number>>> {
  if (!draft) return {};
  const last = job && inOrderOfDate(job.fittings).at(-1);
  // Seen at the last fitting, and nothing decided about it.
  const undecided =
    last?.verdict === 'good' ? 0 : (last?.observations.filter((o) => o.answers.length === 0).length ?? 0);
  const faults =
    draft.check.findings.filter((f) => f.grade !== 'note').length +
    draft.steps
      .flatMap((s) => (s.outcome.ok && s.step.on ? s.outcome.value.findings : []))
      .filter((f) => f.code === 'back-needs-look').length;
  const refused = draft.steps.filter((s) => s.step.on && !s.outcome.ok).length;
  return {
    ...(draft.bodyProblems.length > 0 ? { body: draft.bodyProblems.length } : {}),
    // What is only missing so far is nothing to look at.
    ...(draft.refusal && !isOnlyMissing(draft.refusal.code) ? { size: 1 } : {}),
    ...(refused > 0 ? { plan: refused, table: refused } : {}),
    ...(faults > 0 ? { check: faults } : {}),
    ...(undecided > 0 ? { toile: undecided } : {}),
  };
}
