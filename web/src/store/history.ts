import { lessonOf, type Draft } from '@ample/core/fitting/plan';
import type { Job } from '@ample/core/documents';
import { useJob } from './job.ts';

/** The garment is finished: its plan is kept with the wearer and proposed for the next pattern. */
export function finishJob(draft: Draft, pattern: string, today: string): void {
  useJob.setState(({ job, wearer }) => {
    if (!job || !wearer) return {};
    const lesson = lessonOf(draft, job.id, pattern, today);
    const learnt = [...wearer.learnt.filter((l) => l.job !== job.id), lesson];
    return { job: { ...job, finished: today } satisfies Job, wearer: { ...wearer, learnt } };
  });
}

/** Not finished after all: what it taught is taken back. */
export function reopenJob(): void {
  useJob.setState(({ job, wearer }) =>
    job && wearer
      ? {
          job: { ...job, finished: null },
          wearer: { ...wearer, learnt: wearer.learnt.filter((l) => l.job !== job.id) },
        }
      : {},
  );
}
