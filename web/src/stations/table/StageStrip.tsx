import { ChevronLeft, ChevronRight } from 'lucide-react';
import { STAGES, type Run, type Stage } from '@ample/core/alterations';
import { cautionsFor, sayFinding, sayStep, STAGE_WORDS } from '@ample/core/words';
import { nextStage } from './stages.ts';
import { useUnits } from '../../store/prefs.ts';
import type { Frame } from '@ample/core/alterations';
import type { Units } from '@ample/core/speech';

/** Where a blade or an iron is at work. */
const CARE: Readonly<Partial<Record<Stage, 'cut' | 'press'>>> = { cut: 'cut', true: 'press' };

interface Props {
  readonly run: Run;
  readonly stage: number;
  readonly onStage: (stage: number) => void;
}

/** The hands' steps: what to do now, and the strip of stages to go along. */
export function StageStrip({ run, stage, onStage }: Props) {
  const units = useUnits();
  const frame = run.frames[stage];
  const name = (i: number): string => {
    const words = STAGE_WORDS[STAGES[i] ?? 'mark'];
    return (run.frames[i]?.laps ? words?.lapName : undefined) ?? words?.name ?? '';
  };
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
                className={`flex h-full w-full min-w-[44px] items-center justify-center gap-1.5 px-1.5 focus-visible:-outline-offset-4 ${i === stage ? 'bg-ink text-white' : i < stage ? 'bg-tissue' : 'bg-white'} ${run.frames[i]?.messages.length === 0 && i !== stage ? 'text-quiet' : ''}`}
                aria-current={i === stage ? 'step' : undefined}
                onClick={() => onStage(i)}
              >
                <span className="num text-sm max-[1100px]:hidden" aria-hidden="true">
                  {i + 1}
                </span>
                {name(i)}
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
  readonly stage: number;
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
          <li key={m.code}>{sayStep(m, units)}</li>
        ))}
        {STAGES[stage] === 'match' &&
          run.findings
            .filter((f) => f.grade !== 'note')
            .map((f, i) => (
              <li key={`${f.code}${i}`}>
                <strong>{f.grade === 'fault' ? 'Fix: ' : 'Look: '}</strong>
                {sayFinding(f, units)}
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
