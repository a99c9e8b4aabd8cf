import { ArrowDown, ArrowUp } from 'lucide-react';
import { Switch } from 'radix-ui';
import { Link, useParams } from 'react-router';
import { alterationById, isByBust } from '@ample/core/alterations';
import { isTyped, type Draft, type DraftStep, methodOf, amountOf } from '@ample/core/fitting/plan';
import type { Worth } from '@ample/core/fitting/solve';
import { ALTERATION_WORDS, sayFit, sayRefusal, stepAmount, stepName } from '@ample/core/words';
import { piecesBefore } from '../../store/draft.ts';
import { editJob, editStep, setValue, useJob } from '../../store/job.ts';
import { moveStep } from '../../store/plan.ts';
import { useUnits } from '../../store/prefs.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import { Length, Notice } from '../../shared/basics.tsx';
import { SideChoice } from '../../shared/SideChoice.tsx';
import { WaysOn } from '../../shared/WaysOn.tsx';
import { Said } from '../../shared/Said.tsx';
import { Meets, OwnAmount } from './OwnAmount.tsx';
import { BustProposals } from './Proposals.tsx';
import { AmountMethodChoice } from './AmountMethod.tsx';
import { WorthLine } from './Thin.tsx';
import type { Amounts } from '@ample/core/fitting/fit';
import type { Units } from '@ample/core/speech';
import type { AlterationName } from '@ample/core/speech';
import type { Step } from '@ample/core/documents';
import type { AlterationDefinition } from '@ample/core/alterations';

/** One step of the plan: its amount, its sum, its side, and what it meets. */
export function Slip({
  step: whole,
  index,
  draft,
  worth,
}: {
  readonly step: DraftStep;
  readonly index: number;
  readonly draft: Draft;
  readonly worth?: Worth | undefined;
}) {
  const { step: drafted, outcome } = whole;
  // Choices show at once, as the job has them; the sums follow with the draft.
  const step = useJob((s) => s.job?.steps.find((x) => x.id === drafted.id)) ?? drafted;
  const { job } = useParams();
  const units = useUnits();
  const words = ALTERATION_WORDS[step.alteration];
  const amounts = whole.amounts;
  const typed = isTyped(step);
  const active = typed ? null : methodOf(step, amounts)?.method;
  const definition = alterationById(step.alteration);
  const before = piecesBefore(draft, step.id);
  return (
    <section className="card mb-5" aria-label={words?.name ?? step.alteration}>
      <SlipHead
        index={index}
        whole={whole}
        definition={definition}
        units={units}
        words={words}
        step={step}
        draft={draft}
        job={job}
      />
      {step.on && outcome.ok && <WorthLine worth={worth} />}
      {!outcome.ok && step.on && (
        <div className="p-4 pb-0">
          <Notice grade="fault">{sayRefusal(outcome.error, units)}</Notice>
        </div>
      )}
      {step.on && (
        <div className="px-4 pt-4 empty:hidden">
          <WaysOn step={whole} />
        </div>
      )}
      {!isByBust(definition) && <OwnAmount whole={whole} step={step} />}
      <Meets step={step.id} draft={draft} />
      {definition?.family === 'bust' && <BustProposals pieces={before} step={step.id} current={step.alteration} />}
      {isByBust(definition) && (
        <SlipAmount amounts={amounts} units={units} step={step} active={active} typed={typed} total={amountOf(whole)} />
      )}
    </section>
  );
}

/** Carries the step out before the one before it, or after the one after it. */
const OrderButtons = ({
  index,
  of,
  id,
  name,
}: {
  readonly index: number;
  readonly of: number;
  readonly id: string;
  readonly name: string;
}) => (
  <span className="flex gap-1">
    <button className="btn !px-2" disabled={index === 0} onClick={() => moveStep(id, -1)} title="Earlier">
      <ArrowUp size={20} aria-hidden="true" />
      <span className="sr-only">{name} earlier</span>
    </button>
    <button className="btn !px-2" disabled={index === of - 1} onClick={() => moveStep(id, 1)} title="Later">
      <ArrowDown size={20} aria-hidden="true" />
      <span className="sr-only">{name} later</span>
    </button>
  </span>
);

function SlipHead({
  index,
  whole,
  definition,
  units,
  words,
  step,
  draft,
  job,
}: {
  readonly index: number;
  readonly whole: DraftStep;
  readonly definition: AlterationDefinition | undefined;
  readonly units: Units;
  readonly words: AlterationName | undefined;
  readonly step: Step;
  readonly draft: Draft;
  readonly job: string | undefined;
}) {
  return (
    <header className="flex flex-wrap items-center gap-4 border-b border-line px-4 py-3">
      <span className="num text-xl">{index + 1}</span>
      <div className="min-w-0 flex-1 basis-[240px]">
        <h2>
          {stepName(whole)}
          {!isByBust(definition) && <span className="num ml-3 text-lg">{stepAmount(whole, units)}</span>}
        </h2>
        <p className="max-w-[76ch] text-sm">{words && <Said>{words.about}</Said>}</p>
      </div>
      <label className="flex items-center gap-2">
        <Switch.Root
          className="group flex min-h-[40px] items-center"
          checked={step.on}
          onCheckedChange={(on) => editStep(step.id, (s) => ({ ...s, on }))}
          aria-label="This step is carried out"
        >
          <span className="block h-7 w-12 border border-ink bg-white py-[3px] group-data-[state=checked]:bg-ink">
            <Switch.Thumb className="block size-5 translate-x-1 bg-ink data-[state=checked]:translate-x-6 data-[state=checked]:bg-white" />
          </span>
        </Switch.Root>
        {step.on ? 'on' : 'off'}
      </label>
      {draft.steps.length > 1 && (
        <OrderButtons index={index} of={draft.steps.length} id={step.id} name={stepName(whole)} />
      )}
      <Link className="btn btn-main" to={`/job/${job}/table?step=${step.id}`}>
        Open the table
      </Link>
      <button
        className="btn"
        onClick={() => editJob((j) => ({ ...j, steps: j.steps.filter((s) => s.id !== step.id) }))}
      >
        Remove
      </button>
    </header>
  );
}

function SlipAmount({
  amounts,
  units,
  step,
  active,
  typed,
  total,
}: {
  readonly amounts: Amounts | null;
  readonly units: Units;
  readonly step: Step;
  readonly active: 'knit' | 'cup' | 'chart' | 'finished' | 'whole' | null | undefined;
  readonly typed: boolean;
  readonly total: number | null;
}) {
  return (
    <div className="p-4">
      <h3 className="mb-1">How much</h3>
      <p className="mb-3 max-w-[86ch]">{amounts && sayFit({ code: amounts.why, data: {} }, units)}</p>
      <div className="grid gap-4 min-[700px]:grid-cols-2" role="radiogroup" aria-label="Ways of computing the amount">
        {amounts?.all.map((a) => (
          <AmountMethodChoice
            key={a.method}
            amount={a}
            step={step}
            on={active === a.method}
            suggested={amounts.chosen?.method === a.method}
          />
        ))}
      </div>
      <div
        className={`mt-4 flex flex-wrap items-end gap-4 border p-3 ${typed ? 'border-2 border-carbon' : 'border-line'}`}
      >
        <LengthField
          label="Your own amount over the whole front"
          value={total}
          signed
          big
          steps
          min={-160}
          max={300}
          width="w-64"
          onCommit={(v) => v !== null && setValue(step.id, 'total', v)}
        />
        {total !== null && (
          <p className="pb-2">
            <Length value={total / 2} sign both /> on each half
          </p>
        )}
        {typed && <strong className="pb-2">chosen</strong>}
        <SideChoice step={step} />
      </div>
    </div>
  );
}
