import { Minus, Plus, Scan } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { STAGES } from '@ample/core/alterations';
import type { DraftStep } from '@ample/core/draft';
import { drawPiece } from '@ample/core/formats';
import type { Box, Point } from '@ample/core/geometry';
import type { Piece } from '@ample/core/pattern';
import { useDraft } from '../store/draft.ts';
import { PieceBoundary } from '../ui/Boundary.tsx';
import { AlteredPiece } from './AlteredPiece.tsx';
import { MatGround } from './MatGround.tsx';
import { PieceView } from './PieceView.tsx';
import { Slips } from './Slips.tsx';
import { StageStrip } from './StageStrip.tsx';
import { useStageMotion } from './useStageMotion.ts';
import { useViewport, type Viewport } from './viewport.ts';
import { WorkingsPanel } from './WorkingsPanel.tsx';

const MARGIN = 45;
const GAP = 85;

/** Where each piece lies: by the untouched outlines, so that nothing jumps while an amount changes. */
function layOut(original: readonly Piece[]): { readonly at: readonly Point[]; readonly mat: Box } {
  let x = MARGIN;
  let bottom = 0;
  const at = original.map((piece) => {
    const { bounds: b } = drawPiece(piece);
    const p = { x: x - b.minX, y: MARGIN - b.minY };
    x += b.maxX - b.minX + GAP;
    bottom = Math.max(bottom, b.maxY - b.minY);
    return p;
  });
  return {
    at,
    mat: {
      minX: 0,
      minY: 0,
      maxX: Math.max(300, Math.ceil((x - GAP + MARGIN + 25) / 50) * 50),
      maxY: Math.max(300, Math.ceil((bottom + 2 * MARGIN + 30) / 50) * 50),
    },
  };
}

export function Table() {
  const draft = useDraft((s) => s.draft);
  const { job } = useParams();
  const active = draft?.steps.find((s) => s.step.on) ?? draft?.steps[0] ?? null;
  const [stage, setStage] = useState(0);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || (e.target as Element).matches('input, select, textarea')) return;
      const key = e.key.toLowerCase();
      if (key === 'n') setStage((s) => Math.min(STAGES.length - 1, s + 1));
      if (key === 'b') setStage((s) => Math.max(0, s - 1));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  if (!draft) return <main className="p-6">Laying out the paper…</main>;
  if (draft.original.length === 0)
    return (
      <main className="p-6">
        <h1>No paper on the table yet</h1>
        <p className="my-2">The size to start from is not known, so there is no piece to lay out.</p>
        <Link className="btn" to={`/job/${job}/body`}>
          Measure the body
        </Link>
      </main>
    );
  const run = active?.outcome.ok ? active.outcome.value : null;
  return (
    <main className="flex h-full flex-col overflow-auto min-[1000px]:grid min-[1000px]:overflow-hidden min-[1000px]:grid-cols-[220px_minmax(0,1fr)_316px] min-[1000px]:grid-rows-[minmax(0,1fr)]">
      <h1 className="sr-only">The table</h1>
      <Slips steps={draft.steps} active={active?.step.id ?? null} />
      <div className="flex min-w-0 flex-1 flex-col">
        <MatView original={draft.original} active={active} stage={stage} />
        {run && <StageStrip run={run} stage={stage} onStage={setStage} />}
      </div>
      <WorkingsPanel draft={draft} active={active} />
    </main>
  );
}

function MatView({
  original,
  active,
  stage,
}: {
  readonly original: readonly Piece[];
  readonly active: DraftStep | null;
  readonly stage: number;
}) {
  const { at, mat } = useMemo(() => layOut(original), [original]);
  const viewport = useViewport(mat);
  const { svg, view, toMat } = viewport;
  const progress = useStageMotion(stage);
  const run = active?.step.on && active.outcome.ok ? active.outcome.value : null;
  useZoomKeys(viewport);
  return (
    <div className="relative h-[600px] shrink-0 bg-[#0d332f] min-[1000px]:h-auto min-[1000px]:min-h-0 min-[1000px]:flex-1">
      <svg
        ref={svg}
        className="absolute inset-0 h-full w-full touch-none select-none"
        role="group"
        aria-label="Cutting mat with the pattern pieces"
      >
        <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
          <MatGround box={mat} k={view.k} />
          {original.map((piece, i) => {
            const offset = at[i] ?? { x: 0, y: 0 };
            const altered = run && run.altered === piece.id;
            return (
              <PieceBoundary key={piece.id} name={piece.name} of={altered ? run : piece}>
                {altered ? (
                  <AlteredPiece
                    run={run}
                    stepId={active?.step.id ?? ''}
                    total={active?.total ?? 0}
                    stage={STAGES[stage] ?? 'mark'}
                    progress={progress}
                    offset={offset}
                    k={view.k}
                    toMat={toMat}
                  />
                ) : (
                  <g transform={`translate(${offset.x} ${offset.y})`}>
                    <PieceView piece={piece} quiet />
                  </g>
                )}
                <PieceName piece={piece} offset={offset} k={view.k} altered={altered === true && stage > 1} />
              </PieceBoundary>
            );
          })}
        </g>
      </svg>
      <div className="absolute top-2 right-2 flex flex-col gap-1">
        <button className="btn !px-2" onClick={viewport.nearer} title="Nearer (+)">
          <Plus size={20} aria-hidden="true" />
          <span className="sr-only">Nearer</span>
        </button>
        <button className="btn !px-2" onClick={viewport.farther} title="Farther (−)">
          <Minus size={20} aria-hidden="true" />
          <span className="sr-only">Farther</span>
        </button>
        <button className="btn !px-2" onClick={viewport.fit} title="All in view (0)">
          <Scan size={20} aria-hidden="true" />
          <span className="sr-only">All in view</span>
        </button>
      </div>
    </div>
  );
}

function PieceName({
  piece,
  offset,
  k,
  altered,
}: {
  readonly piece: Piece;
  readonly offset: Point;
  readonly k: number;
  readonly altered: boolean;
}) {
  // Too far out to read anything on the paper.
  if (k < 0.7) return null;
  const grain = piece.marks.find((m) => m.kind === 'grain');
  const { bounds } = drawPiece(piece);
  const x =
    piece.part === 'back'
      ? bounds.minX + (bounds.maxX - bounds.minX) * 0.34
      : (grain?.kind === 'grain' ? grain.from.x : bounds.minX) + 9;
  const y = bounds.minY + (bounds.maxY - bounds.minY) * 0.36;
  return (
    <g transform={`translate(${x + offset.x} ${y + offset.y}) scale(${1 / k})`} fill="#1E2A38" aria-hidden="true">
      <text fontSize="17" fontFamily="Bitter, serif" fontWeight="600">
        {piece.name}
      </text>
      <text y="20" fontSize="15">
        {piece.fold !== null ? `cut ${piece.cut} on the fold` : `cut ${piece.cut}`}
      </text>
      <text y="39" fontSize="15">
        {altered ? 'altered' : 'as drafted'}
      </text>
    </g>
  );
}

function useZoomKeys({ nearer, farther, fit }: Viewport): void {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || (e.target as Element).matches('input, select, textarea')) return;
      if (e.key === '+' || e.key === '=') nearer();
      if (e.key === '-') farther();
      if (e.key === '0') fit();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [nearer, farther, fit]);
}
