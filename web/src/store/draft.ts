import { create } from 'zustand';
import type { Draft } from '@ample/core/fitting/plan';
import type { Pattern, Piece } from '@ample/core/pattern';
import type { KeepingCode, Refusal } from '@ample/core/units';

/** The draft of the open job, computed in the worker; the last good one stays while the next is made. */
interface DraftState {
  readonly jobId: string | null;
  readonly draft: Draft | null;
  readonly pattern: Pattern | null;
  readonly trouble: Refusal<KeepingCode> | null;
  /** Asks for the draft once more. */
  readonly again: () => void;
}
export const useDraft = create<DraftState>(() => ({
  jobId: null,
  draft: null,
  pattern: null,
  trouble: null,
  again: () => undefined,
}));

/** The pieces before a step: what the carried-out steps before it made of them; after all steps for none. */
export const piecesBefore = (draft: Draft, step: string | null): readonly Piece[] =>
  draft.steps.find((s) => s.step.id === step)?.before ?? draft.pieces;
