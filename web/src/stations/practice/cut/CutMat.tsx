import { Minus, Plus, Scan } from 'lucide-react';
import { useMemo } from 'react';
import { distance, type Point } from '@ample/core/geometry';
import type { Task } from '@ample/core/practice';
import { formatLength } from '@ample/core/units';
import { useHotkeys } from '../../../lib/hotkeys.ts';
import { useViewport, type Viewport } from '../../../lib/viewport.ts';
import { layOut } from '../../../shared/mat/layout.ts';
import { MatGround } from '../../../shared/mat/MatGround.tsx';
import { useUnits } from '../../../store/prefs.ts';
import { Paper } from './Paper.tsx';
import { Course, Crosshair, Drawn } from './UnderWay.tsx';
import type { Attempting } from './useAttempt.ts';
import { BY_KEYS } from './ToolBox.tsx';
import { usePen } from './usePen.ts';
import { useTools, type ToolId } from './useTools.ts';

interface Props {
  readonly task: Task;
  readonly work: Attempting;
  readonly tool: ToolId;
}

/** The mat: paper to draw on, to cut and to move, by pointer, finger or keyboard. */
export function CutMat({ task, work, tool }: Props) {
  const laidOut = useMemo(() => layOut(task.right.map((w) => w.from)), [task]);
  const viewport = useViewport(laidOut.mat, { left: 46, below: 26 });
  const { svg, view, toMat } = viewport;
  const tools = useTools({ task, work, tool, at: laidOut.at, k: view.k });
  const pen = usePen(tools.pen, toMat, laidOut.mat);
  useHotkeys({ zoomIn: viewport.nearer, zoomOut: viewport.farther, zoomAll: () => viewport.fit() });
  const { doing, measured } = tools;
  const shown = doing?.kind === 'tape' ? doing : measured;
  const followed = doing && 'course' in doing ? doing : null;
  return (
    <div className="flex h-[620px] min-w-0 shrink-0 flex-col min-[1000px]:h-auto min-[1000px]:min-h-0 min-[1000px]:flex-1">
      <div className="relative min-h-0 flex-1 bg-around">
        <svg
          ref={svg}
          className="absolute inset-0 h-full w-full touch-none select-none focus-visible:outline-3 focus-visible:-outline-offset-3"
          role="application"
          aria-label={`Mat: ${BY_KEYS}`}
          tabIndex={0}
          data-mat
          onKeyDown={pen.onKeyDown}
        >
          <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
            <MatGround box={laidOut.mat} k={view.k} />
            {task.right.map((way, i) => {
              const { x, y } = laidOut.at[way.from.id] as Point;
              const laid = doing?.kind === 'hand' && doing.piece === i ? doing.laid : (work.now.cut[i]?.laid ?? []);
              return (
                <g key={way.from.id} data-paper transform={`translate(${x} ${y})`}>
                  <Paper task={task} index={i} work={work} laid={laid} k={view.k} />
                  {shown?.piece === i && <Drawn {...shown} k={view.k} />}
                  {followed?.piece === i && <Course {...followed} />}
                </g>
              );
            })}
            {pen.cross && <Crosshair at={pen.cross} k={view.k} />}
            {/* Over everything: the pen is the same wherever it is pressed. */}
            <rect
              data-handle="pen"
              x={laidOut.mat.minX}
              y={laidOut.mat.minY}
              width={laidOut.mat.maxX - laidOut.mat.minX}
              height={laidOut.mat.maxY - laidOut.mat.minY}
              fill="transparent"
              className={tool === 'hand' ? 'cursor-grab' : 'cursor-crosshair'}
              {...pen.pointer}
            />
          </g>
        </svg>
        <Reading shown={shown} />
      </div>
      <div className="flex flex-wrap items-center gap-1 border-t border-ink bg-page px-3 py-1">
        <Nearer viewport={viewport} />
        {work.isCut && <Turning turn={tools.turn} held={tools.panel !== null} />}
      </div>
    </div>
  );
}

const Nearer = ({ viewport }: { readonly viewport: Viewport }) => (
  <>
    <button className="btn !px-2" onClick={viewport.nearer} aria-label="Nearer" title="Nearer (+)">
      <Plus size={20} aria-hidden="true" />
    </button>
    <button className="btn !px-2" onClick={viewport.farther} aria-label="Farther" title="Farther (−)">
      <Minus size={20} aria-hidden="true" />
    </button>
    <button className="btn !px-2" onClick={() => viewport.fit()} aria-label="All in view" title="All in view (0)">
      <Scan size={20} aria-hidden="true" />
    </button>
  </>
);

/** Turns the piece of paper that was last in the hand. */
const Turning = ({ turn, held }: { readonly turn: (degrees: number) => void; readonly held: boolean }) => (
  <div className="ml-auto flex items-center gap-1" role="group" aria-label="Turn the piece last in the hand">
    <span className="pr-1 text-sm">{held ? 'Turn it' : 'Take hold of a piece, then turn it'}</span>
    {[-5, -0.5, 0.5, 5].map((by) => (
      <button
        key={by}
        className="btn num !px-2"
        disabled={!held}
        onClick={() => turn(by)}
        aria-label={`Turn by ${by}°`}
      >
        {by > 0 ? `+${by}°` : `−${-by}°`}
      </button>
    ))}
  </div>
);

/** What the tape says, in words as well. */
function Reading({
  shown,
}: {
  readonly shown: { readonly kind: string; readonly from: Point; readonly to: Point } | null;
}) {
  const { unit, fraction } = useUnits();
  return (
    <p className="sr-only" role="status">
      {shown?.kind === 'tape'
        ? `The tape says ${formatLength(distance(shown.from, shown.to), unit, { fraction: unit === 'in' ? 16 : fraction })}.`
        : ''}
    </p>
  );
}
