import { useState } from 'react';
import { symptomOf, VIEWS, type SymptomId } from '@ample/core/fitting/fit';
import { wrinkleOf, type Wrinkle } from '@ample/core/practice';
import { CAUSES } from '@ample/core/fitting/toile';
import type { Observation } from '@ample/core/documents';
import { SYMPTOM_WORDS, VIEW_WORDS } from '@ample/core/words';
import { SeenFigure } from '../../shared/figure/SeenFigure.tsx';
import { Choose, TestAndChange } from './Choose.tsx';
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
  const seen = seenOf(wrinkle.signs);
  const views = VIEWS.filter((v) => seen.some((o) => o.view === v));
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
        <Choose
          practice="wrinkles"
          options={wrinkle.options}
          right={wrinkle.right}
          next={{ name: 'Another figure', go: next }}
        >
          {(chosen) => <Told wrinkle={wrinkle} chosen={chosen} />}
        </Choose>
      </div>
    </div>
  );
}

/** Why not the other one, the test for the cause, and what it would change. */
function Told({ wrinkle: { right, signs }, chosen }: { readonly wrinkle: Wrinkle; readonly chosen: string }) {
  const other = chosen !== right ? CAUSES.find((c) => c.id === chosen) : undefined;
  return (
    <>
      {other && (
        <p className="border-l-4 border-brass pl-3">
          {signs.every((s) => (other.signs[s] ?? 0) > 0)
            ? 'Your choice explains both signs too, but less surely.'
            : 'Your choice does not explain all that is seen.'}
        </p>
      )}
      <TestAndChange cause={right} />
    </>
  );
}
