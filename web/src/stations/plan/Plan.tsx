import { ArrowDown, ArrowUp } from 'lucide-react';
import { Switch } from 'radix-ui';
import { Link, useParams } from 'react-router';
import { alterationById } from '@ample/core/alterations';
import type { Draft, DraftStep } from '@ample/core/draft';
import type { Amount } from '@ample/core/fit';
import type { Step } from '@ample/core/formats';
import { ALTERATION_WORDS, SCHOOL_WORDS, sayFit, sayRefusal, stepAmount, stepName } from '@ample/core/words';
import { bustStepFor } from '@ample/samples';
import { piecesBefore, useDraft } from '../../store/draft.ts';
import { editJob, editStep, setOwnTotal, useJob } from '../../store/job.ts';
import { freshStepId, moveStep } from '../../store/plan.ts';
import { useUnits } from '../../store/prefs.ts';
import { AmountSum } from '../../ui/AmountSum.tsx';
import { LengthField } from '../../ui/LengthField.tsx';
import { Length, Notice, Station } from '../../ui/parts.tsx';
import { WaysOn } from '../../ui/WaysOn.tsx';
import { AddStep, BustProposals } from './Proposals.tsx';

export function Plan() {
  const draft = useDraft((s) => s.draft);
  const units = useUnits();
  if (!draft) return <Station title="Plan">Doing the sums…</Station>;
  const chosen = draft.amounts?.chosen ?? null;
  return (
    <Station
      title="Plan"
      lead={
        chosen
          ? sayFit({ code: `verdict.${draft.amounts?.verdict ?? 'yes'}`, data: { total: chosen.total } }, units)
          : undefined
      }
      wide
    >
      {draft.refusal && (
        <div className="mb-4">
          <Notice grade="fault">{sayRefusal(draft.refusal, units)}</Notice>
        </div>
      )}
      {draft.steps.length === 0 && (
        <div className="sheet mb-4 p-4">
          <p className="mb-3">
            Nothing is planned.{' '}
            {chosen
              ? 'The bust can be altered by the amount below, or by your own.'
              : 'Measure full bust and high bust, or type your own amount.'}
          </p>
          <button
            className="btn btn-main"
            onClick={() => editJob((j) => ({ ...j, steps: [...j.steps, bustStepFor(freshStepId(), draft.original)] }))}
          >
            Add the bust
          </button>
        </div>
      )}
      {draft.steps.map((s, i) => (
        <Slip key={s.step.id} step={s} index={i} draft={draft} />
      ))}
      {draft.original.length > 0 && (
        <AddStep
          pieces={draft.pieces}
          hasBust={draft.steps.some((s) => alterationById(s.step.alteration)?.family === 'bust')}
        />
      )}
    </Station>
  );
}

function Slip({
  step: whole,
  index,
  draft,
}: {
  readonly step: DraftStep;
  readonly index: number;
  readonly draft: Draft;
}) {
  const { step: drafted, total, outcome } = whole;
  // Choices show at once, as the job has them; the sums follow with the draft.
  const step = useJob((s) => s.job?.steps.find((x) => x.id === drafted.id)) ?? drafted;
  const { job } = useParams();
  const units = useUnits();
  const words = ALTERATION_WORDS[step.alteration];
  const amounts = draft.amounts;
  const active = step.school === 'auto' ? amounts?.chosen?.school : step.school;
  const definition = alterationById(step.alteration);
  const before = piecesBefore(draft, step.id);
  return (
    <section className="sheet mb-5" aria-label={words?.name ?? step.alteration}>
      <header className="flex flex-wrap items-center gap-4 border-b border-line px-4 py-3">
        <span className="num text-xl">{index + 1}</span>
        <div className="min-w-0 flex-1">
          <h2>
            {stepName(whole)}
            {definition?.amount !== 'total' && <span className="num ml-3 text-lg">{stepAmount(whole, units)}</span>}
          </h2>
          <p className="max-w-[76ch] text-sm">{words?.about}</p>
        </div>
        <label className="flex items-center gap-2">
          <Switch.Root
            className="relative h-7 w-12 border border-ink bg-white data-[state=checked]:bg-ink"
            checked={step.on}
            onCheckedChange={(on) => editStep(step.id, (s) => ({ ...s, on }))}
            aria-label="This step is carried out"
          >
            <Switch.Thumb className="block size-5 translate-x-1 bg-ink data-[state=checked]:translate-x-6 data-[state=checked]:bg-white" />
          </Switch.Root>
          {step.on ? 'on' : 'off'}
        </label>
        {draft.steps.length > 1 && (
          <span className="flex gap-1">
            <button className="btn !px-2" disabled={index === 0} onClick={() => moveStep(step.id, -1)} title="Earlier">
              <ArrowUp size={20} aria-hidden="true" />
              <span className="sr-only">{stepName(whole)} earlier</span>
            </button>
            <button
              className="btn !px-2"
              disabled={index === draft.steps.length - 1}
              onClick={() => moveStep(step.id, 1)}
              title="Later"
            >
              <ArrowDown size={20} aria-hidden="true" />
              <span className="sr-only">{stepName(whole)} later</span>
            </button>
          </span>
        )}
        <Link className="btn btn-main" to={`/job/${job}/table?step=${step.id}`}>
          To the table
        </Link>
        <button
          className="btn"
          onClick={() => editJob((j) => ({ ...j, steps: j.steps.filter((s) => s.id !== step.id) }))}
        >
          Take out
        </button>
      </header>
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
      {definition?.family === 'bust' && <BustProposals pieces={before} step={step.id} current={step.alteration} />}
      {definition?.amount === 'total' && (
        <div className="p-4">
          <h3 className="mb-1">How much</h3>
          <p className="mb-3 max-w-[86ch]">{amounts && sayFit({ code: amounts.why, data: {} }, units)}</p>
          <div
            className="grid gap-4 min-[700px]:grid-cols-2 min-[1150px]:grid-cols-4"
            role="radiogroup"
            aria-label="Ways of computing the amount"
          >
            {amounts?.all.map((a) => (
              <School
                key={a.school}
                amount={a}
                step={step}
                on={active === a.school}
                suggested={amounts.chosen?.school === a.school}
              />
            ))}
          </div>
          <div
            className={`mt-4 flex flex-wrap items-end gap-4 border p-3 ${active === 'own' ? 'border-2 border-carbon' : 'border-line'}`}
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
              onCommit={(v) => v !== null && setOwnTotal(step.id, v)}
            />
            {total !== null && (
              <p className="pb-2">
                <Length value={total / 2} sign both /> on each half
              </p>
            )}
            {active === 'own' && <strong className="pb-2">chosen</strong>}
          </div>
        </div>
      )}
    </section>
  );
}

function School({
  amount,
  step,
  on,
  suggested,
}: {
  readonly amount: Amount;
  readonly step: Step;
  readonly on: boolean;
  readonly suggested: boolean;
}) {
  const words = SCHOOL_WORDS[amount.school];
  const { overshoot } = amount;
  return (
    <label className={`workings flex cursor-pointer flex-col p-3 ${on ? 'outline-2 outline-carbon' : ''}`}>
      <span className="flex min-h-[40px] items-center gap-2">
        <input
          type="radio"
          className="size-5 accent-carbon"
          name={`school-${step.id}`}
          checked={on}
          onChange={() => editStep(step.id, (s) => ({ ...s, school: suggested ? 'auto' : amount.school }))}
        />
        <span className="font-head font-semibold">{words?.name}</span>
      </span>
      <span className="mb-2 block min-h-[44px] text-sm">
        {words?.when}
        {suggested && <strong> Suggested.</strong>}
      </span>
      <AmountSum amount={amount} />
      {amount.school === 'knit' && (
        <span className="mt-2 block text-sm">
          <span className="block">
            Share taken: <span className="num">{Math.round((step.knitFactor ?? amount.factor) * 100)} %</span>
            {step.knitFactor === null ? ', from how far the cloth stretches' : ', by hand'}
          </span>
          <input
            type="range"
            className="h-10 w-full accent-carbon"
            aria-label="Share of the amount a knit takes"
            min={0}
            max={1}
            step={0.05}
            value={step.knitFactor ?? amount.factor}
            onChange={(e) => editStep(step.id, (s) => ({ ...s, knitFactor: Number(e.target.value) }))}
          />
        </span>
      )}
      {overshoot !== null && Math.abs(overshoot) > 1 && (
        <span className="mt-2 block text-sm">
          {overshoot > 0 ? 'More' : 'Less'} than suggested by <Length value={Math.abs(overshoot)} />: the draft already
          has a cup.
        </span>
      )}
    </label>
  );
}
