import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Draft } from '@ample/core/fitting/plan';
import { againChecks } from '@ample/core/fitting/toile';
import { sayAgain } from '@ample/core/words';
import { today } from '../lib/time.ts';
import { useDraft } from '../store/draft.ts';
import { againFrom } from '../store/fittings.ts';
import { useJob } from '../store/job.ts';
import { saveNew, useLibrary } from '../store/library.ts';
import { useUnits } from '../store/prefs.ts';

/** The altered pattern as a master: the same amounts in another cloth, with what to look at again. */
export function Again({ draft }: { readonly draft: Draft | null }) {
  const job = useJob((s) => s.job);
  const navigate = useNavigate();
  const [fabric, setFabric] = useState('');
  if (!job) return null;
  const begin = async () => {
    const { wearer } = useJob.getState();
    const made = draft && againFrom(draft, fabric.trim(), today());
    if (!made || !wearer) return;
    await saveNew(made, wearer);
    await navigate(`/job/${made.id}/plan`);
  };
  return (
    <div className="max-w-[76ch]">
      <AgainList />
      <p className="mb-3">
        The altered pieces become a master: a new job hangs on the rail with this wearer, pattern and size, and every
        step with the amount it has now. This job stays as it is. Trace the master; never cut it.
      </p>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          void begin();
        }}
      >
        <label className="min-w-[240px] flex-1">
          <span className="mb-1 block text-sm">The new cloth</span>
          <input className="field w-full" value={fabric} maxLength={400} onChange={(e) => setFabric(e.target.value)} />
        </label>
        <button className="btn btn-main" type="submit" disabled={!draft || draft.size === null}>
          Make it again
        </button>
      </form>
    </div>
  );
}

/** For a job made from a master: what to check again. */
export function AgainList() {
  const units = useUnits();
  const { job, wearer } = useJob();
  const jobs = useLibrary((s) => s.jobs);
  const knit = useDraft((s) => s.pattern?.fabric.kind === 'knit');
  if (!job?.again || !wearer) return null;
  const source = jobs.find((j) => j.id === job.again?.job) ?? null;
  const list = againChecks(job, wearer, source, knit, today());
  return (
    <section className="card mb-4 border-l-4 !border-l-brass p-4" aria-labelledby="again">
      <h2 id="again">Made again from “{job.again.title || 'an earlier job'}”: check these</h2>
      <ul className="mt-2 space-y-2">
        {list.map((c, i) => (
          <li key={i} className="grid grid-cols-[2rem_1fr]">
            <span className="mt-1 size-4 border border-ink" aria-hidden="true" />
            <span>{sayAgain(c, units)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
