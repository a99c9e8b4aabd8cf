import { useState } from 'react';
import { symptomOf, VIEWS, type SymptomId } from '@ample/core/fitting/fit';
import { wrinkleOf, type Wrinkle } from '@ample/core/practice';
import { CAUSES } from '@ample/core/fitting/toile';
import type { Observation } from '@ample/core/documents';
import { alterationName, CAUSE_WORDS, SYMPTOM_WORDS, VIEW_WORDS } from '@ample/core/words';
import { SeenFigure } from '../../shared/figure/SeenFigure.tsx';
import { notePractice } from '../../store/practice.ts';
import { Radio } from '../../ui/Radio.tsx';
import { PracticePage } from './PracticePage.tsx';

/** Signs on a figure: which cause explains them, and what tells it from the others. */
export function Wrinkles() {
  const [seed, setSeed] = useState(() => 1 + Math.floor(Math.random() * 10_000));
  return (
    <PracticePage
      title="Read the wrinkles"
      lead="What the cloth shows, drawn where it shows. Choose the cause that explains all of it; then see by which test one would make sure."
    >
      <OneWrinkle key={seed} wrinkle={wrinkleOf(seed)} next={() => setSeed((n) => n + 1)} />
    </PracticePage>
  );
}

const seenOf = (signs: readonly SymptomId[]): readonly (Observation & { readonly number: number })[] =>
  signs.map((sign, i) => {
    const { at, view } = symptomOf(sign);
    return { id: sign, sign, at, view, side: 'both', pinned: null, note: '', answers: [], number: i + 1 };
  });

function OneWrinkle({ wrinkle, next }: { readonly wrinkle: Wrinkle; readonly next: () => void }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [told, setTold] = useState(false);
  const seen = seenOf(wrinkle.signs);
  const views = VIEWS.filter((v) => seen.some((o) => o.view === v));
  const tell = () => {
    setTold(true);
    void notePractice('wrinkles', 'only', chosen === wrinkle.right ? 0 : 1);
  };
  return (
    <div className="grid gap-6 min-[900px]:grid-cols-[minmax(0,1fr)_440px]">
      <div className="flex flex-wrap gap-4">
        {views.map((v) => (
          <figure key={v} className="card p-3">
            <SeenFigure view={v} worn={wrinkle.worn} observations={seen} chosen={null} onChoose={() => undefined} />
            <figcaption className="text-center text-sm">{VIEW_WORDS[v]}</figcaption>
          </figure>
        ))}
      </div>
      <div>
        <h2>What is seen</h2>
        <ol className="mt-1 list-decimal pl-6">
          {wrinkle.signs.map((s) => (
            <li key={s}>{SYMPTOM_WORDS[s].name}</li>
          ))}
        </ol>
        <fieldset className="mt-4">
          <legend className="font-head font-semibold">What is the cause?</legend>
          {wrinkle.options.map((id) => (
            <Radio key={id} name="cause" on={chosen === id} set={() => setChosen(id)} disabled={told}>
              {CAUSE_WORDS[id]?.name ?? id}
            </Radio>
          ))}
        </fieldset>
        {!told && (
          <button className="btn btn-main mt-3" disabled={chosen === null} onClick={tell}>
            Is that it?
          </button>
        )}
        <div role="status" className="mt-3 space-y-3">
          {told && <Told wrinkle={wrinkle} chosen={chosen} />}
        </div>
        {told && (
          <button className="btn btn-main mt-3" onClick={next}>
            Another figure
          </button>
        )}
      </div>
    </div>
  );
}

/** Whether it was the cause, the test for it, and what it would change. */
function Told({ wrinkle: { right, signs }, chosen }: { readonly wrinkle: Wrinkle; readonly chosen: string | null }) {
  const cause = CAUSES.find((c) => c.id === right);
  const remedy = cause?.remedy.kind === 'step' ? cause.remedy : null;
  const other = chosen !== right ? CAUSES.find((c) => c.id === chosen) : undefined;
  return (
    <>
      <p className="font-bold">{chosen === right ? 'Yes.' : `No: ${CAUSE_WORDS[right]?.name ?? right}.`}</p>
      {other && (
        <p className="border-l-4 border-brass pl-3">
          {signs.every((s) => (other.signs[s] ?? 0) > 0)
            ? 'Your choice explains both signs too, but less surely.'
            : 'Your choice does not explain all that is seen.'}
        </p>
      )}
      <p>
        <strong>The test.</strong> {CAUSE_WORDS[right]?.test}
      </p>
      {remedy && (
        <p>
          <strong>What it would change.</strong>{' '}
          {remedy.alterations[0] === 'bust'
            ? remedy.way > 0
              ? 'A fuller bust on the front.'
              : 'A smaller bust on the front.'
            : `${alterationName(remedy.alterations[0] ?? '', remedy.way)}.`}
        </p>
      )}
    </>
  );
}
