import type { Draft } from '@ample/core/draft';
import type { StationId } from './stations.ts';

/** How far along the tape a job has come: the number of stations whose work is there. */
export function reached(draft: Draft | null): number {
  if (!draft || draft.size === null) return 1;
  if (draft.steps.length === 0) return 3;
  return draft.steps.some((s) => s.step.on && s.outcome.ok) ? 7 : 5;
}

/** What wants attention, by station. */
export function pins(draft: Draft | null): Readonly<Partial<Record<StationId, number>>> {
  if (!draft) return {};
  const faults =
    draft.check.findings.filter((f) => f.grade !== 'note').length +
    draft.steps
      .flatMap((s) => (s.outcome.ok && s.step.on ? s.outcome.value.findings : []))
      .filter((f) => f.code === 'back-needs-look').length;
  const refused = draft.steps.filter((s) => s.step.on && !s.outcome.ok).length;
  return {
    ...(draft.bodyProblems.length > 0 ? { body: draft.bodyProblems.length } : {}),
    ...(draft.refusal ? { size: 1 } : {}),
    ...(refused > 0 ? { plan: refused, table: refused } : {}),
    ...(faults > 0 ? { check: faults } : {}),
  };
}
