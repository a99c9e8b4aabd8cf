import { useMemo } from 'react';
import { create } from 'zustand';
import { unfitPieces, type Draft } from '@ample/core/fitting/plan';
import type { Piece } from '@ample/core/pattern';
import { useDraft } from './draft.ts';

/** The faults that someone has said to print despite, by job and by what they are: others are asked about anew. */
const useDespite = create<{ readonly of: string | null }>(() => ({ of: null }));

export interface Printable {
  /** Pieces that may be printed, written or thrown. */
  readonly pieces: readonly Piece[];
  /** Pieces held back, or printed because someone said so. */
  readonly unfit: readonly Piece[];
  readonly faults: Draft['faults'];
  /** True once it was said to print them all the same. */
  readonly despite: boolean;
  readonly setDespite: (on: boolean) => void;
}

/** What may be cut of a draft. Faults hold a piece back until they are mended or someone says otherwise. */
export function usePrintable(draft: Draft | null): Printable {
  const job = useDraft((s) => s.jobId);
  const said = useDespite((s) => s.of);
  return useMemo(() => {
    const faults = draft?.faults ?? [];
    const all = draft?.pieces ?? [];
    const key = JSON.stringify([job, faults.map((f) => [f.code, f.piece, f.data])]);
    const despite = faults.length > 0 && said === key;
    const unfit = draft ? unfitPieces(draft) : new Set<string>();
    return {
      pieces: despite ? all : all.filter((p) => !unfit.has(p.id)),
      unfit: all.filter((p) => unfit.has(p.id)),
      faults,
      despite,
      setDespite: (on) => useDespite.setState({ of: on ? key : null }),
    };
  }, [draft, job, said]);
}
