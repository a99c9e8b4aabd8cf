import { create } from 'zustand';
import type { Draft, ResolvedJob } from '@ample/core/draft';
import type { Pattern, Piece } from '@ample/core/pattern';
import type { Refusal } from '@ample/core/units';
import { draftClient } from '../workers/client.ts';
import { adopt } from './adopt.ts';
import { patternOf, useJob } from './job.ts';
import { useLibrary } from './library.ts';

/** The draft of the open job, computed in the worker; the last good one stays while the next is made. */
interface DraftState {
  readonly jobId: string | null;
  readonly draft: Draft | null;
  readonly pattern: Pattern | null;
  readonly trouble: Refusal | null;
}
export const useDraft = create<DraftState>(() => ({ jobId: null, draft: null, pattern: null, trouble: null }));

const makeWorker = () => new Worker(new URL('../workers/draft.worker.ts', import.meta.url), { type: 'module' });

/** Keeps the draft in step with the open job. Returns what stops it. */
export function startDrafting(make: () => Worker = makeWorker): () => void {
  const jobs = new WeakMap<ResolvedJob, string>();
  const client = draftClient(
    make,
    (draft, of) =>
      useDraft.setState({ draft: adopt(draft, of.pattern), jobId: jobs.get(of) ?? null, pattern: of.pattern }),
    (trouble) => useDraft.setState({ trouble }),
  );
  const ask = () => {
    const { job, wearer } = useJob.getState();
    const pattern = patternOf(job, useLibrary.getState().patterns);
    if (!job || !wearer || !pattern) return;
    const input: ResolvedJob = {
      job: { size: job.size, sizeMethod: job.sizeMethod, steps: job.steps },
      wearer: { sets: wearer.sets, bustEase: wearer.bustEase },
      pattern,
    };
    jobs.set(input, job.id);
    client.ask(input);
  };
  const off = useJob.subscribe(ask);
  ask();
  return () => {
    off();
    client.stop();
  };
}

/** The pieces before a step: what the carried-out steps before it made of them; after all steps for none. */
export function piecesBefore(draft: Draft, step: string | null): readonly Piece[] {
  let pieces = draft.original;
  if (step === null) return draft.pieces;
  for (const s of draft.steps) {
    if (s.step.id === step) break;
    if (s.step.on && s.outcome.ok) pieces = s.outcome.value.pieces;
  }
  return pieces;
}
