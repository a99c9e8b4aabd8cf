import {
  alterationById,
  runAlteration,
  type AlterationDefinition,
  type Context,
  type Fit,
  type Run,
  type Values,
} from '../alterations/index.ts';
import {
  bodyFrom,
  bustAmounts,
  checkBody,
  cupChoice,
  easeFor,
  inCup,
  levelSizes,
  mayLeaveBust,
  methodFor,
  newestFirst,
  startingSize,
  toldFlat,
  worksheet,
  type Amounts,
  type Body,
  type BodyProblem,
  type CupChoice,
  type Ease,
  type LevelSize,
  type MeasurementSet,
  type Row,
  type SizeChoice,
  type SizeError,
} from '../fit/index.ts';
import type { Job, Step, Wearer } from '../formats/schema.ts';
import type { MeasurementKey, Pattern, Piece, Seam } from '../pattern/index.ts';
import type { CheckReport, Finding } from '../truing/index.ts';
import { refuse, type Refusal, type Result } from '../units/index.ts';
import { asksOf, fitsOn, type Ask } from './asks.ts';
import { followers, type Follower } from './followers.ts';
import { alike, checkLanes, cutPieces, halvesApart, type Lane, type Lanes, type SideCheck } from './lanes.ts';
import { meetingsOf, type Meeting } from './order.ts';
import { standInFor, toldNow, type StandIn } from './paper.ts';
import type { DraftStep } from './step.ts';
import { usualFor, type Usual } from './usual.ts';

/** A job with its documents at hand. */
export interface ResolvedJob {
  readonly job: Pick<Job, 'size' | 'sizeMethod' | 'steps'> & Partial<Pick<Job, 'order' | 'cup'>>;
  readonly wearer: { readonly sets: readonly MeasurementSet[] } & Pick<Wearer, 'bustEase'> &
    Partial<Pick<Wearer, 'eases' | 'learnt'>>;
  readonly pattern: Pattern;
}

export interface Draft {
  readonly body: Body;
  readonly bodyProblems: readonly BodyProblem[];
  readonly sizeChoice: Result<SizeChoice, SizeError>;
  readonly size: string | null;
  /** Of a pattern sold in several cups: the one taken, and what the rule says. */
  readonly cup: string | null;
  readonly cupChoice: CupChoice | null;
  /** The sizes waist and hip ask for by themselves. */
  readonly levels: readonly LevelSize[];
  readonly amounts: Amounts | null;
  /** Why the bust may be left alone. */
  readonly leaveBust: ReturnType<typeof mayLeaveBust>;
  /** Ease wanted at every measurement. */
  readonly ease: Ease;
  /** With paper only: the draft the hand sheets are drawn on. */
  readonly paper: Pick<StandIn, 'sample' | 'size'> | null;
  readonly original: readonly Piece[];
  readonly steps: readonly DraftStep[];
  /** What is cut: where a step was for one side only, opened out or one for each side. */
  readonly pieces: readonly Piece[];
  /** The two sides of the body; one and the same while no step was for one side. */
  readonly lanes: Lanes;
  /** The seams, naming the edges as the steps left them. */
  readonly seams: readonly Seam[];
  readonly check: CheckReport;
  /** The same side by side, where the sides differ. */
  readonly checks: readonly SideCheck[];
  /** Pieces that have to follow, and what would make them. */
  readonly followers: readonly Follower[];
  /** Steps that change the same seam. */
  readonly meetings: readonly Meeting[];
  /** What the measurements still ask for. */
  readonly asks: readonly Ask[];
  /** Body against pattern, measurement by measurement, and what is left on the altered pieces. */
  readonly worksheet: readonly Row[];
  /** What finished jobs of this wearer had done. */
  readonly usual: readonly Usual[];
  readonly refusal: Refusal | null;
}

/** Remembers the steps of one job, so that changing step n replays only n and what follows. Holds one job at a time. */
export interface DraftCache {
  steps: {
    readonly left: readonly Piece[];
    readonly right: readonly Piece[];
    readonly key: string;
    readonly done: DraftStep;
  }[];
}
export const emptyCache = (): DraftCache => ({ steps: [] });

/** Everything shown or printed of a job, computed from its choices. Never throws on bad input; says what is missing. */
export function draft(resolved: ResolvedJob, cache?: DraftCache): Draft {
  const start = beginningOf(resolved);
  const { job, body, bodyProblems, size, amounts, original, contextOf, standIn, sewn } = start;
  const { steps, lanes } = replay(start, job.steps, cache);
  const checks = checkLanes(lanes, original, sewn.seams);
  const findings = [...unique(checks.flatMap((c) => c.report.findings)), ...halvesApart(lanes)];
  const left = checks[0]?.report;
  const planned = job.steps.map((x) => x.alteration);
  const fitOfLeft = fitsOn(contextOf(lanes.left));
  return {
    body,
    bodyProblems,
    sizeChoice: start.sizeChoice,
    size,
    cup: start.cup,
    cupChoice: start.cupChoice,
    levels: levelSizes(body, start.pattern),
    amounts,
    leaveBust: mayLeaveBust(amounts, body, start.pattern),
    ease: start.ease,
    paper: standIn && { sample: standIn.sample, size: standIn.size },
    original,
    steps,
    pieces: cutPieces(lanes),
    lanes,
    seams: lanes.left.seams,
    checks,
    check: { walks: left?.walks ?? [], findings },
    followers: followers(findings, lanes.left.pieces),
    meetings: meetingsOf(steps),
    asks: original.length === 0 ? [] : asksOf(fitOfLeft, planned, job.order ?? 'topDown'),
    usual: usualFor(resolved.wearer.learnt ?? [], body, lanes.left, fitOfLeft, planned),
    worksheet: worksheetOf(start, { lanes, steps }),
    refusal: start.refusal,
  };
}

/**
 * Carries steps out one after the other from where a job starts; with a cache, from the first that changed;
 * `brief`, for the pieces alone. */
export function replay(
  { body, bodyProblems, size, amounts, ease, told, contextOf, sewn }: Beginning,
  plan: readonly Step[],
  cache?: DraftCache,
  brief = false,
): Replayed {
  let lanes: Lanes = oneLane(sewn);
  const steps: DraftStep[] = [];
  const key = JSON.stringify([body, size, amounts?.chosen, ease, told]);
  for (const [i, step] of plan.entries()) {
    const own = JSON.stringify(step) + key;
    const kept = cache?.steps[i];
    const reuse = kept && kept.left === lanes.left.pieces && kept.right === lanes.right.pieces && kept.key === own;
    const done = reuse ? kept.done : doStep(step, amounts, lanes, contextOf, bodyProblems, brief);
    if (cache) cache.steps[i] = { left: lanes.left.pieces, right: lanes.right.pieces, key: own, done };
    steps.push(done);
    lanes = lanesAfter(lanes, done);
  }
  return { steps, lanes };
}

export interface Replayed {
  readonly steps: readonly DraftStep[];
  readonly lanes: Lanes;
}

/** A bust step that works about the wearer's own bust point puts it where the body has it, whatever the paper grows by. */
function placedBy(steps: readonly DraftStep[], body: Body): readonly MeasurementKey[] {
  const known = body.neckPointToBustPoint !== undefined && body.bustSpan !== undefined;
  const about = steps.some(
    ({ step, outcome, values }) =>
      step.on &&
      outcome.ok &&
      alterationById(step.alteration)?.family === 'bust' &&
      values['whose'] !== 'pattern' &&
      !values['bustPoint'],
  );
  return known && about ? ['neckPointToBustPoint', 'bustSpan', 'napeToBustPoint'] : [];
}

/** The worksheet of a job with its pieces as they are by then. */
export const worksheetOf = (
  start: Beginning,
  { lanes, steps }: Replayed,
  only?: readonly MeasurementKey[],
): readonly Row[] =>
  start.size === null
    ? []
    : worksheet(
        {
          body: start.body,
          ease: start.ease,
          pattern: start.pattern,
          size: start.size,
          before: start.sewn,
          after: lanes.left,
          told: start.told,
          placed: placedBy(steps, start.body),
        },
        only,
      );

/** What a job starts from: the body, the size, the pieces in it, and what an alteration may look at. */
export interface Beginning extends Pick<Draft, 'body' | 'bodyProblems' | 'sizeChoice' | 'size' | 'cup' | 'cupChoice'> {
  readonly job: ResolvedJob['job'];
  /** In the cup taken. */
  readonly pattern: Pattern;
  readonly ease: Ease;
  readonly amounts: Amounts | null;
  readonly standIn: StandIn | null;
  readonly told: ReturnType<typeof toldFlat> | null;
  readonly original: readonly Piece[];
  readonly sewn: Lane;
  readonly contextOf: (lane: Lane) => Context;
  readonly refusal: Refusal | null;
}

export function beginningOf({ job, wearer, pattern: sold }: ResolvedJob): Beginning {
  const body = bodyFrom(wearer.sets);
  const cups = cupChoice(body, sold);
  const cup = job.cup ?? cups?.chosen.name ?? null;
  const pattern = inCup(sold, cup);
  const sizeChoice = startingSize(body, pattern, methodFor(pattern, job.sizeMethod));
  const size = job.size ?? (sizeChoice.ok ? sizeChoice.value.chosen.size : null);
  const own = (size !== null ? pattern.sizes[size] : undefined) ?? [];
  const standIn = own.length === 0 && size !== null ? standInFor(pattern, size) : null;
  const original = standIn?.pieces ?? own;
  const sewn: Lane = { pieces: original, seams: standIn?.seams ?? pattern.seams };
  const ease = easeFor(pattern, wearer.eases, wearer.bustEase);
  const told = standIn && size !== null ? toldFlat(pattern, size, ease) : null;
  const contextOf = (lane: Lane): Context => ({
    ...lane,
    original,
    originalSeams: sewn.seams,
    wearer: body,
    ...(standIn ? {} : { nest: pattern.sizes }),
    chart: pattern.chart,
    size,
    draftedHeight: pattern.draftedHeight,
    ease,
    // Measured only when an alteration asks.
    ...(told
      ? {
          get flat() {
            return toldNow(told, sewn, lane);
          },
        }
      : {}),
  });
  return {
    job,
    body,
    bodyProblems: checkBody(body, newestFirst(wearer.sets)[0]),
    sizeChoice,
    size,
    cup,
    cupChoice: cups,
    pattern,
    ease,
    amounts: size === null ? null : bustAmounts(body, pattern, size, ease.fullBust),
    standIn,
    told,
    original,
    sewn,
    contextOf,
    refusal:
      size === null
        ? sizeChoice.ok
          ? null
          : sizeChoice.error
        : original.length === 0
          ? { code: 'size-has-no-pieces', data: { size } }
          : null,
  };
}

const oneLane = (lane: Lane): Lanes => ({ left: lane, right: lane });

const unique = (findings: readonly Finding[]): readonly Finding[] => {
  const seen = new Set<string>();
  return findings.filter((f) => {
    const key = JSON.stringify([f.code, f.piece, f.data]);
    return seen.has(key) ? false : seen.add(key);
  });
};

/** One step on the side it is for, and on both where they already differ. */
function doStep(
  step: Step,
  amounts: Amounts | null,
  lanes: Lanes,
  contextOf: (lane: Lane) => Context,
  problems: readonly BodyProblem[],
  brief: boolean,
): DraftStep {
  const lane = step.side === 'right' ? lanes.right : lanes.left;
  const context = contextOf(lane);
  const fit = fitOf(step, context);
  const { total, values } = valuesOf(step, amounts, fit);
  const other =
    step.side === 'both' && !alike(lanes)
      ? runStep(step, total, values, contextOf(lanes.right), problems, brief)
      : null;
  const own = runStep(step, total, values, context, problems, brief);
  // A step for both sides is done on both or on neither: what stops it on the right is said like any refusal.
  const outcome = own.ok && other && !other.ok ? other : own;
  return { step, total, values, fit, before: lane.pieces, outcome, other };
}

/** The lanes after a step: a step for one side parts them. */
function lanesAfter(lanes: Lanes, { step, outcome, other }: DraftStep): Lanes {
  if (!step.on || !outcome.ok) return lanes;
  const { pieces, seams } = outcome.value;
  const lane = { pieces, seams };
  if (step.side === 'left') return { ...lanes, left: lane };
  if (step.side === 'right') return { ...lanes, right: lane };
  if (alike(lanes)) return oneLane(lane);
  return { left: lane, right: other?.ok ? { pieces: other.value.pieces, seams: other.value.seams } : lanes.right };
}

/** What this body asks of a step that is not the bust, on the pieces as they are by then; null where it was set by hand. */
function fitOf(step: Step, context: Context): Fit | null {
  const definition = alterationById(step.alteration);
  return definition?.fits && context.pieces.length > 0 ? definition.fits(context) : null;
}

function runStep(
  step: Step,
  total: number | null,
  values: Values,
  context: Context,
  problems: readonly BodyProblem[],
  brief: boolean,
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
  return runAlteration(definition, context, values, brief);
}

/** The values a step runs with: its own, over what the fit suggests. */
export function valuesOf(
  step: Step,
  amounts: Amounts | null,
  fit: Fit | null = null,
): { readonly total: number | null; readonly values: Values } {
  const chosen =
    step.school === 'own'
      ? null
      : step.school === 'auto'
        ? amounts?.chosen
        : amounts?.all.find((a) => a.school === step.school);
  const definition = alterationById(step.alteration);
  // What is not measured by the bust has its amount among its own values.
  if (definition && definition.amount !== 'total')
    return {
      total: null,
      values: step.school === 'auto' ? { ...inRange(definition, fit), ...step.values } : step.values,
    };
  const typed = typeof step.values['total'] === 'number' ? step.values['total'] : null;
  // A knit takes the share asked for instead of the one that goes with its stretch.
  const share =
    chosen?.school === 'knit' && step.knitFactor !== null && chosen.factor > 0 ? step.knitFactor / chosen.factor : 1;
  const total = step.school === 'own' ? typed : chosen ? chosen.total * share : null;
  const suggested = definition && total !== null ? definition.suggest(total) : {};
  return { total, values: { ...suggested, ...step.values, ...(total !== null ? { total } : {}) } };
}

/** A body far from the pattern never asks for more than the alteration can do; the slip shows what is left. */
function inRange(definition: AlterationDefinition, fit: Fit | null): Values {
  if (!fit) return {};
  return Object.fromEntries(
    Object.entries(fit.values).map(([key, value]) => {
      const param = definition.params.find((p) => p.key === key);
      return typeof value === 'number' && param?.kind === 'length'
        ? [key, Math.min(param.max, Math.max(param.min, value))]
        : [key, value];
    }),
  );
}
