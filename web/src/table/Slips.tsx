import { Link, useParams } from 'react-router';
import type { DraftStep } from '@ample/core/draft';
import { ALTERATION_WORDS } from '@ample/core/words';
import { Length } from '../ui/parts.tsx';

/** The plan's slips beside the mat. */
export function Slips({ steps, active }: { readonly steps: readonly DraftStep[]; readonly active: string | null }) {
  const { job } = useParams();
  return (
    <aside className="shrink-0 overflow-auto border-r border-line p-3" aria-label="Plan">
      <h2 className="mb-2">Plan</h2>
      {steps.length === 0 && <p className="mb-3">Nothing is planned yet.</p>}
      <ol className="space-y-2">
        {steps.map(({ step, total, outcome }, i) => {
          const words = ALTERATION_WORDS[step.alteration];
          return (
            <li key={step.id} className={`sheet px-3 py-2 ${step.id === active ? 'border-l-4 !border-l-carbon' : ''}`}>
              <div className="num text-sm text-quiet">{i + 1}</div>
              <div>{(total !== null && total < 0 ? words?.lapName : words?.name) ?? step.alteration}</div>
              <div className="mt-1 text-sm">
                {!step.on
                  ? 'switched off'
                  : !outcome.ok
                    ? 'cannot be carried out'
                    : total !== null && <Length value={total} sign />}
                {step.on && outcome.ok && ' over the front'}
              </div>
            </li>
          );
        })}
      </ol>
      <Link className="btn mt-3" to={`/job/${job}/plan`}>
        {steps.length === 0 ? 'Plan the bust' : 'Change the plan'}
      </Link>
    </aside>
  );
}
