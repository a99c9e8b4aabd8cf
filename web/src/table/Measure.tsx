import { useEffect, useState, type PointerEvent } from 'react';
import { distance, type Box, type Point } from '@ample/core/geometry';
import { alongSeamLine, snapPlaces, snapTo, type Piece } from '@ample/core/pattern';
import { formatLength } from '@ample/core/units';
import { saySnap } from '@ample/core/words';
import { useUnits } from '../store/prefs.ts';
import { SNAP_PIXELS } from './onMat.ts';

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
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || (e.target as Element).matches('input, select, textarea')) return;
      if (e.key.toLowerCase() === 'm') toggle();
      if (e.key === 'Escape') {
        setOn(false);
        setEnds([]);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
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
        {a && b && <path d={`M${a.at.x} ${a.at.y}L${b.at.x} ${b.at.y}`} stroke="#1E2A38" strokeWidth={3 / k} />}
        {a && b && (
          <path
            d={`M${a.at.x} ${a.at.y}L${b.at.x} ${b.at.y}`}
            stroke="#FFF3B0"
            strokeWidth={1.4 / k}
            strokeDasharray={`${6 / k} ${4 / k}`}
          />
        )}
        {measuring.ends.map((end, i) => (
          <circle key={i} cx={end.at.x} cy={end.at.y} r={6 / k} fill="#FFF3B0" stroke="#1E2A38" strokeWidth={2 / k} />
        ))}
        <Reading measuring={measuring} pieces={pieces} offsetOf={offsetOf} k={k} mat={mat} />
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

function Reading({ measuring, pieces, offsetOf, k, mat }: Omit<Props, 'toMat'>) {
  const { unit, fraction } = useUnits();
  const say = (v: number) => formatLength(v, unit, { fraction: unit === 'in' ? 16 : fraction });
  const [a, b] = measuring.ends;
  const piece = a && b && a.piece === b.piece ? pieces.find((p) => p.id === a.piece) : undefined;
  const along =
    piece && a && b ? alongSeamLine(piece, minus(a.at, offsetOf(piece.id)), minus(b.at, offsetOf(piece.id)), 3) : null;
  const lines = !a
    ? ['Tap where the tape begins.']
    : !b
      ? [`From ${a.said}.`, 'Tap where it ends.']
      : [
          `${say(distance(a.at, b.at))} straight`,
          ...(along ? [`${say(along.length)} along the seam line${along.skipsDart ? ', dart left out' : ''}`] : []),
          `${a.said} to ${b.said}`,
        ];
  const width = Math.max(...lines.map((l) => l.length)) * 8.2 + 24;
  const at = b
    ? { x: (a?.at.x ?? 0) / 2 + b.at.x / 2 + 16 / k, y: (a?.at.y ?? 0) / 2 + b.at.y / 2 }
    : { x: mat.minX + 60 / k, y: mat.minY + 24 / k };
  return (
    <g transform={`translate(${at.x} ${at.y}) scale(${1 / k})`} role="status" aria-live="polite">
      <rect width={width} height={lines.length * 22 + 12} fill="#fff" stroke="#1E2A38" />
      {lines.map((line, i) => (
        <text
          key={line}
          x="12"
          y={24 + i * 22}
          fontSize={i === 0 && b ? 18 : 15}
          fontWeight={i === 0 && b ? 700 : 400}
          fill="#1E2A38"
        >
          {line}
        </text>
      ))}
    </g>
  );
}
