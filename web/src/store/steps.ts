import { create, type StoreApi, type UseBoundStore } from 'zustand';
import { last } from '@ample/core/units';

interface Past<T> {
  readonly past: readonly T[];
  readonly future: readonly T[];
}
/** What one does on a station and may take back there, apart from the job's own steps. */
export interface Steps<T> {
  readonly useSteps: UseBoundStore<StoreApi<Past<T>>>;
  /** A step was made; how everything stood before it. */
  readonly made: (before: T) => void;
  readonly forget: () => void;
  /** False where there is nothing to take back, or to do again. */
  readonly takeBack: () => boolean;
  readonly doAgain: () => boolean;
}
/** So many steps may be taken back. */
const MOST_PAST = 200;

/** Steps over a state that `now` tells and `stand` puts back. */
export function stepsOf<T>(now: () => T, stand: (as: T) => void): Steps<T> {
  const useSteps = create<Past<T>>()(() => ({ past: [], future: [] }));
  return {
    useSteps,
    made: (before) => useSteps.setState((h) => ({ past: [...h.past, before].slice(-MOST_PAST), future: [] })),
    forget: () => useSteps.setState({ past: [], future: [] }),
    takeBack: () => {
      const { past, future } = useSteps.getState();
      if (past.length === 0) return false;
      const here = now();
      stand(last(past));
      useSteps.setState({ past: past.slice(0, -1), future: [...future, here] });
      return true;
    },
    doAgain: () => {
      const { past, future } = useSteps.getState();
      if (future.length === 0) return false;
      const here = now();
      stand(last(future));
      useSteps.setState({ past: [...past, here], future: future.slice(0, -1) });
      return true;
    },
  };
}
