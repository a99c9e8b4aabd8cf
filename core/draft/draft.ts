import { alterationById, runAlteration, type Context, type Run, type Values } from '../alterations/index.ts';
import {
  bodyFrom,
  bustAmounts,
  checkBody,
  startingSize,
  wantedBustEase,
  type Amounts,
  type Body,
  type BodyProblem,
  type SizeChoice,
  type SizeError,
} from '../fit/index.ts';
import type { Job, Step, Wearer } from '../formats/schema.ts';
import type { Pattern, Piece, Seam } from '../pattern/index.ts';
import { checkPieces, type CheckReport } from '../truing/index.ts';
import { refuse, type Refusal, type Result } from '../units/index.ts';

/** A job with its documents at hand. */
export interface ResolvedJob {
  readonly job: Pick<Job, 'size' | 'sizeMethod' | 'steps'>;
  readonly wearer: Pick<Wearer, 'sets' | 'bustEase'>;
  readonly pattern: Pattern;
}

export interface DraftStep {
  readonly step: Step;
  /** Which sum gave the amount, and the amount used, mm for the whole front. */
  readonly total: number | null;
  readonly values: Values;
  readonly outcome: Result<Run>;
}

export interface Draft {
  readonly body: Body;
  readonly bodyProblems: readonly BodyProblem[];
  readonly sizeChoice: Result<SizeChoice, SizeError>;
  readonly size: string | null;
  readonly amounts: Amounts | null;
  readonly original: readonly Piece[];
  readonly steps: readonly DraftStep[];
  readonly pieces: readonly Piece[];
  /** The seams, naming the edges as the steps left them. */
  readonly seams: readonly Seam[];
  readonly check: CheckReport;
  readonly refusal: Refusal | null;
}

/** Remembers the steps of one job, so that changing step n replays only n and what follows. Holds one job at a time. */
export interface DraftCache {
  steps: { readonly from: readonly Piece[]; readonly key: string; readonly done: DraftStep }[];
}
export const emptyCache = (): DraftCache => ({ steps: [] });

/** Everything shown or printed of a job, computed from its choices. Never throws on bad input; says what is missing. */
export function draft({ job, wearer, pattern }: ResolvedJob, cache?: DraftCache): Draft {
  const body = bodyFrom(wearer.sets);
  const newest = [...wearer.sets].sort((a, b) => b.date.localeCompare(a.date))[0];
  const bodyProblems = checkBody(body, newest);
  const sizeChoice = startingSize(body, pattern, job.sizeMethod);
  const size = job.size ?? (sizeChoice.ok ? sizeChoice.value.chosen.size : null);
  const original = (size !== null ? pattern.sizes[size] : undefined) ?? [];
  const ease = wearer.bustEase ?? wantedBustEase(pattern);
  const amounts = size === null ? null : bustAmounts(body, pattern, size, ease);
  const refusal: Refusal | null =
    size === null
      ? sizeChoice.ok
        ? null
        : sizeChoice.error
      : original.length === 0
        ? { code: 'size-has-no-pieces', data: { size } }
        : null;

  let pieces = original;
  let seams: readonly Seam[] = pattern.seams;
  const steps: DraftStep[] = [];
  for (const [i, step] of job.steps.entries()) {
    const { total, values } = valuesOf(step, amounts);
    const key = JSON.stringify([step, values, body.neckPointToBustPoint, body.bustSpan]);
    const kept = cache?.steps[i];
    const done =
      kept && kept.from === pieces && kept.key === key
        ? kept.done
        : {
            step,
            total,
            values,
            outcome: runStep(
              step,
              total,
              values,
              { pieces, seams, original, originalSeams: pattern.seams, wearer: wearerOf(body) },
              bodyProblems,
            ),
          };
    if (cache) cache.steps[i] = { from: pieces, key, done };
    steps.push(done);
    if (step.on && done.outcome.ok) ({ pieces, seams } = done.outcome.value);
  }
  return {
    body,
    bodyProblems,
    sizeChoice,
    size,
    amounts,
    original,
    steps,
    pieces,
    seams,
    check: checkPieces(pieces, seams, original, pattern.seams),
    refusal,
  };
}

const wearerOf = (body: Body): Context['wearer'] => ({
  ...(body.neckPointToBustPoint !== undefined ? { neckPointToBustPoint: body.neckPointToBustPoint } : {}),
  ...(body.bustSpan !== undefined ? { bustSpan: body.bustSpan } : {}),
});

function runStep(
  step: Step,
  total: number | null,
  values: Values,
  context: Context,
  problems: readonly BodyProblem[],
): Result<Run> {
  const definition = alterationById(step.alteration);
  if (!definition) return refuse('alteration-unknown', { alteration: step.alteration });
  if (definition.revision !== step.revision)
    return refuse('alteration-revision', { alteration: step.alteration, revision: step.revision });
  if (context.pieces.length === 0) return refuse('no-pieces');
  if (definition.amount === 'total') {
    const stop = problems.find((p) => p.grade === 'stop');
    if (stop && step.school !== 'own') return refuse('body-impossible', { key: stop.key });
    if (total === null) return refuse('amount-unknown', { school: step.school });
  }
  return runAlteration(definition, context, values);
}

/** The values a step runs with: its own, over what the fit suggests. */
export function valuesOf(
  step: Step,
  amounts: Amounts | null,
): { readonly total: number | null; readonly values: Values } {
  const chosen =
    step.school === 'own'
      ? null
      : step.school === 'auto'
        ? amounts?.chosen
        : amounts?.all.find((a) => a.school === step.school);
  const definition = alterationById(step.alteration);
  // What is not measured by the bust has its amount among its own values.
  if (definition && definition.amount !== 'total') return { total: null, values: step.values };
  const typed = typeof step.values['total'] === 'number' ? step.values['total'] : null;
  // A knit takes the share asked for instead of the one that goes with its stretch.
  const share =
    chosen?.school === 'knit' && step.knitFactor !== null && chosen.factor > 0 ? step.knitFactor / chosen.factor : 1;
  const total = step.school === 'own' ? typed : chosen ? chosen.total * share : null;
  const suggested = definition && total !== null ? definition.suggest(total) : {};
  return { total, values: { ...suggested, ...step.values, ...(total !== null ? { total } : {}) } };
}
