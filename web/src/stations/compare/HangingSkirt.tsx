import { dropBy, TRIED_WITH } from '@ample/core/fitting/fit';
import { setHanging } from '../../store/compare.ts';
import { useJob } from '../../store/job.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import { Length } from '../../shared/basics.tsx';
import { en } from '@ample/core/speech';

/** No skirt weighs more, grams. */
const MOST_GRAMS = 20_000;

/** A bodice that stretches gives under the skirt's weight: how heavy it is, how much the bodice gives, and the drop. */
export function HangingSkirt() {
  const hanging = useJob((s) => s.job?.hanging ?? null);
  const drop = dropBy(hanging);
  const stretch = hanging?.stretch ?? 0;
  // An empty field and no stretch mean the same, so entering the weight writes no 0 into the other field. Committed on
  // leaving the field, so typing is one undo step; cleared, nothing hangs there.
  const weigh = (typed: number) => {
    const grams = Number.isNaN(typed) ? 0 : Math.min(MOST_GRAMS, Math.max(0, Math.round(typed)));
    if (grams !== (hanging?.grams ?? 0)) setHanging(grams === 0 && stretch === 0 ? null : { grams, stretch });
  };
  return (
    <details className="card mt-4 p-3" open={hanging !== null}>
      <summary className="min-h-[40px] cursor-pointer py-2">A skirt hangs from this bodice</summary>
      <p className="mb-3 max-w-[60ch]">
        Stretchy cloth gives under the weight of a skirt, and the waist sinks. Weigh the skirt. Hang {TRIED_WITH}{' '}
        {en`g from the waist of the toile, or of a tube of the same cloth as wide and as long, and measure how much longer it gets.`}
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <label className="flex flex-col gap-1">
          <span>The skirt weighs, in grams</span>
          <input
            key={hanging?.grams ?? 'none'}
            className="field num w-36"
            type="number"
            inputMode="numeric"
            min={0}
            max={MOST_GRAMS}
            step={10}
            defaultValue={hanging?.grams ?? ''}
            onBlur={(e) => weigh(e.target.valueAsNumber)}
            onKeyDown={(e) => e.key === 'Enter' && weigh(e.currentTarget.valueAsNumber)}
          />
        </label>
        <LengthField
          label={`${TRIED_WITH} g make it longer by`}
          value={stretch === 0 ? null : stretch}
          optional
          min={0}
          max={200}
          width="w-40"
          onCommit={(v) => {
            const grams = hanging?.grams ?? 0;
            setHanging(v === null && grams === 0 ? null : { grams, stretch: v ?? 0 });
          }}
        />
        <p className="min-h-[40px] py-2" role="status">
          {drop > 0 ? (
            <>
              The waist will sink by <Length value={drop} />: the lengths to the waist are wanted so much shorter.
            </>
          ) : (
            'Both together tell how far the waist will sink.'
          )}
        </p>
      </div>
    </details>
  );
}
