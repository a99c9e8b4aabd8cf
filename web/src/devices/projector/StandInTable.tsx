import { useEffect, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { COLOURS, drawPiece } from '@ample/core/out';
import { useDraft } from '../../store/draft.ts';
import { Length } from '../../shared/basics.tsx';
import { watchPicture } from './channel.ts';
import { tableOf, tapeReads, USUAL_STAND, type Stand } from './stand.ts';
import { squareNow, type Picture } from './state.ts';
import { Thrown } from './Thrown.tsx';
import type { PieceDrawing } from '@ample/core/out';
import { en } from '@ample/core/speech';

const TABLE = { width: 1500, height: 900 };
const CM = 10;

/** A cutting table on the screen with what a projector throws onto it: to try the projector view without one. */
export function StandInTable() {
  const { job = '' } = useParams();
  const draft = useDraft((s) => s.draft);
  const [picture, setPicture] = useState<Picture | null>(null);
  const [stand, setStand] = useState<Stand>(USUAL_STAND);
  useEffect(() => watchPicture(job, setPicture), [job]);
  const piece = draft?.pieces.find((p) => p.id === picture?.piece);
  const drawing = useMemo(() => (piece ? drawPiece(piece) : null), [piece]);
  const t = picture && tableOf(stand, picture.size, TABLE);
  const measured = picture && (picture.calibrating || !picture.calibration);
  const reads = picture && measured ? tapeReads(stand, squareNow(picture)) : null;
  return (
    <main className="flex h-full min-h-0 flex-col gap-3 overflow-auto px-6 py-4" tabIndex={-1}>
      <StandInKnobs stand={stand} setStand={setStand} />
      {reads && (
        <p role="status">
          The tape on the square reads: across <Length value={reads.across} />, down <Length value={reads.down} />,
          diagonal ╲ <Length value={reads.falling} />, diagonal ╱ <Length value={reads.rising} />.
        </p>
      )}
      {!picture && (
        <p role="status">
          No projector is on. Open the projector view of this job in another window and leave it open.
        </p>
      )}
      <TableFromAbove toTable={t} picture={picture} drawing={drawing} />
    </main>
  );
}

function StandInKnobs({
  stand,
  setStand,
}: {
  readonly stand: Stand;
  readonly setStand: (change: Stand | ((stand: Stand) => Stand)) => void;
}) {
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
      <h1>Stand-in table</h1>
      {(
        [
          ['height', 'Hung higher', 0.6, 1.4],
          ['stretch', 'Thrown wider', 0.9, 1.1],
          ['lean', 'Aslant', -4, 4],
        ] as const
      ).map(([key, label, min, max]) => (
        <label key={key} className="flex items-center gap-2">
          <span>{label}</span>
          <input
            type="range"
            className="h-10 w-32 accent-carbon"
            min={min}
            max={max}
            step={(max - min) / 80}
            value={stand[key]}
            onChange={(e) => setStand((s) => ({ ...s, [key]: Number(e.target.value) }))}
          />
        </label>
      ))}
      <button className="btn" onClick={() => setStand(USUAL_STAND)}>
        As it hung
      </button>
    </div>
  );
}

function TableFromAbove({
  toTable,
  picture,
  drawing,
}: {
  readonly toTable: readonly [number, number, number, number, number, number] | null;
  readonly picture: Picture | null;
  readonly drawing: PieceDrawing | null;
}) {
  return (
    <svg
      className="min-h-[320px] w-full flex-1 bg-mat"
      viewBox={`0 0 ${TABLE.width} ${TABLE.height}`}
      role="img"
      aria-label={en`The cutting table with a grid of centimetres`}
    >
      {toTable && picture && (
        <g transform={`matrix(${toTable.join(' ')})`}>
          <Thrown picture={picture} drawing={drawing} />
        </g>
      )}
      <g stroke={COLOURS.gridLight} strokeOpacity="0.55" pointerEvents="none">
        {Array.from({ length: TABLE.width / CM + 1 }, (_, i) => (
          <path key={`x${i}`} d={`M${i * CM} 0V${TABLE.height}`} strokeWidth={i % 10 === 0 ? 1.4 : 0.35} />
        ))}
        {Array.from({ length: TABLE.height / CM + 1 }, (_, i) => (
          <path key={`y${i}`} d={`M0 ${i * CM}H${TABLE.width}`} strokeWidth={i % 10 === 0 ? 1.4 : 0.35} />
        ))}
      </g>
      {Array.from({ length: TABLE.width / 100 }, (_, i) => (
        <text key={i} x={i * 100 + 6} y={24} fontSize="22" fill={COLOURS.figures} className="num">
          {i * 10}
        </text>
      ))}
    </svg>
  );
}
