import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Stage } from '@ample/core/alterations';
import { alike } from '@ample/core/fitting/plan';
import type { Piece } from '@ample/core/pattern';
import { piecesBefore, useDraft } from '../../store/draft.ts';
import { Station } from '../../shared/basics.tsx';
import { Example } from '../../shared/first/Example.tsx';
import { First } from '../../shared/first/First.tsx';
import { useFirstThing } from '../../shared/first/firstThing.ts';
import { MatView } from './MatView.tsx';
import { Slips } from './Slips.tsx';
import { StageStrip } from './StageStrip.tsx';
import { nextStage } from '../../shared/mat/stages.ts';
import { WorkingsPanel } from './WorkingsPanel.tsx';
import { useHotkeys } from '../../lib/hotkeys.ts';

const NONE: readonly Piece[] = [];

/** `?show=front&at=120,80`: the piece, and the place on it, that a finding points at. */
function showsOf(search: URLSearchParams) {
  const piece = search.get('show');
  const [x, y] = (search.get('at') ?? '').split(',').map(Number);
  if (!piece) return null;
  const known = x !== undefined && y !== undefined && Number.isFinite(x) && Number.isFinite(y);
  return { piece, at: known ? { x, y } : null };
}

export function Table() {
  const draft = useDraft((s) => s.draft);
  const { job } = useParams();
  const [search, setSearch] = useSearchParams();
  const wanted = search.get('step');
  const shows = showsOf(search);
  // Sent to look at something, one sees the pieces as the whole plan leaves them.
  const last = shows ? draft?.steps.findLast((s) => s.step.on && s.outcome.ok) : undefined;
  const active =
    draft?.steps.find((s) => s.step.id === wanted) ??
    last ??
    draft?.steps.find((s) => s.step.on) ??
    draft?.steps[0] ??
    null;
  const run = active?.outcome.ok ? active.outcome.value : null;
  const [stage, setStage] = useState<Stage>(shows ? 'match' : 'mark');
  useHotkeys({
    nextStage: () => setStage((s) => nextStage(run, s, 1)),
    stageBefore: () => setStage((s) => nextStage(run, s, -1)),
  });
  if (!draft) return <main className="p-6">Laying out the paper…</main>;
  if (draft.original.length === 0) return <NoPaper />;
  const open = (id: string) => {
    setSearch({ step: id }, { replace: true });
    setStage('mark');
  };
  return (
    <main className="flex h-full flex-col overflow-auto min-[1000px]:grid min-[1000px]:overflow-hidden min-[1000px]:grid-cols-[220px_minmax(0,1fr)_316px] min-[1000px]:grid-rows-[minmax(0,1fr)]">
      <h1 className="sr-only">The table</h1>
      <Slips steps={draft.steps} active={active?.step.id ?? null} onOpen={open} />
      <div className="flex min-w-0 flex-1 flex-col">
        <MatView
          key={`${job} ${active?.step.id ?? ''}`}
          job={job ?? ''}
          original={active ? draft.original : draft.untouched}
          whole={alike(draft.sides) ? NONE : draft.pieces.filter((p) => !draft.original.some((o) => o.id === p.id))}
          shows={shows}
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

/** Nothing can be laid out yet: what to do first, and what the table will show. */
function NoPaper() {
  const first = useFirstThing();
  const { job } = useParams();
  return (
    <Station title="The table" lead="No paper on the table yet: the size to start from is not known." wide>
      {first ? (
        <>
          <First thing={first} />
          <Example of="table" />
        </>
      ) : (
        <Link className="btn" to={`/job/${job}/size`}>
          See the size
        </Link>
      )}
    </Station>
  );
}
