import { fittedCap, type CapGoal } from '../../paper/truing/index.ts';
import { ok } from '../../units/index.ts';
import { operation, type Said } from './operation.ts';

interface FitCap extends Said {
  readonly goal: CapGoal;
}

export const fitCap = operation<'fitCap', FitCap>('fitCap', {
  stage: 'true',
  summary: 'changes the height of a cap until each half is as long as its armhole asks',
  run: ({ state }, { goal }) => {
    const done = fittedCap(state.piece, goal);
    if (!done.ok) return done;
    state.piece = done.value.piece;
    return ok(undefined);
  },
});
