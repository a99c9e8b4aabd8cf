import { dropBy, TRIED_WITH } from '@ample/core/fit';
import { setHanging } from '../../store/compare.ts';
import { useJob } from '../../store/job.ts';
import { LengthField } from '../../ui/LengthField.tsx';
import { Length } from '../../ui/parts.tsx';

/** A bodice that stretches gives under the skirt's weight: how heavy it is, how much the bodice gives, and the drop. */
export function HangingSkirt() {
  const hanging = useJob((s) => s.job?.hanging ?? null);
  const drop = dropBy(hanging);
  return (
    <details className="sheet mt-4 p-3" open={hanging !== null}>
      <summary className="min-h-[40px] cursor-pointer py-2">A skirt hangs from this bodice</summary>
      <p className="mb-3 max-w-[60ch]">
        Stretchy cloth gives under the weight of a skirt, and the waist sinks. Weigh the skirt. Hang {TRIED_WITH} g from
        the waist of the toile, or of a tube of the same cloth as wide and as long, and measure how much longer it gets.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <label className="flex flex-col gap-1">
          <span>The skirt weighs, in grams</span>
          <input
            className="field num w-36"
            type="number"
            inputMode="numeric"
            min={0}
            max={20000}
            step={10}
            value={hanging?.grams ?? ''}
            onChange={(e) => {
              const grams = e.target.valueAsNumber;
              if (Number.isNaN(grams)) setHanging(null);
              else if (grams >= 0 && grams <= 20000) setHanging({ grams, stretch: hanging?.stretch ?? 0 });
            }}
          />
        </label>
        <LengthField
          label={`${TRIED_WITH} g make it longer by`}
          value={hanging?.stretch ?? null}
          optional
          min={0}
          max={200}
          width="w-40"
          onCommit={(v) => setHanging(v === null ? null : { grams: hanging?.grams ?? 0, stretch: v })}
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
