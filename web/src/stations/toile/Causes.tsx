import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import type { Draft } from '@ample/core/fitting/plan';
import type { Fitting } from '@ample/core/documents';
import { rankCauses, type Ranked } from '@ample/core/fitting/toile';
import { Said } from '../../shared/Said.tsx';
import { CAUSE_WORDS, GRADE_WORDS, sayAnswer, sayChange, sayEvidence, SYMPTOM_WORDS } from '@ample/core/words';
import { longDate, today } from '../../lib/time.ts';
import { takeChange } from '../../store/fittings.ts';
import { useJob } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';

/** So many are read; the rest wait behind a fold. */
const FIRST = 4;

/** Causes by likelihood, each with what speaks for it, the test that tells it apart, and what it would change. */
export function Causes({ fitting, draft }: { readonly fitting: Fitting; readonly draft: Draft | null }) {
  const sizeMethod = useJob((s) => s.job?.sizeMethod ?? 'highBust');
  const ranked = useMemo(
    () => (draft ? rankCauses(fitting.observations, draft, { sizeMethod }) : []),
    [fitting.observations, draft, sizeMethod],
  );
  if (fitting.observations.length === 0) return null;
  const rest = ranked.slice(FIRST);
  return (
    <section aria-labelledby="causes">
      <h3 id="causes">Where it may come from</h3>
      <p className="mb-2 text-sm text-quiet">
        The likeliest first, from what was seen and from what body and pattern still differ by. Do the test before you
        change anything; change one thing, then look again.
      </p>
      <ol className="space-y-3">
        {ranked.slice(0, FIRST).map((r) => (
          <Cause key={r.cause} ranked={r} fitting={fitting} />
        ))}
      </ol>
      {rest.length > 0 && (
        <details className="mt-3">
          <summary className="min-h-[40px] cursor-pointer py-2">{rest.length} less likely</summary>
          <ol className="space-y-3">
            {rest.map((r) => (
              <Cause key={r.cause} ranked={r} fitting={fitting} />
            ))}
          </ol>
        </details>
      )}
    </section>
  );
}

function Cause({ ranked: r, fitting }: { readonly ranked: Ranked; readonly fitting: Fitting }) {
  const units = useUnits();
  const { job } = useParams();
  const words = CAUSE_WORDS[r.cause];
  const said = sayChange(r.change, units, fitting.kind);
  const done = r.seen.flatMap((o) => o.answers.filter((a) => a.cause === r.cause)).at(-1);
  const others = r.seen.map((o) => SYMPTOM_WORDS[o.sign].name.toLowerCase()).join('; ');
  return (
    <li className="card p-3" aria-label={words?.name}>
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h4 className="font-head text-lg font-semibold">{words?.name}</h4>
        <span className={r.grade === 'likely' ? 'font-semibold' : 'text-quiet'}>{GRADE_WORDS[r.grade]}</span>
      </div>
      <p className="text-sm text-quiet">Seen: {others}.</p>
      <ul className="text-sm">
        {r.because.map((e) => (
          <li key={e.key ?? 'size'}>{sayEvidence(e, units)}</li>
        ))}
        {r.contrary.map((o) => (
          <li key={o.id}>Against it: {SYMPTOM_WORDS[o.sign].name.toLowerCase()}.</li>
        ))}
      </ul>
      <p className="mt-1">
        <strong>Test.</strong> {words && <Said>{words.test}</Said>}
      </p>
      {words?.advice && <p className="mt-1">{words.advice}</p>}
      <div className="mt-2 flex flex-wrap items-center gap-3">
        {done ? (
          <p>
            <strong>Done</strong> on {longDate(done.date)}: {sayAnswer(done, units)}.{' '}
            <Link className="link" to={`/job/${job}/plan`}>
              See the plan
            </Link>
          </p>
        ) : r.change.kind === 'station' ? (
          <Link className="btn" to={`/job/${job}/${r.change.station}`}>
            {said.does}
          </Link>
        ) : r.change.kind === 'none' ? (
          <p className="text-sm text-quiet">{said.sum}</p>
        ) : (
          <>
            <button
              className="btn"
              onClick={() =>
                takeChange(
                  fitting.id,
                  r.cause,
                  r.seen.map((o) => o.id),
                  r.change,
                  today(),
                )
              }
            >
              {said.does}
            </button>
            <span className="num">{said.sum}</span>
          </>
        )}
      </div>
    </li>
  );
}
