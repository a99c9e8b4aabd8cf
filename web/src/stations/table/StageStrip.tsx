import { ChevronLeft, ChevronRight } from 'lucide-react';
import { isBefore, STAGES, type Frame, type Run, type Stage } from '@ample/core/alterations';
import { cautionsFor, sayFinding, sayStep, stageName } from '@ample/core/words';
import { frameAt, nextStage } from '../../shared/mat/stages.ts';
import { Said } from '../../shared/Said.tsx';
import { useUnits } from '../../store/prefs.ts';
import type { Units } from '@ample/core/speech';

/** Where a blade or an iron is at work. */
const CARE: Readonly<Partial<Record<Stage, 'cut' | 'press'>>> = { cut: 'cut', true: 'press' };

interface Props {
  readonly run: Run;
  readonly stage: Stage;
  readonly onStage: (stage: Stage) => void;
}

/** The hands' steps: what to do now, and the strip of stages to go along. */
export function StageStrip({ run, stage, onStage }: Props) {
  const units = useUnits();
  const frame = frameAt(run, stage);
  const nameOf = (s: Stage): string => stageName(frameAt(run, s) ?? { stage: s, laps: false });
  return (
    <section aria-label="Stages" className="border-t border-ink bg-page">
      <StageText frame={frame} units={units} stage={stage} run={run} />
      <div className="flex items-stretch border-t border-line">
        <button
          className="btn btn-plain !min-h-[52px]"
          onClick={() => onStage(nextStage(run, stage, -1))}
          disabled={nextStage(run, stage, -1) === stage}
          title="Back a stage (B)"
        >
          <ChevronLeft size={22} aria-hidden="true" />
          <span className="sr-only">Back a stage</span>
        </button>
        <ol className="flex min-w-0 flex-1 overflow-x-auto">
          {STAGES.map((s, i) => (
            <li key={s} className="min-w-max flex-1 border-l border-line">
              <button
                className={`flex h-full w-full min-w-[44px] items-center justify-center gap-1.5 px-1.5 focus-visible:-outline-offset-4 ${s === stage ? 'bg-ink text-white' : isBefore(s, stage) ? 'bg-tissue' : 'bg-white'} ${frameAt(run, s)?.messages.length === 0 && s !== stage ? 'text-quiet' : ''}`}
                aria-current={s === stage ? 'step' : undefined}
                onClick={() => onStage(s)}
              >
                <span className="num text-sm max-[1100px]:hidden" aria-hidden="true">
                  {i + 1}
                </span>
                {nameOf(s)}
              </button>
            </li>
          ))}
        </ol>
        <button
          className="btn btn-plain !min-h-[52px] border-l !border-l-line"
          onClick={() => onStage(nextStage(run, stage, 1))}
          disabled={nextStage(run, stage, 1) === stage}
          title="Next stage (N)"
        >
          <span>Next</span>
          <ChevronRight size={22} aria-hidden="true" />
        </button>
      </div>
    </section>
  );
}

function StageText({
  frame,
  units,
  stage,
  run,
}: {
  readonly frame: Frame | undefined;
  readonly units: Units;
  readonly stage: Stage;
  readonly run: Run;
}) {
  return (
    <div
      className="h-[122px] overflow-auto px-4 py-2 focus-visible:-outline-offset-4"
      aria-live="polite"
      role="group"
      aria-label="What to do now"
      tabIndex={0}
    >
      <ol className="max-w-[92ch] list-none space-y-1">
        {frame?.messages.map((m) => (
          <li key={m.code}>
            <Said>{sayStep(m, units)}</Said>
          </li>
        ))}
        {stage === 'match' &&
          run.findings
            .filter((f) => f.grade !== 'note')
            .map((f, i) => (
              <li key={`${f.code}${i}`}>
                <strong>{f.grade === 'fault' ? 'Fix: ' : 'Look: '}</strong>
                <Said>{sayFinding(f, units)}</Said>
              </li>
            ))}
        {frame?.messages.length === 0 && <li>Nothing to do at this stage.</li>}
        {frame && frame.messages.length > 0 && CARE[frame.stage] && (
          <li className="border-l-4 border-brass pl-2 text-sm">{cautionsFor(CARE[frame.stage] ?? 'cut').join(' ')}</li>
        )}
      </ol>
    </div>
  );
}
