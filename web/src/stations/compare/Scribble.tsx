import { useMemo } from 'react';
import { flatOf } from '@ample/core/alterations';
import type { Draft } from '@ample/core/fitting/plan';
import { isTold } from '@ample/core/fitting/compare';
import { COLOURS, drawPiece, pathData } from '@ample/core/out';
import type { Point } from '@ample/core/geometry';
import type { MeasurementKey, Piece } from '@ample/core/pattern';
import { formatLength } from '@ample/core/units';
import { MEASUREMENT_WORDS } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';

interface Note {
  readonly key: MeasurementKey;
  readonly text: string;
  readonly points: readonly Point[];
  readonly at: Point;
}

/** Heights of the writing, in the units of the drawing, for a picture so many of them wide. */
const WIDTH = 312;
const TEXT = 15.5;
const ROW = 32;
const GAP = 12;
const LABEL = 116;

const middle = (points: readonly Point[]): Point => {
  const [a, b] = [points[0], points.at(-1)];
  return a && b ? { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 } : { x: 0, y: 0 };
};

/** Each piece once, with the differences written beside it as one scribbles them on the paper. */
export function Scribble({
  draft,
  focused,
  onFocus,
}: {
  readonly draft: Draft;
  readonly focused: MeasurementKey | null;
  readonly onFocus: (key: MeasurementKey) => void;
}) {
  const { unit, fraction } = useUnits();
  const notes = useMemo(() => {
    const on = { pieces: draft.original, seams: draft.sides.left.seams };
    const out = new Map<string, Note[]>();
    for (const row of draft.worksheet) {
      // The row in hand is always shown: there one sees where to lay the tape.
      const worth = isTold(row);
      if (!worth && row.key !== focused) continue;
      const flat = flatOf(on, row.key);
      // Written on the first piece it lies on, and on one more where front and back share it; the whole of it, over darts.
      const whole = new Map<string, readonly Point[]>();
      for (const line of flat?.lines ?? []) whole.set(line.piece, [...(whole.get(line.piece) ?? []), ...line.points]);
      const by = row.each ?? row.difference;
      const text = by === null ? '' : formatLength(by, unit, { fraction, sign: true });
      for (const [piece, points] of [...whole].slice(0, row.share.parts < 4 ? 1 : undefined))
        out.set(piece, [...(out.get(piece) ?? []), { key: row.key, text, points, at: middle(points) }]);
    }
    return out;
  }, [draft, focused, unit, fraction]);
  const pieces = draft.original.filter((p) => notes.has(p.id));
  if (pieces.length === 0) return null;
  return (
    <section className="card p-3" aria-label="The differences on the pieces">
      <h2 className="mb-1">On the pieces</h2>
      <p className="mb-2 text-sm text-quiet">
        Each piece’s share.{draft.paper && ' Drawn on a similar piece, not on yours.'}
      </p>
      {pieces.map((p) => (
        <OnPiece key={p.id} piece={p} notes={notes.get(p.id) ?? []} focused={focused} onFocus={onFocus} />
      ))}
    </section>
  );
}

function OnPiece({
  piece,
  notes,
  focused,
  onFocus,
}: {
  readonly piece: Piece;
  readonly notes: readonly Note[];
  readonly focused: MeasurementKey | null;
  readonly onFocus: (key: MeasurementKey) => void;
}) {
  const d = useMemo(() => drawPiece(piece), [piece]);
  const { minX, minY, maxX, maxY } = d.bounds;
  const scale = (WIDTH - LABEL - GAP) / (maxX - minX);
  const place = (p: Point): Point => ({ x: (p.x - minX) * scale + 2, y: (p.y - minY) * scale + 2 });
  // Names down the margin in the order of the places they speak of, never over one another.
  const sorted = [...notes].sort((a, b) => a.at.y - b.at.y);
  const tall = Math.max((maxY - minY) * scale + 8, sorted.length * ROW + 8);
  const set = sorted.reduce<readonly (Note & { readonly y: number })[]>((above, n, i) => {
    const rest = (sorted.length - i) * ROW;
    const least = (above.at(-1)?.y ?? -ROW) + ROW;
    return [...above, { ...n, y: Math.min(Math.max(place(n.at).y, least, TEXT), tall - rest + TEXT) }];
  }, []);
  const line = { fill: 'none', vectorEffect: 'non-scaling-stroke' as const };
  return (
    <figure className="m-0 mb-3">
      <svg
        viewBox={`0 0 ${WIDTH} ${tall + 4}`}
        className="block w-full max-w-[430px]"
        role="group"
        aria-label={piece.name}
      >
        <g transform={`translate(2 2) scale(${scale}) translate(${-minX} ${-minY})`}>
          <path
            d={pathData(d.seam, true)}
            fill={COLOURS.tissue}
            stroke={COLOURS.carbon}
            vectorEffect="non-scaling-stroke"
          />
          {d.darts.map((t) => (
            <path key={t.id} d={pathData(t.legs)} stroke={COLOURS.carbon} {...line} />
          ))}
        </g>
        {set.map((n) => {
          const on = n.key === focused;
          const at = place(n.at);
          const x = WIDTH - LABEL + 4;
          return <PieceNumber key={n.key} note={n} onFocus={onFocus} place={place} on={on} at={at} x={x} />;
        })}
      </svg>
      <figcaption className="text-sm">{piece.name}</figcaption>
    </figure>
  );
}

function PieceNumber({
  note,
  onFocus,
  place,
  on,
  at,
  x,
}: {
  readonly note: Note & { readonly y: number };
  readonly onFocus: (key: MeasurementKey) => void;
  readonly place: (p: Point) => Point;
  readonly on: boolean;
  readonly at: Point;
  readonly x: number;
}) {
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${MEASUREMENT_WORDS[note.key].name} ${note.text}`}
      className="cursor-pointer"
      onClick={() => onFocus(note.key)}
      onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && onFocus(note.key)}
    >
      <polyline
        points={note.points.map((p) => `${place(p).x},${place(p).y}`).join(' ')}
        stroke={COLOURS.pencil}
        strokeWidth={on ? 3 : 1.6}
        strokeDasharray={on ? undefined : '5 3'}
        fill="none"
      />
      <path d={`M${at.x} ${at.y}L${x - 6} ${note.y - 5}`} stroke={COLOURS.grey} strokeWidth="0.8" fill="none" />
      <text x={x} y={note.y} fontSize={TEXT} fill={COLOURS.ink} fontWeight={on ? 700 : 400}>
        {MEASUREMENT_WORDS[note.key].name}
      </text>
      <text x={x} y={note.y + 16} fontSize={TEXT} fill={COLOURS.pencil} className="num" fontWeight="700">
        {note.text}
      </text>
    </g>
  );
}
