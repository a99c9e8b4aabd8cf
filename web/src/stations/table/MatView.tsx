import { useEffect, useMemo, useState } from 'react';
import { type PieceFrame } from '@ample/core/alterations';
import type { DraftStep } from '@ample/core/fitting/plan';
import { COLOURS, drawPiece } from '@ample/core/out';
import type { Point } from '@ample/core/geometry';
import type { Piece } from '@ample/core/pattern';
import { putPiece, usePlaces } from '../../store/places.ts';
import { PieceBoundary } from '../../shared/Boundary.tsx';
import { AlteredPiece } from './AlteredPiece.tsx';
import { layOut } from './layout.ts';
import { MatGround } from './MatGround.tsx';
import { MeasureLayer, MeasureReading, useMeasuring } from './Measure.tsx';
import { OnMatPiece } from './OnMatPiece.tsx';
import { PieceView } from './PieceView.tsx';
import { useHeldKey, useHotkeys } from '../../lib/hotkeys.ts';
import { useStageMotion } from './useStageMotion.ts';
import { useViewport } from '../../lib/viewport.ts';
import { stateOf, PieceName } from './PieceName.tsx';
import { MatTools } from './MatTools.tsx';

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
  readonly stage: number;
}

const NOWHERE = { x: 0, y: 0 };

/** Room for the numbers of the mat beside and below it, pixels. */
const NUMBERS = { left: 46, below: 26 };

/** The cutting mat with the pieces on it. */
export function MatView({ job, original, whole, shows, before, active, stage }: Props) {
  const run = active?.step.on && active.outcome.ok ? active.outcome.value : null;
  const born = useMemo(
    () => [...(run?.pieces ?? before).filter((p) => !original.some((o) => o.id === p.id)), ...whole],
    [run, before, original, whole],
  );
  const bornKey = born.map((p) => p.id).join();
  // eslint-disable-next-line react-hooks/exhaustive-deps -- what was born keeps its place while amounts change
  const { at, mat } = useMemo(() => layOut(original, born), [original, bornKey]);
  const viewport = useViewport(mat, NUMBERS);
  const { svg, view, toMat } = viewport;
  const motion = useStageMotion(stage);
  const moved = usePlaces((s) => s.moved[job]);
  const untouched = useHeldKey('untouched');
  const [showing, setShowing] = useState(false);
  const measuring = useMeasuring();
  useHotkeys({ zoomIn: viewport.nearer, zoomOut: viewport.farther, zoomAll: () => viewport.fit() });
  const compare = untouched || showing;
  const offsetOf = (id: string): Point => {
    const home = at[id] ?? NOWHERE;
    const by = moved?.[id] ?? NOWHERE;
    return { x: home.x + by.x, y: home.y + by.y };
  };
  const slide = (id: string, to: Point) => {
    const home = at[id] ?? NOWHERE;
    putPiece(job, id, { x: to.x - home.x, y: to.y - home.y });
  };
  const zoomTo = (piece: Piece) => {
    const { bounds: b } = drawPiece(piece);
    const o = offsetOf(piece.id);
    viewport.show({ minX: b.minX + o.x, minY: b.minY + o.y, maxX: b.maxX + o.x, maxY: b.maxY + o.y });
  };
  useEffect(() => {
    const piece = shows ? before.find((p) => p.id === shows.piece) : undefined;
    if (piece) zoomTo(piece);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once for each place pointed at
  }, [shows?.piece, shows?.at?.x, shows?.at?.y]);
  // A step opens with what it touches in view; the whole mat is one key away.
  const touchedKey = run?.changes.map((c) => c.piece).join() ?? '';
  useEffect(() => {
    const boxes = original
      .filter((p) => touchedKey.split(',').includes(p.id))
      .map((p) => {
        const { bounds: b } = drawPiece(p);
        const o = offsetOf(p.id);
        return { minX: b.minX + o.x - 30, minY: b.minY + o.y - 30, maxX: b.maxX + o.x + 30, maxY: b.maxY + o.y + 75 };
      });
    if (boxes.length === 0 || boxes.length === original.length) return;
    const box = boxes.reduce((a, b) => ({
      minX: Math.min(a.minX, b.minX),
      minY: Math.min(a.minY, b.minY),
      maxX: Math.max(a.maxX, b.maxX),
      maxY: Math.max(a.maxY, b.maxY),
    }));
    viewport.fit(box);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when another step is opened, not while it changes
  }, [touchedKey, active?.step.id]);
  const frame = run?.frames[motion.stage];
  const frameOf = (id: string): PieceFrame | undefined =>
    compare ? undefined : frame?.pieces.find((f) => f.piece.id === id);
  const shown: readonly Piece[] = compare
    ? original
    : [
        ...before,
        ...(frame?.pieces ?? []).map((f) => f.piece).filter((p) => !before.some((b) => b.id === p.id)),
        ...whole,
      ];
  const touched = (p: Piece): boolean => run?.changes.some((c) => c.piece === p.id) === true;
  const main = run ? (shown.find((p) => p.id === run.altered) ?? null) : (shown[0] ?? null);
  return (
    <div className="relative h-[600px] shrink-0 bg-around min-[1000px]:h-auto min-[1000px]:min-h-0 min-[1000px]:flex-1">
      <svg
        ref={svg}
        className="absolute inset-0 h-full w-full touch-none select-none"
        role="group"
        aria-label="Cutting mat with the pattern pieces"
      >
        <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
          <MatGround box={mat} k={view.k} />
          {/* What is worked on lies on top, so that its figures are not covered. */}
          {[...shown]
            .sort((a, b) => Number(touched(a)) - Number(touched(b)))
            .map((piece) => {
              const offset = offsetOf(piece.id);
              const altered = frameOf(piece.id);
              return (
                <PieceBoundary key={piece.id} name={piece.name} of={altered ? run : piece}>
                  <OnMatPiece
                    id={piece.id}
                    name={piece.name}
                    offset={offset}
                    toMat={toMat}
                    onMove={(to) => slide(piece.id, to)}
                    onZoom={() => zoomTo(piece)}
                    label={
                      <PieceName
                        piece={altered?.piece ?? piece}
                        k={view.k}
                        state={compare ? 'untouched' : stateOf(piece, original, altered, stage)}
                        side={altered ? (active?.step.side ?? 'both') : 'both'}
                      />
                    }
                  >
                    {altered && run ? (
                      <AlteredPiece
                        run={run}
                        frame={altered}
                        stepId={active?.step.id ?? ''}
                        total={active?.total ?? null}
                        stage={motion.stage}
                        t={motion.t}
                        offset={offset}
                        k={view.k}
                        toMat={toMat}
                      />
                    ) : (
                      <PieceView piece={piece} quiet />
                    )}
                  </OnMatPiece>
                </PieceBoundary>
              );
            })}
          {shows?.at && <Here at={shows.at} offset={offsetOf(shows.piece)} k={view.k} />}
          <MeasureLayer measuring={measuring} pieces={shown} offsetOf={offsetOf} k={view.k} toMat={toMat} mat={mat} />
        </g>
      </svg>
      <MeasureReading measuring={measuring} pieces={shown} offsetOf={offsetOf} />
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
        moved={moved}
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
