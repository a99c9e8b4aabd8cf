import { useEffect, useState } from 'react';
import type { Draft } from '@ample/core/fitting/plan';
import type { Thinned, Worth } from '@ample/core/fitting/solve';
import { noun, sayWorth, stepName } from '@ample/core/words';
import { resolvedJob } from '../../store/draftWorker.ts';
import { editJob } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';
import { startThinning } from '../../workers/client.ts';

/** How long the plan must stand still before its steps are weighed, ms. */
const STILL = 600;

/** What each step of the plan is worth; null until it has been weighed, and while nothing can be. */
export function useThinned(draft: Draft | null): Thinned | null {
  const [found, setFound] = useState<{ readonly of: Draft['steps']; readonly thinned: Thinned } | null>(null);
  const steps = draft?.steps;
  useEffect(() => {
    if (!steps?.some((s) => s.step.on)) return;
    let cancel = (): void => undefined;
    const timer = setTimeout(() => {
      const job = resolvedJob();
      if (!job) return;
      const work = startThinning(job);
      cancel = work.cancel;
      // Without an answer nothing is shown: the plan works without it.
      work.done.then((thinned) => setFound({ of: steps, thinned })).catch(() => undefined);
    }, STILL);
    return () => {
      clearTimeout(timer);
      cancel();
    };
  }, [steps]);
  // What was weighed for another plan is not shown beside this one.
  return found !== null && found.of === steps ? found.thinned : null;
}

/** One line on a slip: what would be left without this step. */
export function WorthLine({ worth }: { readonly worth: Worth | undefined }) {
  const units = useUnits();
  if (!worth) return null;
  return <p className="border-b border-line px-4 py-2 text-quiet">{sayWorth(worth, units)}</p>;
}

/** The smallest plan, one press away: steps without which nothing a tape can tell would be left. */
export function SmallestPlan({ draft, thinned }: { readonly draft: Draft; readonly thinned: Thinned | null }) {
  const drop = draft.steps.filter((s) => thinned?.drop.includes(s.step.id));
  if (drop.length === 0) return null;
  return (
    <section className="card p-3" aria-label="The smallest plan">
      <h2>The smallest plan</h2>
      <p className="mb-2 text-sm text-quiet">
        Without {noun(drop.length, 'this step', 'these steps')} nothing would be left that a tape can tell:
      </p>
      <ul className="mb-3 list-disc pl-5">
        {drop.map((s) => (
          <li key={s.step.id}>{stepName(s)}</li>
        ))}
      </ul>
      <button
        className="btn"
        onClick={() => editJob((j) => ({ ...j, steps: j.steps.filter((s) => !drop.some((d) => d.step.id === s.id)) }))}
      >
        Take {drop.length === 1 ? 'it' : `all ${drop.length}`} out
      </button>
    </section>
  );
}
