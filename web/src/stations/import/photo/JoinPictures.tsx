import type { Joint } from '@ample/core/in/photo';
import { usePicture } from '../../../store/picture.ts';
import { dropShared, goOn, joinNext, stayWithFirst } from '../../../store/pictureJoin.ts';
import { Notice } from '../../../shared/basics.tsx';
import { COLOURS } from '@ample/core/out';

/** First of two pictures: marks that the next shows too. */
export function ShareMarks() {
  const shared = usePicture((s) => s.shared.length);
  return (
    <>
      <p role="status">
        {shared < 2
          ? 'Click two or more marks that the next picture shows too, as far apart as they can be: crosses you draw on the paper, notches, corners.'
          : `${shared} marks. A third shows whether the pictures agree.`}
      </p>
      <div className="flex flex-wrap gap-2">
        <button className="btn btn-main" disabled={shared < 2} onClick={goOn}>
          Go on to the next picture
        </button>
        <button className="btn" disabled={shared === 0} onClick={dropShared}>
          Remove the last mark
        </button>
        <button className="btn" onClick={() => usePicture.setState({ sharing: false, shared: [], failed: null })}>
          Draw on this one alone
        </button>
      </div>
    </>
  );
}

/** The picture before, small, with its marks by number, while the next is being prepared. */
export function KeptPicture() {
  const base = usePicture((s) => s.base);
  if (!base) return null;
  const { flat, url, marks } = base;
  const [w, h] = [flat.width / flat.perMm, flat.height / flat.perMm];
  const r = Math.max(w, h) / 40;
  return (
    <figure>
      <svg
        className="max-h-[220px] w-full border border-line bg-white"
        viewBox={`${flat.origin.x} ${flat.origin.y} ${w} ${h}`}
        role="img"
        aria-label={`The picture before, with ${marks.length} marks`}
      >
        <image href={url} x={flat.origin.x} y={flat.origin.y} width={w} height={h} preserveAspectRatio="none" />
        {marks.map((m, i) => (
          <g key={i}>
            <circle cx={m.x} cy={m.y} r={r} fill="none" stroke={COLOURS.pencil} strokeWidth={r / 3} />
            <text
              x={m.x + 1.4 * r}
              y={m.y - r}
              fontSize={3.4 * r}
              fontWeight={700}
              fill={COLOURS.pencil}
              stroke={COLOURS.white}
              strokeWidth={r / 2}
              paintOrder="stroke"
            >
              {i + 1}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="mt-1 flex flex-wrap items-center justify-between gap-2 text-sm">
        The picture before
        <button className="btn" onClick={stayWithFirst}>
          Back to it
        </button>
      </figcaption>
    </figure>
  );
}

/** The same marks in the next picture, and the two made one. */
export function JoinNext() {
  const shared = usePicture((s) => s.shared.length);
  const wanted = usePicture((s) => s.base?.marks.length ?? 0);
  return (
    <>
      <p role="status">
        {shared < wanted
          ? `Click mark ${shared + 1} of ${wanted} in this picture, as it is numbered in the one before.`
          : 'All marks are found again.'}
      </p>
      <div className="flex flex-wrap gap-2">
        <button className="btn btn-main" disabled={shared < wanted} onClick={() => void joinNext()}>
          Join the pictures
        </button>
        <button className="btn" disabled={shared === 0} onClick={dropShared}>
          Remove the last mark
        </button>
      </div>
    </>
  );
}

/** How well two pictures agree where they were joined. */
export function HowJoined({ joint }: { readonly joint: Joint }) {
  const percent = Math.abs(joint.stretch - 1) * 100;
  return (
    <Notice grade={joint.worst > 1 ? 'look' : 'note'}>
      The pictures are joined. Their marks lie <span className="num">{joint.mean.toFixed(2)} mm</span> from each other,
      the worst <span className="num">{joint.worst.toFixed(2)} mm</span>
      {percent >= 0.1 && (
        <>
          , and the second picture is <span className="num">{percent.toFixed(1)} %</span>{' '}
          {joint.stretch > 1 ? 'larger' : 'smaller'} than the first
        </>
      )}
      .
    </Notice>
  );
}
