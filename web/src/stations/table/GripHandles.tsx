import { useState } from 'react';
import { isBefore, type Grip, type Run, type Stage } from '@ample/core/alterations';
import { distance, nearestLength, pathLength, type Point } from '@ample/core/geometry';
import { bustPointOf, type Piece, type Snap } from '@ample/core/pattern';
import { formatLength } from '@ample/core/units';
import { GRIP_WORDS, saySnap } from '@ample/core/words';
import { nudgeNumber, nudgePoint, nudgeTotal, setValue } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';
import { nudgeOf, valueFromDrag } from './gestures/grip.ts';
import { CrossShape, GapShape, PinShape, TargetShape, TipShape } from '../../shared/mat/shapes.tsx';
import { Handle } from './Handle.tsx';
import { SNAP_PIXELS, type OnMat } from './onMat.ts';
import { frameAt } from '../../shared/mat/stages.ts';
import { COLOURS } from '@ample/core/out';

interface Props extends OnMat {
  readonly run: Run;
  readonly stepId: string;
  readonly total: number | null;
  readonly stage: Stage;
  /** As it is shown now. */
  readonly piece: Piece;
}

const SHAPES: Readonly<Record<string, (props: { readonly upright?: boolean }) => React.ReactNode>> = {
  hinge: PinShape,
  bustPoint: CrossShape,
  gap: GapShape,
  tip: TipShape,
  target: TargetShape,
};

/** Everything of a step that can be taken hold of at a stage: the alteration says what, this says how. */
export function GripHandles({ run, stepId, total, stage, piece, offset, k, toMat }: Props) {
  const { unit, fraction } = useUnits();
  const [snap, setSnap] = useState<Snap | null>(null);
  const original = run.changes.find((c) => c.piece === piece.id)?.original ?? piece;
  const say = (v: number) => formatLength(v, unit, { fraction: unit === 'in' ? 16 : fraction });
  const late = isBefore('level', stage);
  const bust = run.changes.find((c) => c.piece === piece.id)?.bustPoint;
  const was = bustPointOf(original);
  const points = frameAt(run, stage)?.pieces.find((f) => f.piece.id === piece.id)?.points ?? [];
  const pinOf = (grip: Grip): Point | undefined => points.find((p) => p.kind === 'hinge' && p.id === grip.id)?.at;
  const grips = run.grips.filter((g) => g.piece === piece.id && g.stages.includes(stage));
  const set = (grip: Grip, to: Point, free: boolean) => {
    const radius = free ? 0 : SNAP_PIXELS / k;
    const dragged = valueFromDrag(grip, to, { unit, piece: original, radius });
    setSnap(dragged.snap);
    setValue(stepId, grip.key, dragged.value);
  };
  const nudge = (grip: Grip, by: Point) => {
    const way = nudgeOf(grip, by);
    if ('to' in way) return nudgePoint(stepId, grip.key, grip.at, by);
    if (grip.kind !== 'amount' && grip.kind !== 'along') return;
    if (grip.key === 'total') return nudgeTotal(stepId, total ?? 0, way.by, grip);
    nudgeNumber(stepId, grip.key, valueOf(grip), way.by, grip);
  };
  return (
    <>
      {late && bust && (!was || distance(bust, was) > 0.5) && (
        <g transform={`translate(${bust.x} ${bust.y}) scale(${1 / k})`}>
          <CrossShape />
        </g>
      )}
      {grips.map((grip) => {
        const Shape = SHAPES[grip.id] ?? TipShape;
        const at = grip.id === 'tip' ? nearestTip(piece, grip.at) : (pinOf(grip) ?? grip.at);
        // A pin the paper has carried is dragged as if it were where it was marked.
        const carried = grip.id === 'hinge' ? { x: at.x - grip.at.x, y: at.y - grip.at.y } : { x: 0, y: 0 };
        return (
          <Handle
            key={grip.id}
            name={GRIP_WORDS[grip.id] ?? grip.id}
            at={at}
            value={valueOf(grip)}
            text={textOf(grip, at, total, say)}
            offset={offset}
            k={k}
            toMat={toMat}
            onDrag={(to, free) => set(grip, { x: to.x - carried.x, y: to.y - carried.y }, free)}
            onNudge={(by) => nudge(grip, by)}
            onDrop={() => setSnap(null)}
          >
            <Shape upright={grip.kind === 'amount' && Math.abs(grip.axis.y) > Math.abs(grip.axis.x)} />
          </Handle>
        );
      })}
      {snap && <SnapPlate snap={snap} k={k} />}
    </>
  );
}

/** Where a grip stands now, in the terms of its value. */
function valueOf(grip: Grip): number {
  if (grip.kind === 'along') return nearestLength(grip.path, grip.at) / pathLength(grip.path);
  if (grip.kind === 'amount')
    return grip.per * ((grip.at.x - grip.from.x) * grip.axis.x + (grip.at.y - grip.from.y) * grip.axis.y);
  return grip.at.x;
}

function textOf(grip: Grip, at: Point, total: number | null, say: (v: number) => string): string {
  if (grip.kind === 'along') return `${Math.round(valueOf(grip) * 100)} % along its seam`;
  if (grip.key === 'total') return `${say((total ?? 0) / 2)} on each half`;
  if (grip.kind === 'amount') return `${say(valueOf(grip))}`;
  return `${say(at.x)} across, ${say(at.y)} down`;
}

const nearestTip = (piece: Piece, p: Point): Point =>
  piece.darts.reduce<Point | null>(
    (best, d) => (!best || distance(d.tip, p) < distance(best, p) ? d.tip : best),
    null,
  ) ?? p;

/** Names what a drag is drawn to, beside it. */
function SnapPlate({ snap, k }: { readonly snap: Snap; readonly k: number }) {
  const text = saySnap(snap);
  return (
    <g transform={`translate(${snap.at.x} ${snap.at.y}) scale(${1 / k})`} aria-hidden="true" pointerEvents="none">
      <circle r="13" fill="none" stroke={COLOURS.ink} strokeWidth="2" strokeDasharray="3 3" />
      <rect x="22" y="-38" width={text.length * 8.4 + 16} height="26" fill={COLOURS.white} stroke={COLOURS.ink} />
      <text x="30" y="-20" fontSize="15" fill={COLOURS.ink}>
        {text}
      </text>
    </g>
  );
}
