import { useState } from 'react';
import { COLOURS, pathData } from '@ample/core/out';
import { outlineOf } from '@ample/core/pattern';
import { STAGES, type Stage } from '@ample/core/alterations';
import { tapeDown, type Task } from '@ample/core/practice';
import { sayStep, stageName } from '@ample/core/words';
import type { Point } from '@ample/core/geometry';
import { useViewport } from '../../../lib/viewport.ts';
import { FramePiece } from '../../../shared/mat/FramePiece.tsx';
import { layOut } from '../../../shared/mat/layout.ts';
import { MatGround } from '../../../shared/mat/MatGround.tsx';
import { frameAt, nextStage } from '../../../shared/mat/stages.ts';
import { useStageMotion } from '../../../shared/mat/useStageMotion.ts';
import { useUnits } from '../../../store/prefs.ts';
import type { Work } from './useAttempt.ts';

interface Props {
  readonly task: Task;
  readonly work: Work;
  readonly onBack: () => void;
}

/** One’s own seam line, as far as it has come, under the right way. */
function Own({ own }: { readonly own: Work['cut'][number] | undefined }) {
  const taped = own && tapeDown(own.sheet, own.laid);
  return (
    taped?.ok && (
      <path
        d={pathData(outlineOf(taped.value.piece), true)}
        fill="none"
        stroke={COLOURS.black}
        strokeWidth="2"
        strokeDasharray="2 6"
        vectorEffect="non-scaling-stroke"
      >
        <title>Your own seam line</title>
      </path>
    )
  );
}

/** The alteration’s own program on the same paper, stage by stage. */
export function Replay({ task, work, onBack }: Props) {
  const units = useUnits();
  const [stage, setStage] = useState<Stage>(() => nextStage(task.run, STAGES[0], 1));
  const motion = useStageMotion(stage);
  const { at, mat } = layOut(task.right.map((w) => w.from));
  const { svg, view } = useViewport(mat, { left: 46, below: 26 });
  const frame = frameAt(task.run, motion.stage);
  const now = frameAt(task.run, stage);
  const go = (by: 1 | -1) => setStage((s) => nextStage(task.run, s, by));
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <div className="relative h-[420px] shrink-0 bg-around min-[1000px]:h-auto min-[1000px]:min-h-0 min-[1000px]:flex-1">
        <svg
          ref={svg}
          className="absolute inset-0 h-full w-full touch-none select-none"
          role="img"
          aria-label="The right way"
        >
          <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
            <MatGround box={mat} k={view.k} />
            {task.right.map((way, i) => {
              const { x, y } = at[way.from.id] as Point;
              const piece = frame?.pieces.find((p) => p.piece.id === way.from.id);
              return (
                piece && (
                  <g key={way.from.id} transform={`translate(${x} ${y})`}>
                    <FramePiece frame={piece} stage={motion.stage} t={motion.t} k={view.k} original={way.from} />
                    <Own own={work.cut[i]} />
                  </g>
                )
              );
            })}
          </g>
        </svg>
      </div>
      <section aria-label="The right way, stage by stage" className="border-t border-ink bg-page px-4 py-2">
        <h2>{now && stageName(now)}</h2>
        <ol className="min-h-[64px] max-w-[92ch]" aria-live="polite">
          {now?.messages.map((m) => (
            <li key={m.code}>{sayStep(m, units)}</li>
          ))}
        </ol>
        <div className="mt-2 flex gap-2">
          <button className="btn" onClick={() => go(-1)} disabled={nextStage(task.run, stage, -1) === stage}>
            Back a stage
          </button>
          <button className="btn btn-main" onClick={() => go(1)} disabled={nextStage(task.run, stage, 1) === stage}>
            Next stage
          </button>
          <button className="btn" onClick={onBack}>
            Back to my own
          </button>
        </div>
      </section>
    </div>
  );
}
