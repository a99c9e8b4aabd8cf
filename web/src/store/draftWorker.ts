import type { ResolvedJob } from '@ample/core/fitting/plan';
import { draftClient, type DraftWish } from '../workers/client.ts';
import { adopt } from './adopt.ts';
import { useDraft } from './draft.ts';
import { useGesture, useJob } from './job.ts';
import { useLibrary } from './library.ts';
import { patternOf } from './patterns.ts';

const makeWorker = () => new Worker(new URL('../workers/draft.worker.ts', import.meta.url), { type: 'module' });

/** The open job with what the computation needs of it; null while its pattern is not at hand. */
export function resolvedJob(): ResolvedJob | null {
  const { job, wearer } = useJob.getState();
  const pattern = patternOf(job, useLibrary.getState().patterns);
  if (!job || !wearer || !pattern) return null;
  return {
    job: {
      size: job.size,
      sizeMethod: job.sizeMethod,
      cup: job.cup,
      view: job.view,
      hanging: job.hanging,
      steps: job.steps,
      order: job.order,
    },
    wearer: {
      sets: wearer.sets,
      bustEase: wearer.bustEase,
      eases: wearer.eases,
      heightLies: wearer.heightLies,
      learnt: wearer.learnt,
    },
    pattern,
  };
}

/** Keeps the draft in step with the open job. Returns what stops it. */
export function startDrafting(make: () => Worker = makeWorker): () => void {
  const jobs = new WeakMap<DraftWish, string>();
  const client = draftClient(
    make,
    (draft, of) =>
      useDraft.setState({ draft: adopt(draft, of.pattern), jobId: jobs.get(of) ?? null, pattern: of.pattern }),
    (trouble) => useDraft.setState({ trouble }),
  );
  const ask = () => {
    const input = resolvedJob();
    const { job } = useJob.getState();
    if (!input || !job) return;
    const wish: DraftWish = { ...input, care: useGesture.getState().dragging ? 'quick' : 'complete' };
    jobs.set(wish, job.id);
    client.ask(wish);
  };
  const off = useJob.subscribe(ask);
  const released = useGesture.subscribe((s) => {
    if (!s.dragging) ask();
  });
  useDraft.setState({ again: ask });
  ask();
  return () => {
    off();
    released();
    client.stop();
  };
}
