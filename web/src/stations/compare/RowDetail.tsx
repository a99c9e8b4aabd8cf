import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import type { Draft } from '@ample/core/fitting/plan';
import { effectsOf, isTold, type Row } from '@ample/core/fitting/compare';
import { ADVICE } from '@ample/core/units';
import { MEASUREMENT_WORDS, sayReason, saySum, sayShare, stepName, whereFlat } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';
import { Length } from '../../shared/basics.tsx';

/** The sum of one row in words, where the tape lies for it, and what the steps of the plan do to it. */
export function RowDetail({ row, draft }: { readonly row: Row; readonly draft: Draft }) {
  const units = useUnits();
  const { job } = useParams();
  const by = useMemo(
    () =>
      draft.steps.flatMap((s) => {
        if (!s.step.on || !s.outcome.ok) return [];
        const before = { pieces: s.before, seams: draft.seams };
        const after = { pieces: s.outcome.value.pieces, seams: s.outcome.value.seams };
        const found = effectsOf(before, after, [row.key], ADVICE.worthTelling)[0];
        return found ? [{ id: s.step.id, name: stepName(s), by: found.by }] : [];
      }),
    [draft, row.key],
  );
  const sum = saySum(row, units);
  const reason = sayReason(row, units);
  return (
    <section className="workings p-4" aria-label={`${MEASUREMENT_WORDS[row.key].name}, the sum`}>
      <h2>{MEASUREMENT_WORDS[row.key].name}</h2>
      {sum ? <p className="num mt-1">{sum}</p> : <p className="mt-1 text-quiet">Body or pattern is not known here.</p>}
      {reason !== '' && <p className="mt-1">{reason}</p>}
      {row.each !== null && row.share.parts > 1 && isTold(row) && <p className="mt-1 text-sm">{sayShare(row.share)}</p>}
      <p className="mt-2 text-sm text-quiet">{whereFlat(row.key)}</p>
      {by.length > 0 && (
        <ul className="mt-2" aria-label="What the plan does to it">
          {by.map((b) => (
            <li key={b.id}>
              <Length value={b.by} sign /> by <span>{b.name.toLowerCase()}</span>
            </li>
          ))}
        </ul>
      )}
      {row.body === null && (
        <Link className="link mt-2" to={`/job/${job}/body?take=${row.key}`}>
          Measure it on the body
        </Link>
      )}
    </section>
  );
}
