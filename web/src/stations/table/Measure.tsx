import { useState, type PointerEvent } from 'react';
import { distance, type Box, type Point } from '@ample/core/geometry';
import { alongSeamLine, snapPlaces, snapTo, type Piece } from '@ample/core/pattern';
import { formatLength } from '@ample/core/units';
import { saySnap } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';
import { SNAP_PIXELS } from './onMat.ts';
import { useHotkeys } from '../../lib/hotkeys.ts';
import { COLOURS } from '@ample/core/out';
import { Select } from '../../ui/Select.tsx';

/** One end of the tape: a place on the mat, on which piece, and what it was laid to. */
interface TapeEnd {
  readonly at: Point;
  readonly piece: string | null;
  readonly said: string;
}

export interface Measuring {
  readonly on: boolean;
  readonly ends: readonly TapeEnd[];
  readonly toggle: () => void;
  readonly put: (end: TapeEnd) => void;
}

/** The tape measure: off, or on with none, one or both ends laid down. */
export function useMeasuring(): Measuring {
  const [on, setOn] = useState(false);
  const [ends, setEnds] = useState<readonly TapeEnd[]>([]);
  const toggle = () => {
    setOn((o) => !o);
    setEnds([]);
  };
  const putAway = () => {
    setOn(false);
    setEnds([]);
  };
  useHotkeys({ measure: toggle, stopMeasuring: putAway });
  return { on, ends, toggle, put: (end) => setEnds((now) => (now.length === 1 ? [...now, end] : [end])) };
}

interface Props {
  readonly measuring: Measuring;
  readonly pieces: readonly Piece[];
  readonly offsetOf: (id: string) => Point;
  readonly k: number;
  readonly toMat: (clientX: number, clientY: number) => Point;
  readonly mat: Box;
}

/** A tap this near to the seam line, mm, is on it. */
const ON_SEAM = 3;

const plus = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });

/** Lies over the mat while measuring: two taps, or the two lists, give the straight and the seam-line length. */
export function MeasureLayer({ measuring, pieces, offsetOf, k, toMat, mat }: Props) {
  if (!measuring.on) return null;
  const put = (e: PointerEvent) => {
    const p = toMat(e.clientX, e.clientY);
    measuring.put(nearestEnd(pieces, offsetOf, p, (SNAP_PIXELS * 1.6) / k));
  };
  const [a, b] = measuring.ends;
  return (
    <g data-handle="tape">
      <rect
        x={mat.minX - 2000}
        y={mat.minY - 2000}
        width={mat.maxX - mat.minX + 4000}
        height={mat.maxY - mat.minY + 4000}
        fill="transparent"
        className="cursor-crosshair"
        onPointerDown={put}
      />
      <g pointerEvents="none">
        {a && b && <path d={`M${a.at.x} ${a.at.y}L${b.at.x} ${b.at.y}`} stroke={COLOURS.ink} strokeWidth={3 / k} />}
        {a && b && (
          <path
            d={`M${a.at.x} ${a.at.y}L${b.at.x} ${b.at.y}`}
            stroke={COLOURS.insert}
            strokeWidth={1.4 / k}
            strokeDasharray={`${6 / k} ${4 / k}`}
          />
        )}
        {measuring.ends.map((end, i) => (
          <circle
            key={i}
            cx={end.at.x}
            cy={end.at.y}
            r={6 / k}
            fill={COLOURS.insert}
            stroke={COLOURS.ink}
            strokeWidth={2 / k}
          />
        ))}
      </g>
    </g>
  );
}

/** A tap near a notch, a third or a corner of a piece is laid to it. */
function nearestEnd(pieces: readonly Piece[], offsetOf: (id: string) => Point, p: Point, radius: number): TapeEnd {
  for (const piece of pieces) {
    const offset = offsetOf(piece.id);
    const snap = snapTo(snapPlaces(piece), minus(p, offset), radius);
    if (snap) return { at: plus(snap.at, offset), piece: piece.id, said: saySnap(snap) };
  }
  const on = pieces.find((piece) =>
    alongSeamLine(piece, minus(p, offsetOf(piece.id)), minus(p, offsetOf(piece.id)), radius),
  );
  return { at: p, piece: on?.id ?? null, said: on ? 'on the seam line' : 'on the mat' };
}

/** What the tape says, beside the mat's tools; the lists lay it down without a pointer. */
export function MeasureReading({ measuring, pieces, offsetOf }: Pick<Props, 'measuring' | 'pieces' | 'offsetOf'>) {
  const { unit, fraction } = useUnits();
  if (!measuring.on) return null;
  const say = (v: number) => formatLength(v, unit, { fraction: unit === 'in' ? 16 : fraction });
  const [a, b] = measuring.ends;
  const piece = a && b && a.piece === b.piece ? pieces.find((p) => p.id === a.piece) : undefined;
  const along =
    piece && a && b
      ? alongSeamLine(piece, minus(a.at, offsetOf(piece.id)), minus(b.at, offsetOf(piece.id)), ON_SEAM)
      : null;
  return (
    <section
      className="absolute right-0 bottom-0 left-0 flex flex-wrap items-end gap-x-6 gap-y-1 border-t border-ink bg-white px-4 py-2"
      aria-label="Tape measure"
    >
      <div role="status" aria-live="polite" className="min-w-0 flex-1">
        {!a && <p>Tap where the tape begins, or choose it below.</p>}
        {a && !b && <p>From {a.said}. Tap where it ends.</p>}
        {a && b && (
          <>
            <p className="num text-xl">{say(distance(a.at, b.at))} straight</p>
            {along && (
              <p className="num text-lg">
                {say(along.length)}{' '}
                <span className="font-sans text-base">along the seam line{along.skipsDart && ', dart left out'}</span>
              </p>
            )}
            <p className="text-sm">
              {a.said} – {b.said}
            </p>
          </>
        )}
      </div>
      <PlaceList pieces={pieces} offsetOf={offsetOf} label={a && !b ? 'Ends' : 'Begins'} onChoose={measuring.put} />
    </section>
  );
}

function PlaceList({
  pieces,
  offsetOf,
  label,
  onChoose,
}: Pick<Props, 'pieces' | 'offsetOf'> & { readonly label: string; readonly onChoose: (end: TapeEnd) => void }) {
  const places = pieces.flatMap((piece) =>
    snapPlaces(piece)
      .filter((s) => s.kind !== 'third')
      .map((s) => ({
        at: plus(s.at, offsetOf(piece.id)),
        piece: piece.id,
        said: saySnap(s),
        name: `${piece.name}: ${saySnap(s)}`,
      })),
  );
  return (
    <Select
      label={label}
      value=""
      set={(chosen) => {
        const place = places[Number(chosen)];
        if (place) onChoose(place);
      }}
      wide
      className="block w-[260px]"
    >
      <option value="" disabled>
        choose a place
      </option>
      {places.map((p, i) => (
        <option key={`${p.name}${i}`} value={i}>
          {p.name}
        </option>
      ))}
    </Select>
  );
}
