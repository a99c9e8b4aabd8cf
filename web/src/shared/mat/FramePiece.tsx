import { useMemo, type ReactNode } from 'react';
import { isBefore, type PieceFrame, type Stage } from '@ample/core/alterations';
import { COLOURS, labelPlace, pathData } from '@ample/core/out';
import { polyline, type Point } from '@ample/core/geometry';
import type { Piece } from '@ample/core/pattern';
import { cutPiece, movePanels, type Progress } from '@ample/core/paper/slash';
import { formatLength } from '@ample/core/units';
import { useUnits } from '../../store/prefs.ts';
import { PinShape, TargetShape } from './shapes.tsx';
import { PieceView } from './PieceView.tsx';

interface Props {
  readonly frame: PieceFrame;
  readonly stage: Stage;
  /** How far the paper of this stage has come. */
  readonly t: number;
  /** Screen pixels for a millimetre. */
  readonly k: number;
  /** The piece before the alteration, as a thin ghost. */
  readonly original: Piece | undefined;
  /** Points that something else draws. */
  readonly taken?: (at: Point, id: string) => boolean;
  /** What lies over it, given the piece as it is at this moment. */
  readonly children?: (piece: Piece) => ReactNode;
}

const thin = { vectorEffect: 'non-scaling-stroke' as const };
const mix = (a: Progress, b: Progress, t: number): Progress => ({
  open: a.open + (b.open - a.open) * t,
  level: a.level + (b.level - a.level) * t,
  close: a.close + (b.close - a.close) * t,
});

/** One of the pieces being altered, at one stage: its lines, its paper on the way, and what has opened. */
export function FramePiece({ frame, stage, t, k, original, taken, children }: Props) {
  const { moves } = frame;
  const divided = useMemo(() => {
    const cut = moves ? cutPiece(moves.from, moves.spec) : null;
    return cut?.ok ? cut.value : null;
  }, [moves]);
  const live = useMemo(() => {
    const moved = divided && moves && t < 1 ? movePanels(divided, moves.spec, mix(moves.before, moves.after, t)) : null;
    return moved?.ok ? moved.value : null;
  }, [divided, moves, t]);
  const marking = isBefore(stage, 'open');
  const piece: Piece = live?.piece ?? frame.piece;
  const gaps = (live?.gaps ?? (marking ? [] : frame.gaps)).filter((g) => !g.fold);
  const panels = live?.panels ?? (moves && !marking ? frame.panels : []);
  return (
    <>
      <PieceView piece={piece} ghost={marking ? undefined : original} gaps={gaps} />
      {panels.map((p) => (
        <path
          key={p.id}
          d={pathData(p.outline, true)}
          fill="none"
          stroke={COLOURS.pencil}
          strokeWidth="1.4"
          transform={`translate(${p.motion.x} ${p.motion.y}) rotate(${(p.motion.angle * 180) / Math.PI})`}
          {...thin}
        />
      ))}
      {marking && <Lines frame={frame} k={k} dashed={stage === 'mark'} />}
      {(stage === 'open' || stage === 'level') && <Dimensions frame={frame} k={k} />}
      <Points frame={frame} k={k} taken={taken} />
      {children?.(piece)}
    </>
  );
}

function Lines({ frame, k, dashed }: { readonly frame: PieceFrame; readonly k: number; readonly dashed: boolean }) {
  return frame.lines.map((l) => {
    const at = labelPlace(l.points);
    return (
      <g key={l.id}>
        <path
          d={pathData(polyline(l.points))}
          fill="none"
          stroke={COLOURS.pencil}
          strokeWidth="2.2"
          strokeDasharray={dashed ? '9 5' : undefined}
          {...thin}
        />
        <g transform={`translate(${at.x} ${at.y}) scale(${1 / k})`}>
          <circle r="11" fill={COLOURS.white} stroke={COLOURS.pencil} strokeWidth="1.5" />
          <text textAnchor="middle" y="5.5" fontSize="16" fill={COLOURS.pencil} fontWeight="700">
            {l.label}
          </text>
        </g>
      </g>
    );
  });
}

/** Pins and marked places that are only to be seen: what can be taken hold of draws itself. */
function Points({ frame, k, taken }: Pick<Props, 'frame' | 'k'> & { readonly taken: Props['taken'] | undefined }) {
  return frame.points
    .filter((p) => (p.kind === 'hinge' || p.kind === 'target') && !taken?.(p.at, p.id))
    .map((p) => (
      <g
        key={p.id}
        transform={`translate(${p.at.x} ${p.at.y}) scale(${1 / k})`}
        aria-hidden="true"
        pointerEvents="none"
      >
        {p.kind === 'hinge' ? <PinShape /> : <TargetShape />}
      </g>
    ));
}

/** Gaps, dimensioned square to the slash, each on a plate of its own so that it can be read on any ground. */
/** As far as a dimension's label reaches beside it, px. */
const LABEL = 150;

function Dimensions({ frame, k }: { readonly frame: PieceFrame; readonly k: number }) {
  const { unit, fraction } = useUnits();
  return frame.dimensions
    .filter((d) => d.value > 0)
    .map(({ id, from, to, value }) => {
      const text = formatLength(value, unit, { fraction: unit === 'in' ? 16 : fraction });
      const second = formatLength(value, unit === 'cm' ? 'in' : 'cm', { fraction: 16 });
      const upright = Math.abs(to.y - from.y) > Math.abs(to.x - from.x);
      const y = Math.max(from.y, to.y) + 26 / k;
      const x = Math.max(from.x, to.x) + 26 / k;
      // A pin in the other end of the line is not written over.
      const covers = frame.points.some(
        (p) => p.kind === 'hinge' && Math.abs(p.at.y - y) < 60 / k && p.at.x > x && p.at.x < x + LABEL / k,
      );
      const line = upright
        ? `M${from.x} ${from.y}H${x + 8 / k}M${to.x} ${to.y}H${x + 8 / k}M${x} ${from.y}V${to.y}`
        : `M${from.x} ${from.y}V${y + 8 / k}M${to.x} ${to.y}V${y + 8 / k}M${from.x} ${y}H${to.x}`;
      return (
        <g key={id} stroke={COLOURS.ink} aria-hidden="true">
          <path d={line} strokeWidth="1.4" {...thin} />
          <g
            transform={`translate(${Math.max(from.x, to.x) + (upright ? 30 / k : 0)} ${upright ? Math.max(from.y, to.y) + (covers ? 46 / k : 0) : y}) scale(${1 / k})`}
            stroke="none"
          >
            <rect
              x="10"
              y="-17"
              width={text.length * 13.4 + 18}
              height="50"
              fill={COLOURS.white}
              stroke={COLOURS.ink}
              strokeWidth="1"
            />
            <text x="18" y="6" fontSize="22" className="num" fill={COLOURS.ink}>
              {text}
            </text>
            <text x="18" y="26" fontSize="15" className="num" fill={COLOURS.quiet}>
              {second}
            </text>
          </g>
        </g>
      );
    });
}
