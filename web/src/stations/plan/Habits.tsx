import type { Draft } from '@ample/core/fitting/plan';
import { ALTERATION_WORDS, sayFit, sayHabit } from '@ample/core/words';
import { today } from '../../lib/time.ts';
import { finishJob, reopenJob } from '../../store/history.ts';
import { useJob } from '../../store/job.ts';
import { addStep } from '../../store/plan.ts';
import { useUnits } from '../../store/prefs.ts';

/** What finished jobs of this wearer had done, proposed for this pattern. */
export function UsualAlterations({ draft }: { readonly draft: Draft }) {
  const units = useUnits();
  const wearer = useJob((s) => s.wearer?.name ?? '');
  if (draft.usual.length === 0) return null;
  return (
    <section className="card mb-5 p-4" aria-label="Usual alterations">
      <h2 className="mb-2">Usual for {wearer}</h2>
      <ul className="space-y-3">
        {draft.usual.map((u) => {
          const words = ALTERATION_WORDS[u.alteration ?? u.done];
          const now = u.fit?.values['by'] ?? u.values['by'] ?? u.by;
          const name = typeof now === 'number' && now < 0 ? words?.lapName : words?.name;
          return (
            <li key={u.done} className="grid gap-x-4 gap-y-1 min-[800px]:grid-cols-[290px_minmax(0,1fr)]">
              {u.alteration !== null && !u.planned ? (
                <button className="btn self-start !justify-start" onClick={() => addStep(u.alteration ?? '', u.values)}>
                  {name}
                </button>
              ) : (
                <span className="self-center">
                  {name}
                  {u.planned && <span className="text-quiet">, in the plan</span>}
                </span>
              )}
              <p className="self-center">
                {sayHabit(u, units)} {u.fit && sayFit(u.fit.sum, units)}
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** The end of a job: its plan is learnt. */
export function Finish({ draft, pattern }: { readonly draft: Draft; readonly pattern: string }) {
  const finished = useJob((s) => s.job?.finished ?? null);
  const name = useJob((s) => s.wearer?.name ?? '');
  if (draft.steps.length === 0) return null;
  return (
    <section className="card mt-5 flex flex-wrap items-center gap-4 p-4" aria-label="Finished">
      {finished === null ? (
        <>
          <button className="btn" onClick={() => finishJob(draft, pattern, today())}>
            The garment is finished
          </button>
          <p className="min-w-0 flex-1">
            These alterations are then kept as usual for {name} and proposed for the next pattern.
          </p>
        </>
      ) : (
        <>
          <p className="min-w-0 flex-1">Finished on {finished}; these alterations are proposed for the next pattern.</p>
          <button className="btn" onClick={reopenJob}>
            Not finished after all
          </button>
        </>
      )}
    </section>
  );
}
