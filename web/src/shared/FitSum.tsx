import { Link, useParams } from 'react-router';
import { alterationById, type Fit } from '@ample/core/alterations';
import { isTyped } from '@ample/core/fitting/plan';
import type { Step } from '@ample/core/documents';
import { sayFit } from '@ample/core/words';
import { takeComputed } from '../store/plan.ts';
import { useUnits } from '../store/prefs.ts';

/** The sum behind an amount, and a button to return to it once another was typed. */
export function FitSum({ step, fit }: { readonly step: Step; readonly fit: Fit | null }) {
  const units = useUnits();
  const { job } = useParams();
  if (!alterationById(step.alteration)?.fits) return null;
  return (
    <div className="workings max-w-[70ch] p-3">
      <p>
        {fit
          ? sayFit(fit.sum, units)
          : 'Nothing measured calls for this: the amount is a starting point. Set your own.'}
      </p>
      <p className="mt-1 flex flex-wrap items-center gap-x-4 text-sm">
        {fit && isTyped(step) && (
          <button className="link" onClick={() => takeComputed(step.id, fit)}>
            take the computed amount
          </button>
        )}
        <Link className="link" to={`/job/${job}/body`}>
          measurements
        </Link>
      </p>
    </div>
  );
}
