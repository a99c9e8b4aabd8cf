import { useEffect, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { piecesBefore, useDraft } from '../store/draft.ts';
import { MatView } from './MatView.tsx';
import { Slips } from './Slips.tsx';
import { StageStrip } from './StageStrip.tsx';
import { nextStage } from './stages.ts';
import { WorkingsPanel } from './WorkingsPanel.tsx';

export function Table() {
  const draft = useDraft((s) => s.draft);
  const { job } = useParams();
  const [search, setSearch] = useSearchParams();
  const wanted = search.get('step');
  const active =
    draft?.steps.find((s) => s.step.id === wanted) ?? draft?.steps.find((s) => s.step.on) ?? draft?.steps[0] ?? null;
  const run = active?.outcome.ok ? active.outcome.value : null;
  const [stage, setStage] = useState(0);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || (e.target as Element).matches('input, select, textarea')) return;
      const key = e.key.toLowerCase();
      if (key === 'n') setStage((s) => nextStage(run, s, 1));
      if (key === 'b') setStage((s) => nextStage(run, s, -1));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [run]);
  if (!draft) return <main className="p-6">Laying out the paper…</main>;
  if (draft.original.length === 0)
    return (
      <main className="p-6">
        <h1>No paper on the table yet</h1>
        <p className="my-2">The size to start from is not known, so there is no piece to lay out.</p>
        <Link className="btn" to={`/job/${job}/body`}>
          Measure the body
        </Link>
      </main>
    );
  const open = (id: string) => {
    setSearch({ step: id }, { replace: true });
    setStage(0);
  };
  return (
    <main className="flex h-full flex-col overflow-auto min-[1000px]:grid min-[1000px]:overflow-hidden min-[1000px]:grid-cols-[220px_minmax(0,1fr)_316px] min-[1000px]:grid-rows-[minmax(0,1fr)]">
      <h1 className="sr-only">The table</h1>
      <Slips steps={draft.steps} active={active?.step.id ?? null} onOpen={open} />
      <div className="flex min-w-0 flex-1 flex-col">
        <MatView
          key={`${job} ${active?.step.id ?? ''}`}
          job={job ?? ''}
          original={draft.original}
          before={piecesBefore(draft, active?.step.id ?? null)}
          active={active}
          stage={stage}
        />
        {run && <StageStrip run={run} stage={stage} onStage={setStage} />}
      </div>
      <WorkingsPanel draft={draft} active={active} />
    </main>
  );
}
