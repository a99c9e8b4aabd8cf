import { outlinePlaces } from '@ample/core/in/tracing';
import { addFromPicture } from '../../../store/drawn.ts';
import { inOneStep } from '../../../store/drawnHistory.ts';
import { dropLast, usePicture } from '../../../store/picture.ts';
import { Notice } from '../../../shared/basics.tsx';
import { PLACE_WORDS } from '../placeWords.ts';
import { HowJoined } from './JoinPictures.tsx';
import { en } from '@ample/core/speech';
import { Radio } from '../../../ui/Radio.tsx';

/** Places clicked around a piece, and its marks; a piece done waits with the others. */
export function DrawOutline() {
  const { residual, joint, clicks, kind } = usePicture();
  const around = outlinePlaces(clicks).length;
  return (
    <>
      {residual && (
        <Notice grade="note">
          {residual.mean > 0.01 ? (
            <>
              The marks lie <span className="num">{residual.mean.toFixed(2)} mm</span> from where they should, the worst{' '}
              <span className="num">{residual.worst.toFixed(2)} mm</span>.
            </>
          ) : (
            'Four marks always fit; what is left over they cannot show.'
          )}{' '}
          A mark one pixel off moves the outline by <span className="num">{residual.perPixel.toFixed(2)} mm</span>. A
          bent lens is not in these figures: measure one edge of the real piece afterwards.
        </Notice>
      )}
      {joint && <HowJoined joint={joint} />}
      <fieldset>
        <legend className="mb-1 text-sm">The next place is</legend>
        <div className="grid grid-cols-2 gap-x-3">
          {PLACE_WORDS.map(([id, name]) => (
            <Radio key={id} name="place" on={kind === id} set={() => usePicture.setState({ kind: id })}>
              {name}
            </Radio>
          ))}
        </div>
      </fieldset>
      <p role="status">
        {clicks.length === 0
          ? en`Click around the piece: every corner, and on curves a place every few centimetres.`
          : kind === 'dartTip' || kind === 'dartLeg'
            ? 'A dart is its tip, and then the two places where its legs meet the outline.'
            : kind === 'grain'
              ? 'Click both ends of the grain line.'
              : `${clicks.length} places. Roughly is enough: the outline is drawn to the edges that show.`}
      </p>
      <div className="flex flex-wrap gap-2">
        <button className="btn btn-main" disabled={around < 3} onClick={() => inOneStep(addFromPicture)}>
          Follow the edges
        </button>
        <button className="btn" disabled={clicks.length === 0} onClick={dropLast}>
          Remove the last one
        </button>
      </div>
      <button className="btn" onClick={() => usePicture.setState({ sharing: true, shared: [], failed: null })}>
        The piece goes on in another picture
      </button>
    </>
  );
}
