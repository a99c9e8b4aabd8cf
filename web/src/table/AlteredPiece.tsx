import { useMemo } from 'react';
import { armholePath, findFront, type Run, type Stage } from '@ample/core/alterations';
import type { Point } from '@ample/core/geometry';
import { pathData } from '@ample/core/formats';
import { sideDirection, type Piece } from '@ample/core/pattern';
import { cutPiece, movePanels, type Divided, type Progress } from '@ample/core/slash';
import { formatLength } from '@ample/core/units';
import { nudgeNumber, nudgePoint, nudgeTotal, setOwnTotal, setValue } from '../store/job.ts';
import { useUnits } from '../store/prefs.ts';
import { bustPointFromDrag } from './gestures/bustPoint.ts';
import { amountFromDrag } from './gestures/amount.ts';
import { hingeFromDrag } from './gestures/hinge.ts';
import { setbackFromDrag } from './gestures/setback.ts';
import { CrossShape, GapShape, Handle, PinShape, TipShape } from './Handle.tsx';
import { PieceView } from './PieceView.tsx';

interface Props {
  readonly run: Run;
  readonly stepId: string;
  readonly total: number;
  readonly stage: Stage;
  readonly progress: Progress;
  readonly offset: Point;
  readonly k: number;
  readonly toMat: (x: number, y: number) => Point;
}

const thin = { vectorEffect: 'non-scaling-stroke' as const };

/** The piece being altered, at one stage, with what one may take hold of there. */
export function AlteredPiece(props: Props) {
  const { run, stage, progress, k } = props;
  const divided = useMemo((): Divided | null => {
    const cut = run.slash ? cutPiece(run.original, run.slash) : null;
    return cut?.ok ? cut.value : null;
  }, [run.slash, run.original]);
  const moving = stage === 'open' || stage === 'level' || progress.open % 1 !== 0 || progress.level % 1 !== 0;
  const live = useMemo(() => {
    const done = divided && run.slash && moving ? movePanels(divided, run.slash, progress) : null;
    return done?.ok ? done.value : null;
  }, [divided, run.slash, moving, progress]);
  const frame = run.frames.find((f) => f.stage === stage) ?? run.frames[0];
  if (!frame) return null;
  const marking = stage === 'mark' || stage === 'cut';
  const piece: Piece = live?.piece ?? frame.piece;
  const gaps = live?.gaps ?? (marking ? [] : frame.gaps);
  return (
    <g transform={`translate(${props.offset.x} ${props.offset.y})`}>
      <PieceView piece={piece} ghost={marking ? undefined : run.original} gaps={gaps} />
      {live &&
        live.panels.map((p) => (
          <path
            key={p.id}
            d={pathData(p.outline, true)}
            fill="none"
            stroke="#B32D24"
            strokeWidth="1.4"
            transform={`translate(${p.motion.x} ${p.motion.y}) rotate(${(p.motion.angle * 180) / Math.PI})`}
            {...thin}
          />
        ))}
      {marking &&
        frame.lines.map((l) => {
          const middle = l.points[Math.floor((l.points.length - 1) / 2)] ?? { x: 0, y: 0 };
          const next = l.points[Math.floor((l.points.length - 1) / 2) + 1] ?? middle;
          const at = { x: (middle.x + next.x) / 2, y: (middle.y + next.y) / 2 };
          return (
            <g key={l.id}>
              <path
                d={pathData({
                  start: l.points[0] ?? { x: 0, y: 0 },
                  segments: l.points.slice(1).map((to) => ({ kind: 'line' as const, to })),
                })}
                fill="none"
                stroke="#B32D24"
                strokeWidth="2.2"
                strokeDasharray={stage === 'mark' ? '9 5' : undefined}
                {...thin}
              />
              <g transform={`translate(${at.x} ${at.y}) scale(${1 / k})`}>
                <circle r="11" fill="#fff" stroke="#B32D24" strokeWidth="1.5" />
                <text textAnchor="middle" y="5.5" fontSize="16" fill="#B32D24" fontWeight="700">
                  {l.label}
                </text>
              </g>
            </g>
          );
        })}
      <GapDimension {...props} shown={moving} />
      <Handles {...props} />
    </g>
  );
}

/** The gap, dimensioned square to the slash, on a plate of its own so that it can be read on any ground. */
function GapDimension({ run, total, k, shown }: Props & { readonly shown: boolean }) {
  const { unit, fraction } = useUnits();
  const dimension = run.frames.find((f) => f.stage === 'open')?.dimensions[0];
  if (!shown || !dimension || total === 0) return null;
  const { from, to, value } = dimension;
  const other = unit === 'cm' ? 'in' : 'cm';
  const text = formatLength(value, unit, { fraction: unit === 'in' ? 16 : fraction });
  const second = formatLength(value, other, { fraction: 16 });
  const y = from.y + 26 / k;
  const right = Math.max(from.x, to.x);
  return (
    <g stroke="#1E2A38" aria-hidden="true">
      <path
        d={`M${from.x} ${from.y}V${y + 8 / k}M${to.x} ${to.y}V${y + 8 / k}M${from.x} ${y}H${to.x}`}
        strokeWidth="1.4"
        {...thin}
      />
      <g transform={`translate(${right} ${y}) scale(${1 / k})`} stroke="none">
        <rect x="10" y="-17" width={text.length * 13.4 + 18} height="50" fill="#fff" stroke="#1E2A38" strokeWidth="1" />
        <text x="18" y="6" fontSize="22" className="num" fill="#1E2A38">
          {text}
        </text>
        <text x="18" y="26" fontSize="15" className="num" fill="#5A5F66">
          {second}
        </text>
      </g>
    </g>
  );
}

function Handles({ run, stepId, total, stage, offset, k, toMat }: Props) {
  const { unit, fraction } = useUnits();
  const dir = sideDirection(run.original);
  const marks = run.frames[0]?.points ?? [];
  const p = marks.find((m) => m.kind === 'bustPoint')?.at;
  const hinge = marks.find((m) => m.kind === 'hinge')?.at;
  const moved = run.frames.find((f) => f.stage === 'open')?.dimensions[0]?.to ?? p;
  const front = findFront([run.original]);
  if (!p || !hinge || !moved || !front.ok) return null;
  const armhole = armholePath(front.value);
  const share = hingeFromDrag(hinge, armhole);
  const say = (v: number) => formatLength(v, unit, { fraction: unit === 'in' ? 16 : fraction, sign: false });
  const common = { k, toMat, offset };
  const limits = { min: -160, max: 300 };
  const dart = run.darts.find((d) => d.dart === front.value.dart.id);
  const bust = run.bustPoint ?? p;
  const setback = dart ? (dart.tip.x - bust.x) * dir : 0;
  const early = stage === 'mark' || stage === 'cut';
  const open = stage === 'open' || stage === 'level';
  return (
    <>
      <Handle
        {...common}
        name="Hinge"
        at={hinge}
        value={share * 100}
        text={`${Math.round(share * 100)} hundredths of the armhole from the shoulder`}
        onDrag={(to) => setValue(stepId, 'hinge', hingeFromDrag(to, armhole))}
        onNudge={(by) => nudgeNumber(stepId, 'hinge', share, (by.x + by.y) / 100, { min: 0.3, max: 0.95 })}
      >
        <PinShape />
      </Handle>
      {early && (
        <Handle
          {...common}
          name="Bust point"
          at={p}
          value={p.x}
          text={`${say(p.x)} across, ${say(p.y)} down`}
          onDrag={(to) => setValue(stepId, 'bustPoint', bustPointFromDrag(to, unit))}
          onNudge={(by) => nudgePoint(stepId, 'bustPoint', p, by)}
        >
          <CrossShape />
        </Handle>
      )}
      {open && (
        <Handle
          {...common}
          name="Gap"
          at={moved}
          value={total / 2}
          text={`${say(total / 2)} on each half`}
          onDrag={(to) => setOwnTotal(stepId, amountFromDrag(to, p, dir, limits, unit))}
          onNudge={(by) => nudgeTotal(stepId, total, 2 * dir * by.x, limits)}
        >
          <GapShape />
        </Handle>
      )}
      {!early && !open && dart && (
        <>
          <g transform={`translate(${bust.x} ${bust.y}) scale(${1 / k})`}>
            <CrossShape />
          </g>
          <Handle
            {...common}
            name="Side dart tip"
            at={dart.tip}
            value={setback}
            text={`${say(setback)} behind the bust point`}
            onDrag={(to) => setValue(stepId, 'setback', setbackFromDrag(to, bust, dir, unit))}
            onNudge={(by) => nudgeNumber(stepId, 'setback', setback, dir * by.x, { min: 5, max: 80 })}
          >
            <TipShape />
          </Handle>
        </>
      )}
    </>
  );
}
