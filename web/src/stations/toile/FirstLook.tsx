import { tissueChecksFor } from '@ample/core/fitting/fit';
import { wornAs } from '@ample/core/pattern';
import type { Draft } from '@ample/core/fitting/plan';
import { stepAmount, stepName, TISSUE_WORDS } from '@ample/core/words';
import { SeenFigure } from '../../shared/figure/SeenFigure.tsx';
import { Said } from '../../shared/Said.tsx';
import { useUnits } from '../../store/prefs.ts';
import { en } from '@ample/core/speech';

const VIEWS = ['front', 'back'] as const;

/** Before the first fitting: how to begin, what was altered and so wants looking at, and where to look, from the top down. */
export function FirstLook({ draft }: { readonly draft: Draft | null }) {
  const worn = wornAs(draft?.pieces ?? []);
  const units = useUnits();
  const altered = draft?.steps.filter((s) => s.step.on && s.outcome.ok) ?? [];
  return (
    <div className="grid gap-6 min-[1000px]:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_400px]">
      <section className="space-y-3" aria-labelledby="begin">
        <h2 id="begin">No fitting yet</h2>
        <p>
          {en`Begin with a tissue-fit, the paper pinned to the body in front of a mirror; or sew a toile: the altered pieces in cheap cloth of the same weight, long stitches, the waist marked, one sleeve, the skirt left off if you like.`}
        </p>
        <p>
          Judge it standing, sitting and with the arms forward. Note what you see on the figure; the likely causes stand
          beside it, with the test that tells them apart and what each would change.
        </p>
        {altered.length > 0 && (
          <>
            <h3>What was altered: look there first</h3>
            <ul className="list-disc pl-6">
              {altered.map((s) => (
                <li key={s.step.id}>
                  {stepName(s)} <span className="text-quiet">{stepAmount(s, units)}</span>
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
      <section aria-labelledby="looks">
        <h2 id="looks" className="mb-2">
          Where to look, from the top down
        </h2>
        <ol>
          {tissueChecksFor(worn).map(({ id }, i) => (
            <li key={id} className="flex gap-3 border-t border-line py-2">
              <span className="num w-6 shrink-0 text-quiet">{i + 1}</span>
              <span>
                <strong>{TISSUE_WORDS[id].name}.</strong> <Said>{TISSUE_WORDS[id].look}</Said>
              </span>
            </li>
          ))}
        </ol>
      </section>
      <div className="grid grid-cols-2 gap-2 self-start">
        {VIEWS.map((view) => (
          <figure key={view} className="m-0">
            <SeenFigure
              view={view}
              worn={worn}
              observations={[]}
              chosen={null}
              onChoose={() => undefined}
              height="h-[360px]"
            />
            <figcaption className="text-center text-sm text-quiet">{view}</figcaption>
          </figure>
        ))}
      </div>
    </div>
  );
}
