import type { Draft } from '@ample/core/fitting/plan';
import { ALTERATION_WORDS, askName, sayFinding, sayFit } from '@ample/core/words';
import { addStep, addSteps } from '../../store/plan.ts';
import { useUnits } from '../../store/prefs.ts';
import { Said } from '../../shared/Said.tsx';

/** Recommended by the measurements on the pieces as the plan leaves them: the reason, and one press to add it. */
export function Recommended({ draft }: { readonly draft: Draft }) {
  const units = useUnits();
  if (draft.asks.length === 0) return null;
  return (
    <section className="card mb-5 p-4" aria-label="Recommended by the measurements">
      <div className="mb-2 flex flex-wrap items-center justify-between gap-3">
        <h2>Recommended by the measurements</h2>
        {draft.asks.length > 1 && (
          <button className="btn" onClick={() => addSteps(draft.asks)}>
            Add all {draft.asks.length} in order
          </button>
        )}
      </div>
      {draft.asks.length > 1 && (
        <p className="mb-3 text-sm text-quiet">In this order: each is worked out on what those above it leave.</p>
      )}
      <ul className="space-y-3">
        {draft.asks.map((ask) => (
          <li
            key={`${ask.alteration} ${ask.side}`}
            className="grid gap-x-4 gap-y-1 min-[800px]:grid-cols-[290px_minmax(0,1fr)]"
          >
            <button className="btn self-start !justify-start" onClick={() => addStep(ask.alteration, {}, ask.side)}>
              {askName(ask)}
            </button>
            <p className="self-center">{sayFit(ask.fit.sum, units)}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Pieces that have to follow what was altered: said, and put right by a step of their own. */
export function Followers({ draft }: { readonly draft: Draft }) {
  const units = useUnits();
  if (draft.followers.length === 0) return null;
  return (
    <section className="mb-5 border-l-4 border-brass bg-white p-4" aria-label="What has to follow">
      <h2 className="mb-2">What has to follow</h2>
      <ul className="space-y-3">
        {draft.followers.map((f) => (
          <li key={f.alteration} className="grid gap-x-4 gap-y-1 min-[800px]:grid-cols-[290px_minmax(0,1fr)]">
            <button className="btn self-start !justify-start" onClick={() => addStep(f.alteration)}>
              {ALTERATION_WORDS[f.alteration]?.name}
            </button>
            <ul className="self-center">
              {f.findings.map((x, i) => (
                <li key={i}>
                  <Said>{sayFinding(x, units)}</Said>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}
