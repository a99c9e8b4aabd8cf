import type { Amount } from '@ample/core/fitting/fit';
import type { Step } from '@ample/core/documents';
import { METHOD_WORDS } from '@ample/core/words';
import { editStep } from '../../store/job.ts';
import { takeComputed } from '../../store/plan.ts';
import { AmountSum } from '../../shared/AmountSum.tsx';
import { Length } from '../../shared/basics.tsx';

/** One way of computing the bust's amount, with its sum. */
export function AmountMethodChoice({
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
  const words = METHOD_WORDS[amount.method];
  const { overshoot } = amount;
  return (
    <label className={`workings flex cursor-pointer flex-col p-3 ${on ? 'outline-2 outline-carbon' : ''}`}>
      <span className="flex min-h-[40px] items-center gap-2">
        <input
          type="radio"
          className="size-5 accent-carbon"
          name={`school-${step.id}`}
          checked={on}
          onChange={() => takeComputed(step.id, null, suggested ? 'auto' : amount.method)}
        />
        <span className="font-head font-semibold">{words?.name}</span>
      </span>
      <span className="mb-2 block min-h-[44px] text-sm">
        {words?.when}
        {suggested && <strong> Suggested.</strong>}
      </span>
      <AmountSum amount={amount} />
      {amount.method === 'knit' && (
        <span className="mt-2 block text-sm">
          <span className="block">
            Share taken: <span className="num">{Math.round((step.knitFactor ?? amount.factor) * 100)} %</span>
            {step.knitFactor === null ? ', the usual' : ', by hand'}
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
