import { Link, useParams } from 'react-router';
import { alterationById, type Fit } from '@ample/core/alterations';
import type { Step } from '@ample/core/formats';
import { sayFit } from '@ample/core/words';
import { editStep } from '../store/job.ts';
import { useUnits } from '../store/prefs.ts';

/** The sum behind an amount, and the way back to it once another was typed. */
export function FitSum({
  step,
  fit,
  amount,
}: {
  readonly step: Step;
  readonly fit: Fit | null;
  readonly amount: string | null;
}) {
  const units = useUnits();
  const { job } = useParams();
  if (!alterationById(step.alteration)?.fits) return null;
  const keys = fit ? Object.keys(fit.values) : amount ? [amount] : [];
  const own = keys.some((k) => k in step.values);
  return (
    <div className="workings max-w-[70ch] p-3">
      <p>
        {fit
          ? sayFit(fit.sum, units)
          : 'Nothing is measured that would ask for this: the amount is a beginning, set your own.'}
      </p>
      <p className="mt-1 flex flex-wrap items-center gap-x-4 text-sm">
        {own && fit && (
          <button
            className="underline"
            onClick={() =>
              editStep(step.id, (s) => ({
                ...s,
                values: Object.fromEntries(Object.entries(s.values).filter(([k]) => !keys.includes(k))),
              }))
            }
          >
            take the computed amount
          </button>
        )}
        <Link className="underline" to={`/job/${job}/body`}>
          measurements
        </Link>
      </p>
    </div>
  );
}
