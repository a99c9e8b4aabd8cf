import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { symptomOf, tissueChecksFor, type SymptomId, type TissueCheckId } from '@ample/core/fitting/fit';
import { wornAs, type Worn } from '@ample/core/pattern';
import type { Fitting, Observation } from '@ample/core/documents';
import { cautionsFor, SYMPTOM_WORDS, TISSUE_WORDS } from '@ample/core/words';
import { SeenFigure } from '../../shared/figure/SeenFigure.tsx';
import { addObservation, answerCheck, removeObservation, setObservation } from '../../store/fittings.ts';
import { useJob } from '../../store/job.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import { useDraft } from '../../store/draft.ts';
import { SidePick } from '../../ui/SidePick.tsx';
import { Station } from '../../shared/basics.tsx';
import type { TissueCheck } from '@ample/core/fitting/fit';

/** The tissue-fit alone before a mirror: one look at a time, in large words, answered with one press. */
export function Tissue() {
  const { job, fitting: id } = useParams();
  const fitting = useJob((s) => s.job?.fittings.find((f) => f.id === id));
  const draft = useDraft((s) => (s.jobId === job ? s.draft : null));
  const worn = wornAs(draft?.pieces ?? []);
  const checks = tissueChecksFor(worn);
  const done = checks.findIndex((c) => fitting?.checks[c.id] === undefined);
  const begun = Object.keys(fitting?.checks ?? {}).length > 0;
  // Until a look is chosen it goes on where it was left, also when the pieces arrive later.
  const [chosen, setAt] = useState<number | null>(null);
  const at = chosen ?? (!begun ? -1 : done < 0 ? checks.length : done);
  const back = `/job/${job}/toile?fitting=${id}`;
  if (!fitting) return <Station title="Tissue-fit">This fitting is no longer here.</Station>;
  const check = checks[at];
  return (
    <Station
      title="Tissue-fit"
      lead={at < 0 ? 'The paper pinned to the body, before anything is cut in cloth.' : undefined}
      wide
    >
      {at < 0 ? (
        <Before worn={worn} onStart={() => setAt(0)} back={back} />
      ) : check ? (
        <Look key={check.id} worn={worn} checks={checks} fitting={fitting} at={at} onGo={setAt} back={back} />
      ) : (
        <After checks={checks} fitting={fitting} onGo={setAt} back={back} />
      )}
    </Station>
  );
}

/** What is pinned together, and where the looks begin. */
const PINNED: Readonly<Record<Worn, { readonly seams: string; readonly from: string }>> = {
  bodice: { seams: 'the shoulder and side seams', from: 'the shoulder' },
  skirt: { seams: 'the side seam', from: 'the waist' },
  trousers: { seams: 'side seam and inseam of one leg', from: 'the waist' },
};

function Before({ worn, onStart, back }: { readonly worn: Worn; readonly onStart: () => void; readonly back: string }) {
  return (
    <div className="max-w-[76ch] text-lg">
      <p className="mb-3">
        Trace and alter the pieces first. Pin the darts shut and {PINNED[worn].seams} together, allowances outward. Wear
        a close top and what goes under the garment; have a mirror, a tape, a pencil and a tied tape for the waist. Only
        half of the body is pinned.
      </p>
      <ul className="mb-4 space-y-2 border-l-4 border-brass bg-white p-3 text-base">
        {cautionsFor('tissue').map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
      <p className="mb-4">
        {tissueChecksFor(worn).length} looks, from {PINNED[worn].from} down; each takes a moment. Leave it when you
        like: it goes on where you were.
      </p>
      <div className="flex gap-3">
        <button className="btn btn-main !min-h-[52px] text-lg" onClick={onStart}>
          Begin
        </button>
        <Link className="btn !min-h-[52px]" to={back}>
          To the fitting
        </Link>
      </div>
    </div>
  );
}

function Look({
  worn,
  checks,
  fitting,
  at,
  onGo,
  back,
}: {
  readonly worn: Worn;
  readonly checks: readonly TissueCheck[];
  readonly fitting: Fitting;
  readonly at: number;
  readonly onGo: (at: number) => void;
  readonly back: string;
}) {
  const check = checks[at]!;
  const words = TISSUE_WORDS[check.id];
  const answer = fitting.checks[check.id];
  const answered = (a: 'lines-up' | 'skipped'): void => {
    // What this look had shown before is no longer so.
    if (a === 'lines-up') for (const o of seenAt(fitting, check.signs)) removeObservation(fitting.id, o.id);
    answerCheck(fitting.id, check.id, a);
    onGo(at + 1);
  };
  const view = symptomOf(check.signs[0]!).view;
  const marks = fitting.observations.map((o, i) => ({ ...o, number: i + 1 }));
  return (
    <div className="grid gap-6 min-[900px]:grid-cols-[minmax(0,1fr)_260px]">
      <LookText
        of={checks.length}
        at={at}
        words={words}
        answered={answered}
        answer={answer}
        fitting={fitting}
        check={check}
        onGo={onGo}
        back={back}
      />
      <div className="max-[899px]:hidden">
        <SeenFigure view={view} worn={worn} observations={marks} chosen={null} onChoose={() => undefined} />
      </div>
    </div>
  );
}

function LookText({
  of,
  at,
  words,
  answered,
  answer,
  fitting,
  check,
  onGo,
  back,
}: {
  readonly of: number;
  readonly at: number;
  readonly words: { readonly name: string; readonly hold: string; readonly look: string; readonly mark: string };
  readonly answered: (a: 'lines-up' | 'skipped') => void;
  readonly answer: 'lines-up' | 'differs' | 'skipped' | undefined;
  readonly fitting: Fitting;
  readonly check: TissueCheck;
  readonly onGo: (at: number) => void;
  readonly back: string;
}) {
  return (
    <div className="max-w-[68ch]">
      <p className="text-quiet">
        <span className="num">
          {at + 1} of {of}
        </span>
      </p>
      <h2 className="!text-2xl">{words.name}</h2>
      <p className="mt-3 text-xl">{words.hold}</p>
      <p className="mt-3 text-xl">
        <strong>It is right when: </strong>
        {words.look}
      </p>
      <div className="mt-5 flex flex-wrap gap-3">
        <button className="btn btn-main !min-h-[56px] text-lg" onClick={() => answered('lines-up')}>
          It lines up
        </button>
        <button
          className="btn !min-h-[56px] text-lg aria-pressed:border-2 aria-pressed:bg-tissue"
          aria-pressed={answer === 'differs'}
          onClick={() => answerCheck(fitting.id, check.id, 'differs')}
        >
          It differs
        </button>
        <button className="btn btn-plain !min-h-[56px]" onClick={() => answered('skipped')}>
          Skip
        </button>
      </div>
      {answer === 'differs' && (
        <WhatDiffers mark={words.mark} check={check} fitting={fitting} onNext={() => onGo(at + 1)} />
      )}
      <div className="mt-6 flex gap-3 text-sm">
        <button className="btn" onClick={() => onGo(at - 1)}>
          Back
        </button>
        <Link className="btn" to={back}>
          Leave off here
        </Link>
      </div>
    </div>
  );
}

const WhatDiffers = ({
  mark,
  check,
  fitting,
  onNext,
}: {
  readonly mark: string;
  readonly check: TissueCheck;
  readonly fitting: Fitting;
  readonly onNext: () => void;
}) => (
  <section className="mt-5 border-t border-ink pt-4" aria-label="What differs">
    <p className="mb-3 text-lg">{mark}</p>
    <ul className="space-y-2">
      {check.signs.map((sign) => (
        <SignChoice key={sign} fitting={fitting} sign={sign} />
      ))}
    </ul>
    <button className="btn btn-main mt-4 !min-h-[52px]" onClick={onNext}>
      On to the next
    </button>
  </section>
);

const seenAt = (fitting: Fitting, signs: readonly SymptomId[]): readonly Observation[] =>
  fitting.observations.filter((o) => signs.includes(o.sign));

/** One thing it may be: pressed, it is noted, and asks for side and pins. */
function SignChoice({ fitting, sign }: { readonly fitting: Fitting; readonly sign: SymptomId }) {
  const seen = fitting.observations.find((o) => o.sign === sign);
  const { counts } = symptomOf(sign);
  const words = SYMPTOM_WORDS[sign];
  return (
    <li className={`border ${seen ? 'border-ink bg-white' : 'border-line'} p-2`}>
      <label className="flex min-h-[44px] items-center gap-3 text-lg">
        <input
          type="checkbox"
          className="size-6 accent-carbon"
          checked={seen !== undefined}
          onChange={() => (seen ? removeObservation(fitting.id, seen.id) : addObservation(fitting.id, sign))}
        />
        {words.name}
      </label>
      {seen && (
        <div className="mt-1 flex flex-wrap items-end gap-3 pl-9">
          <SidePick value={seen.side} onChange={(side) => setObservation(fitting.id, seen.id, { side })} />
          {counts !== null && (
            <div>
              <LengthField
                label={`Pinned: ${words.pin}`}
                width="w-full"
                optional
                big
                min={0}
                max={400}
                value={seen.pinned}
                onCommit={(pinned) => setObservation(fitting.id, seen.id, { pinned })}
              />
            </div>
          )}
        </div>
      )}
    </li>
  );
}

function After({
  checks,
  fitting,
  onGo,
  back,
}: {
  readonly checks: readonly TissueCheck[];
  readonly fitting: Fitting;
  readonly onGo: (at: number) => void;
  readonly back: string;
}) {
  const navigate = useNavigate();
  const count = (a: 'lines-up' | 'differs' | 'skipped'): number =>
    Object.values(fitting.checks).filter((x) => x === a).length;
  return (
    <div className="max-w-[72ch] text-lg">
      <p className="mb-3">
        {count('lines-up')} line up, {count('differs')} differ, {count('skipped')} skipped. Unpin the paper slowly,
        count the pins, and put every mark you made on the pieces.
      </p>
      <ul className="mb-4 space-y-1 text-base">
        {checks.map((c, i) => (
          <li key={c.id} className="flex items-center justify-between gap-4 border-b border-line">
            <span>{TISSUE_WORDS[c.id].name}</span>
            <span className="flex items-center gap-3">
              {ANSWERS[fitting.checks[c.id] ?? 'none']}
              <button
                className="btn btn-plain"
                onClick={() => onGo(i)}
                aria-label={`Look again: ${TISSUE_WORDS[c.id].name}`}
              >
                Look again
              </button>
            </span>
          </li>
        ))}
      </ul>
      <button className="btn btn-main !min-h-[52px]" onClick={() => void navigate(back)}>
        See where it may come from
      </button>
    </div>
  );
}

const ANSWERS: Readonly<Record<NonNullable<Fitting['checks'][TissueCheckId]> | 'none', string>> = {
  'lines-up': 'lines up',
  differs: 'differs',
  skipped: 'skipped',
  none: 'not looked at',
};
