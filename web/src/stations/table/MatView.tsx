import { useMemo, useState } from 'react';
import type { Frame, Run, Stage } from '@ample/core/alterations';
import type { DraftStep } from '@ample/core/fitting/plan';
import { COLOURS } from '@ample/core/out';
import type { Point } from '@ample/core/geometry';
import type { Piece } from '@ample/core/pattern';
import { useHeldKey, useHotkeys } from '../../lib/hotkeys.ts';
import { useViewport } from '../../lib/viewport.ts';
import { MatGround } from '../../shared/mat/MatGround.tsx';
import { MatPieces } from './MatPieces.tsx';
import { MatTools } from './MatTools.tsx';
import { MeasureLayer, MeasureReading, useMeasuring } from './Measure.tsx';
import { frameAt } from '../../shared/mat/stages.ts';
import { useLaidOut } from './useLaidOut.ts';
import { useOpensOn } from './useOpensOn.ts';
import { useStageMotion } from '../../shared/mat/useStageMotion.ts';

interface Props {
  readonly job: string;
  readonly original: readonly Piece[];
  /** Pieces opened out, or cut once for each side, where the two sides of the body differ. */
  readonly whole: readonly Piece[];
  /** A place to point at: a piece, and a point on it where one is known. */
  readonly shows: { readonly piece: string; readonly at: Point | null } | null;
  /** The pieces as they are before the open step. */
  readonly before: readonly Piece[];
  readonly active: DraftStep | null;
  readonly stage: Stage;
}

/** Room for the numbers of the mat beside and below it, pixels. */
const NUMBERS = { left: 46, below: 26 };

const runOf = (active: DraftStep | null): Run | null =>
  active?.step.on && active.outcome.ok ? active.outcome.value : null;

/** The pieces before a step, with those that the step makes, and those that are cut whole. */
const piecesAt = (frame: Frame | null, before: readonly Piece[], whole: readonly Piece[]): readonly Piece[] => [
  ...before,
  ...(frame?.pieces ?? []).map((f) => f.piece).filter((p) => !before.some((b) => b.id === p.id)),
  ...whole,
];

/** The cutting mat with the pieces on it. */
export function MatView({ job, original, whole, shows, before, active, stage }: Props) {
  const run = runOf(active);
  const born = useMemo(
    () => [...(run?.pieces ?? before).filter((p) => !original.some((o) => o.id === p.id)), ...whole],
    [run, before, original, whole],
  );
  const laid = useLaidOut(job, original, born);
  const viewport = useViewport(laid.mat, NUMBERS);
  const { svg, view, toMat } = viewport;
  const motion = useStageMotion(stage);
  const untouched = useHeldKey('untouched');
  const [showing, setShowing] = useState(false);
  const measuring = useMeasuring();
  useHotkeys({ zoomIn: viewport.nearer, zoomOut: viewport.farther, zoomAll: () => viewport.fit() });
  const touched = run?.changes.map((c) => c.piece) ?? [];
  useOpensOn({ viewport, boxOf: laid.boxOf, original, before, shows, step: active?.step.id, touched });
  const zoomTo = (piece: Piece) => viewport.show(laid.boxOf(piece));
  const compare = untouched || showing;
  const frame = (run && frameAt(run, motion.stage)) ?? null;
  const shown = compare ? original : piecesAt(frame, before, whole);
  const main = run ? (shown.find((p) => p.id === run.altered) ?? null) : (shown[0] ?? null);
  const seen = { measuring, pieces: shown, offsetOf: laid.offsetOf };
  return (
    <div className="relative h-[600px] shrink-0 bg-around min-[1000px]:h-auto min-[1000px]:min-h-0 min-[1000px]:flex-1">
      <svg
        ref={svg}
        className="absolute inset-0 h-full w-full touch-none select-none"
        role="group"
        aria-label="Cutting mat with the pattern pieces"
      >
        <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
          <MatGround box={laid.mat} k={view.k} />
          <MatPieces
            pieces={shown}
            original={original}
            active={active}
            run={run}
            frame={frame}
            stage={stage}
            motion={motion}
            compare={compare}
            laid={laid}
            k={view.k}
            toMat={toMat}
            onZoom={zoomTo}
          />
          {shows?.at && <Here at={shows.at} offset={laid.offsetOf(shows.piece)} k={view.k} />}
          <MeasureLayer {...seen} k={view.k} toMat={toMat} mat={laid.mat} />
        </g>
      </svg>
      <MeasureReading {...seen} />
      {compare && !measuring.on && (
        <p className="absolute top-2 left-2 border border-ink bg-white px-3 py-1" role="status">
          Untouched, as drafted
        </p>
      )}
      <MatTools
        viewport={viewport}
        main={main}
        zoomTo={zoomTo}
        measuring={measuring}
        showing={showing}
        setShowing={setShowing}
        job={job}
      />
    </div>
  );
}

/** A ring around the place another station asked to show. */
function Here({ at, offset, k }: { readonly at: Point; readonly offset: Point; readonly k: number }) {
  return (
    <g transform={`translate(${at.x + offset.x} ${at.y + offset.y}) scale(${1 / k})`} pointerEvents="none">
      <title>Look here</title>
      <circle r="22" fill="none" stroke={COLOURS.insert} strokeWidth="7" />
      <circle r="22" fill="none" stroke={COLOURS.pencil} strokeWidth="3" strokeDasharray="8 4" />
    </g>
  );
}
