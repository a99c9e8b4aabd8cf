import { alterationById } from '@ample/core/alterations';
import { sayAdvice, sayFit, sayRefusal } from '@ample/core/words';
import { bustStepFor } from '@ample/core/fitting/plan';
import { useDraft } from '../../store/draft.ts';
import { editJob } from '../../store/job.ts';
import { freshStepId } from '../../store/plan.ts';
import { useUnits } from '../../store/prefs.ts';
import { Notice, Station } from '../../shared/basics.tsx';
import { Example } from '../../shared/first/Example.tsx';
import { First } from '../../shared/first/First.tsx';
import { useFirstThing } from '../../shared/first/firstThing.ts';
import { AgainList } from '../../shared/Again.tsx';
import { Said } from '../../shared/Said.tsx';
import { Recommended, Followers } from './Recommendations.tsx';
import { Left } from './Left.tsx';
import { Order } from './Order.tsx';
import { AddStep } from './Proposals.tsx';
import { Slip } from './Slip.tsx';
import { Solver } from './Solver.tsx';
import { SmallestPlan, useThinned } from './Thin.tsx';
import { Finish, UsualAlterations } from './Habits.tsx';
import { WorkOrder } from './WorkOrder.tsx';

export function Plan() {
  const { draft, pattern } = useDraft();
  const first = useFirstThing();
  const units = useUnits();
  const thinned = useThinned(draft);
  if (!draft) return <Station title="Plan">Doing the sums…</Station>;
  const chosen = draft.amounts?.chosen ?? null;
  const worthOf = (id: string) => thinned?.worth.find((w) => w.step === id);
  return (
    <Station title="Plan" lead={sayAdvice(draft, units) || undefined} wide>
      <AgainList />
      {first && (
        <div className="mb-4">
          <First thing={first} />
          <Example of="plan" />
        </div>
      )}
      {draft.refusal && !first && (
        <div className="mb-4">
          <Notice grade="fault">{sayRefusal(draft.refusal, units)}</Notice>
        </div>
      )}
      {draft.leaveBust && (
        <div className="mb-4">
          <Notice grade="note">
            <Said>{sayFit(draft.leaveBust, units)}</Said>
          </Notice>
        </div>
      )}
      {draft.steps.length === 0 && draft.asks.length === 0 && (
        <div className="card mb-4 p-4">
          <p className="mb-3">
            Nothing is planned.{' '}
            {chosen
              ? 'The bust can be altered by the amount below, or by your own.'
              : 'Or plan the bust by an amount of your own.'}
          </p>
          <button
            className="btn btn-main"
            onClick={() => editJob((j) => ({ ...j, steps: [...j.steps, bustStepFor(freshStepId(), draft.original)] }))}
          >
            Add the bust
          </button>
        </div>
      )}
      <div className="grid gap-6 min-[1180px]:grid-cols-[minmax(0,1fr)_360px]">
        <div className="min-w-0">
          <WorkOrder draft={draft} />
          {draft.steps.map((s, i) => (
            <Slip key={s.step.id} step={s} index={i} draft={draft} worth={worthOf(s.step.id)} />
          ))}
          <Followers draft={draft} />
          <Recommended draft={draft} />
          <UsualAlterations draft={draft} />
          {draft.original.length > 0 && (
            <AddStep
              pieces={draft.sides.left.pieces}
              seams={draft.seams}
              hasBust={draft.steps.some((s) => alterationById(s.step.alteration)?.family === 'bust')}
            />
          )}
          {pattern && <Finish draft={draft} pattern={pattern.name} />}
        </div>
        <div className="space-y-4 self-start min-[1180px]:sticky min-[1180px]:top-0 min-[1180px]:max-h-[calc(100vh-150px)] min-[1180px]:overflow-auto">
          <Order draft={draft} />
          <Left draft={draft} />
          <SmallestPlan draft={draft} thinned={thinned} />
          <Solver draft={draft} />
        </div>
      </div>
    </Station>
  );
}
