import { Download, Pin } from 'lucide-react';
import { useState, type RefObject } from 'react';
import { MOST } from '@ample/core/documents';
import { signsOf } from '@ample/core/fitting/onForm';
import type { Refusal } from '@ample/core/units';
import { FITTING_WORDS, READING_WORDS, sayAmount, sayRefusal } from '@ample/core/words';
import { Notice } from '../../../shared/basics.tsx';
import { addFitting } from '../../../store/fittings.ts';
import { useJob } from '../../../store/job.ts';
import { addPhotos } from '../../../store/photos.ts';
import { useUnits } from '../../../store/prefs.ts';
import { today } from '../../../lib/time.ts';
import { saveModel, type ModelKind } from './save.ts';
import type { Look } from '../../../shared/onForm/useDraped.ts';

/** The garment on its form, kept: as a fitting of this job with what shows and a picture, or as a file to look at elsewhere. */
export function Keep({
  look,
  as,
  name,
  whole,
  drawing,
  onKept,
}: {
  readonly look: Look;
  /** Which of the two is kept. */
  readonly as: 'drafted' | 'planned';
  readonly name: string;
  /** All steps of the plan are worn: only then is it the plan’s fitting. */
  readonly whole: boolean;
  readonly drawing: RefObject<HTMLElement | null>;
  readonly onKept: (fitting: string) => void;
}) {
  const units = useUnits();
  const [troubles, setTroubles] = useState<readonly Refusal[]>([]);
  const shown = look.cloth[as]?.shown;
  const full = useJob((s) => (s.job?.fittings.length ?? 0) >= MOST.fittings);
  const { form, draped } = look;
  if (!shown || !form) return null;
  // What is stopped or failed is the garment before the last change.
  const ready = draped !== null && look.share === null && !look.stopped && !look.trouble;
  const save = (kind: ModelKind) => void saveModel(`${name}-${as}`, form.figure, shown, kind);
  const keep = async (): Promise<void> => {
    if (!draped) return;
    const seen = signsOf(draped.readings[as]).map(({ sign, amount, from }) => ({
      ...{ sign, pinned: amount === null ? null : Math.round(10 * amount) / 10 },
      ...(draped.differ ? { side: draped.side } : {}),
      note: from
        .map(
          (r) =>
            `${READING_WORDS[r.id].name}: ${sayAmount(r, r.value, units)}, for ${sayAmount(r, r.control, units)} on the body it was drafted for.`,
        )
        .join(' '),
    }));
    const fitting = addFitting('form', today(), FITTING_WORDS.form, seen);
    const picture = await pictureOf(drawing.current);
    const caption = as === 'planned' ? 'As drafted, and as planned' : 'As drafted';
    const failed = picture ? await addPhotos(fitting, [picture], { caption }) : [];
    setTroubles(failed);
    if (failed.length === 0) onKept(fitting);
  };
  return (
    <div className="mt-3 grid gap-2">
      <div className="flex flex-wrap gap-2">
        <button className="btn" disabled={!ready || !whole || full} onClick={() => void keep()}>
          <Pin size={18} aria-hidden /> Keep as a fitting
        </button>
        <button className="btn" onClick={() => save('glb')}>
          <Download size={18} aria-hidden /> 3D model (glTF)
        </button>
        <button className="btn" onClick={() => save('obj')}>
          <Download size={18} aria-hidden /> 3D model (OBJ)
        </button>
      </div>
      <p className="text-quiet">
        {full
          ? `A job keeps ${MOST.fittings} fittings: delete one to keep another.`
          : whole
            ? `Each takes the garment ${as === 'planned' ? 'as planned' : 'as drafted'}.`
            : 'Wear all steps of the plan to keep it as a fitting.'}
      </p>
      {troubles.map((t, i) => (
        <Notice key={i} grade="look">
          {sayRefusal(t, units)}
        </Notice>
      ))}
    </div>
  );
}

/** What is drawn of the forms, as a picture; null where nothing is drawn solid. */
async function pictureOf(drawing: HTMLElement | null): Promise<File | null> {
  const canvas = drawing?.querySelector('canvas');
  const blob = canvas && (await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png')));
  return blob ? new File([blob], 'on the form.png', { type: 'image/png' }) : null;
}
