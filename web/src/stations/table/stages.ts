import { STAGES, type Run } from '@ample/core/alterations';

/** The stage to go on (or back) to: those at which this alteration has nothing to do are skipped. */
export function nextStage(run: Run | null, stage: number, by: 1 | -1): number {
  for (let i = stage + by; i >= 0 && i < STAGES.length; i += by)
    if (!run || (run.frames[i]?.messages.length ?? 0) > 0) return i;
  return stage;
}
