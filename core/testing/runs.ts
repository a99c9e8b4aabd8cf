import type { Run } from '../alterations/index.ts';

/** A run seen through the piece it is about: its change and its part of every frame beside the rest. */
export function primary(run: Run) {
  const [change] = run.changes;
  if (!change) throw new Error('primary: expected a run that changes a piece');
  return {
    ...run,
    ...change,
    frames: run.frames.map((f) => {
      const [first] = f.pieces;
      if (!first) throw new Error('primary: expected a piece in every frame');
      return { ...f, ...first, moves: first.moves };
    }),
  };
}
export type PrimaryRun = ReturnType<typeof primary>;
