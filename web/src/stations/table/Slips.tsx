import { Link, useParams } from 'react-router';
import type { DraftStep } from '@ample/core/fitting/plan';
import { stepAmount, stepName } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';

interface Props {
  readonly steps: readonly DraftStep[];
  readonly active: string | null;
  readonly onOpen: (step: string) => void;
}

/** The plan's slips beside the mat; the open one is on the table. */
export function Slips({ steps, active, onOpen }: Props) {
  const { job } = useParams();
  const units = useUnits();
  return (
    <aside className="shrink-0 overflow-auto border-r border-line p-3" aria-label="Plan">
      <h2 className="mb-2">Plan</h2>
      {steps.length === 0 && <p className="mb-3">Nothing is planned yet.</p>}
      <ol className="space-y-2">
        {steps.map((s, i) => {
          const open = s.step.id === active;
          return (
            <li key={s.step.id}>
              <button
                className={`card block w-full px-3 py-2 text-left hover:bg-tissue ${open ? 'border-l-4 !border-l-carbon' : ''}`}
                aria-current={open ? 'true' : undefined}
                onClick={() => onOpen(s.step.id)}
              >
                <span className="num block text-sm text-quiet">{i + 1}</span>
                <span className="block">{stepName(s)}</span>
                <span className="mt-1 block text-sm">
                  {!s.step.on ? 'switched off' : !s.outcome.ok ? 'cannot be carried out' : stepAmount(s, units)}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
      <div className="mt-3 flex flex-wrap items-start gap-2 min-[1000px]:flex-col">
        <Link className="btn" to={`/job/${job}/plan`}>
          {steps.length === 0 ? 'Plan the bust' : 'Change the plan'}
        </Link>
        {steps.length > 0 && (
          <Link className="btn" to={`/job/${job}/sheet`}>
            Hand sheet
          </Link>
        )}
      </div>
    </aside>
  );
}
