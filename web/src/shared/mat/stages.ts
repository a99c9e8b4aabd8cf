import { isBefore, STAGES, type Frame, type Run, type Stage } from '@ample/core/alterations';

/** What a run shows at a stage; every run has a frame for each. */
export const frameAt = (run: Run, stage: Stage): Frame | undefined => run.frames.find((f) => f.stage === stage);

/** The stage to go on (or back) to: those at which this alteration has nothing to do are skipped. */
export function nextStage(run: Run | null, stage: Stage, by: 1 | -1): Stage {
  const ahead =
    by === 1 ? STAGES.filter((s) => isBefore(stage, s)) : STAGES.filter((s) => isBefore(s, stage)).toReversed();
  return ahead.find((s) => !run || (frameAt(run, s)?.messages.length ?? 0) > 0) ?? stage;
}

/** Whether nothing lies between two stages. */
export const areNeighbours = (a: Stage, b: Stage): boolean => Math.abs(STAGES.indexOf(a) - STAGES.indexOf(b)) === 1;
