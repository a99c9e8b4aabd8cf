import { useMemo } from 'react';
import { COLOURS, pathData } from '@ample/core/out';
import { move, pathLength, pointAt, polyline, type Point } from '@ample/core/geometry';
import { bustPointOf, type Piece } from '@ample/core/pattern';
import {
  middleOf,
  mouthNow,
  openedAt,
  openingsOf,
  rightBack,
  tapeDown,
  type CutSheet,
  type Laid,
  type Line,
  type Task,
} from '@ample/core/practice';
import { formatLength } from '@ample/core/units';
import { PieceView } from '../../../shared/mat/PieceView.tsx';
import { CrossShape, PinShape, TipShape } from '../../../shared/mat/shapes.tsx';
import { useUnits } from '../../../store/prefs.ts';
import { Seams } from './Seams.tsx';
import type { Attempting } from './useAttempt.ts';

const thin = { vectorEffect: 'non-scaling-stroke' as const };

interface OnMat {
  readonly task: Task;
  readonly index: number;
  readonly work: Attempting;
  /** Where its panels lie at this moment. */
  readonly laid: Laid;
  readonly k: number;
}

/** One piece of the task: to draw on, or cut and lying as it was moved; and where it belongs, once that is known. */
export function Paper({ task, index, work, laid, k }: OnMat) {
  const way = task.right[index];
  const cut = work.now.cut[index] ?? null;
  if (!way) return null;
  return (
    <>
      {cut ? (
        <CutPiece task={task} index={index} sheet={cut.sheet} laid={laid} k={k} work={work} />
      ) : (
        <>
          <PieceView piece={way.from} />
          <Scars cuts={work.now.scars[index] ?? []} />
          <Lines lines={work.now.lines[index] ?? []} k={k} />
          {task.grade === 'marked' && <Marked task={task} index={index} k={k} />}
          <Bust piece={way.from} k={k} />
        </>
      )}
      {work.verdict && <RightOutline task={task} index={index} />}
    </>
  );
}

function Lines({ lines, k }: { readonly lines: readonly Line[]; readonly k: number }) {
  return lines.map((l, i) => {
    const [a, b] = [l.points[0] as Point, l.points.at(-1) as Point];
    const middle = polyMiddle(l.points);
    return (
      <g key={l.id}>
        <path
          d={pathData(polyline(l.points))}
          fill="none"
          stroke={COLOURS.pencil}
          strokeWidth="2.4"
          strokeDasharray="9 5"
          {...thin}
        />
        {[['start', a] as const, ['end', b] as const].map(([end, at]) => (
          <g key={end} transform={`translate(${at.x} ${at.y}) scale(${1 / k})`}>
            {l.hinge[end] ? (
              <PinShape />
            ) : (
              <circle r="5" fill={COLOURS.white} stroke={COLOURS.pencil} strokeWidth="2" />
            )}
          </g>
        ))}
        <g transform={`translate(${middle.x} ${middle.y}) scale(${1 / k})`}>
          <circle r="12" fill={COLOURS.white} stroke={COLOURS.pencil} strokeWidth="1.5" />
          <text textAnchor="middle" y="5.5" fontSize="16" fill={COLOURS.pencil} fontWeight="700">
            {i + 1}
          </text>
        </g>
      </g>
    );
  });
}
const polyMiddle = (points: readonly Point[]): Point => {
  const line = polyline(points);
  return pointAt(line, pathLength(line) / 2);
};

/** How wide a strip of tape is, mm. */
const TAPE = 12;
/** Tape over cuts that were pushed shut. */
const Scars = ({ cuts }: { readonly cuts: readonly (readonly Point[])[] }) =>
  cuts.map((points, i) => (
    <path
      key={i}
      d={pathData(polyline(points))}
      fill="none"
      stroke={COLOURS.rod}
      strokeOpacity="0.55"
      strokeWidth={TAPE}
    >
      <title>Pushed shut and taped</title>
    </path>
  ));

/** The bust point, as patterns print it. */
function Bust({ piece, k }: { readonly piece: Piece; readonly k: number }) {
  const at = bustPointOf(piece);
  return (
    at && (
      <g transform={`translate(${at.x} ${at.y}) scale(${1 / k})`}>
        <title>Bust point</title>
        <CrossShape />
      </g>
    )
  );
}

/** Where hinges belong, for who is to see it. */
function Marked({ task, index, k }: { readonly task: Task; readonly index: number; readonly k: number }) {
  return task.right[index]?.spec.hinges.map((h) => (
    <g key={h.id} transform={`translate(${h.at.x} ${h.at.y}) scale(${1 / k})`}>
      <title>A hinge belongs here</title>
      <circle r="10" fill="none" stroke={COLOURS.brassDark} strokeWidth="2" strokeDasharray="3 3" />
    </g>
  ));
}

interface CutProps {
  readonly task: Task;
  readonly index: number;
  readonly sheet: CutSheet;
  readonly laid: Laid;
  readonly k: number;
  readonly work: Attempting;
}

/** The piece as it lies: taped where it can be, its panels outlined, hinges pinned, what opened written beside it. */
function CutPiece({ task, index, sheet, laid, k, work }: CutProps) {
  const taped = useMemo(() => tapeDown(sheet, laid), [sheet, laid]);
  const way = task.right[index];
  const { tip } = work.now;
  return (
    <>
      {taped.ok && <PieceView piece={taped.value.piece} gaps={taped.value.gaps} ghost={sheet.piece} />}
      {sheet.divided.outlines.map((outline, i) => {
        const m = laid[i];
        return (
          m && (
            <path
              key={i}
              d={pathData(outline, true)}
              fill={COLOURS.tissue}
              fillOpacity={taped.ok ? 0 : 0.9}
              stroke={COLOURS.pencil}
              strokeWidth="1.6"
              transform={`translate(${m.x} ${m.y}) rotate(${(m.angle * 180) / Math.PI})`}
              {...thin}
            />
          )
        );
      })}
      {sheet.pins.map((p, i) => {
        const m = laid[p.panels[0]];
        const at = m && move(m, p.at);
        return (
          at && (
            <g key={i} transform={`translate(${at.x} ${at.y}) scale(${1 / k})`}>
              <PinShape />
            </g>
          )
        );
      })}
      <Weight at={middleOf(sheet.rings[sheet.root] ?? [])} k={k} />
      {taped.ok && <Bust piece={taped.value.piece} k={k} />}
      {task.grade !== 'free' && <Openings task={task} index={index} sheet={sheet} laid={laid} k={k} />}
      {taped.ok && <Seams task={task} index={index} piece={taped.value.piece} courses={work.now.trued[index] ?? []} />}
      {index === 0 && tip && taped.ok && way && (
        <Tip ends={mouthNow(way, { sheet, laid, taped: taped.value })} tip={tip} k={k} />
      )}
    </>
  );
}

/** What keeps the pinned piece on the mat. */
const Weight = ({ at, k }: { readonly at: Point; readonly k: number }) => (
  <g transform={`translate(${at.x} ${at.y}) scale(${1 / k})`}>
    <title>Pinned to the mat</title>
    <circle r="15" fill={COLOURS.iron} stroke={COLOURS.black} />
    <circle r="6" fill={COLOURS.rod} />
  </g>
);

/** The dart as it is drawn: from both ends of its opening to the tip. */
function Tip({
  ends,
  tip,
  k,
}: {
  readonly ends: readonly [Point, Point] | null;
  readonly tip: Point;
  readonly k: number;
}) {
  return (
    <>
      {ends && (
        <path
          d={`M${ends[0].x} ${ends[0].y}L${tip.x} ${tip.y}L${ends[1].x} ${ends[1].y}`}
          fill="none"
          stroke={COLOURS.pencil}
          strokeWidth="2.2"
          {...thin}
        />
      )}
      <g transform={`translate(${tip.x} ${tip.y}) scale(${1 / k})`}>
        <TipShape />
      </g>
    </>
  );
}

/** What has opened, square to each cut. */
function Openings({ task, index, sheet, laid, k }: Omit<CutProps, 'work'>) {
  const { unit, fraction } = useUnits();
  const way = task.right[index];
  if (!way) return null;
  return openingsOf(way).map((o, i) => {
    const { got, cut } = openedAt(o, sheet, laid);
    if (!cut || Math.abs(got) < 0.05) return null;
    const text = `${got < 0 ? 'laps ' : ''}${formatLength(Math.abs(got), unit, { fraction: unit === 'in' ? 16 : fraction })}`;
    return (
      <g key={o.cut} transform={`translate(${o.at.x} ${o.at.y + (i * 34) / k}) scale(${1 / k})`}>
        <rect x="14" y="-17" width={text.length * 10.2 + 14} height="28" fill={COLOURS.white} stroke={COLOURS.ink} />
        <text x="21" y="4" fontSize="18" className="num" fill={COLOURS.ink}>
          {text}
        </text>
      </g>
    );
  });
}

/** The right way’s outline over one’s own. */
function RightOutline({ task, index }: { readonly task: Task; readonly index: number }) {
  const way = task.right[index];
  if (!way) return null;
  const m = rightBack(way);
  return (
    <path
      d={(task.lesson.trues ? way.final : way.taped.piece).edges
        .map((e, i) => (i === 0 ? pathData(e.path) : pathData(e.path).replace(/^M/, 'L')))
        .join('')}
      transform={`translate(${m.x} ${m.y}) rotate(${(m.angle * 180) / Math.PI})`}
      fill="none"
      stroke={COLOURS.black}
      strokeWidth="2"
      strokeDasharray="2 6"
      {...thin}
    >
      <title>Where the seam line belongs</title>
    </path>
  );
}
