import { sayFileRefusal } from '@ample/core/words';
import { putAway, usePicture } from '../../../store/picture.ts';
import { useUnits } from '../../../store/prefs.ts';
import { Notice } from '../../../shared/basics.tsx';
import { ChoosePicture } from './ChoosePicture.tsx';
import { DrawOutline } from './DrawOutline.tsx';
import { JoinNext, KeptPicture, ShareMarks } from './JoinPictures.tsx';
import { MarkSheet } from './MarkSheet.tsx';

/** From a picture to outlines: what is known in it, laid flat, joined to the next where the piece goes on, drawn over. */
export function PhotoPanel() {
  const { grey, flat, base, sharing, busy, failed, name } = usePicture();
  const units = useUnits();
  return (
    <section className="card space-y-4 p-4" aria-label="Photo or scan">
      {name !== '' && <p className="font-bold break-words">{name}</p>}
      {base && <KeptPicture />}
      {!grey && <ChoosePicture />}
      {grey && !flat && <MarkSheet />}
      {flat && base && <JoinNext />}
      {flat && !base && sharing && <ShareMarks />}
      {flat && !base && !sharing && <DrawOutline />}
      {busy && <p role="status">Working on the picture…</p>}
      {failed && <Notice grade="fault">{sayFileRefusal(failed, units)}</Notice>}
      {grey && !base && (
        <button className="btn" onClick={putAway}>
          Take another picture
        </button>
      )}
    </section>
  );
}
