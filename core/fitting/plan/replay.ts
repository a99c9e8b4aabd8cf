import {
  alterationById,
  flatOf,
  runAlteration,
  type AlterationDefinition,
  type Context,
  type Fit,
  type Run,
  type RunOptions,
  type Values,
  isByBust,
} from '../../alterations/index.ts';
import type { Amounts, BodyProblem } from '../fit/index.ts';
import type { Step } from '../../documents/schema.ts';
import { inspectPiece, newFaults, type Care } from '../../paper/guard/index.ts';
import type { Piece } from '../../pattern/index.ts';
import { refuse, TOL, type Result } from '../../units/index.ts';
import { amountOf, isTyped, methodOf } from './amount.ts';
import type { Setup } from './setup.ts';
import { alike, cutPieces, type SidePieces, type BothSides } from './sides.ts';
import type { DraftStep } from './step.ts';

/** Remembers the steps of one job, so that changing step n replays only n and what follows. Holds one job at a time. */
export interface DraftCache {
  steps: {
    readonly left: readonly Piece[];
    readonly right: readonly Piece[];
    readonly key: string;
    /** How closely the pieces were inspected. */
    readonly care: Care;
    readonly done: DraftStep;
    readonly after: BothSides;
  }[];
}
export const emptyCache = (): DraftCache => ({ steps: [] });

export interface Replayed {
  readonly steps: readonly DraftStep[];
  readonly sides: BothSides;
}

export interface ReplayOptions {
  /** For the pieces alone. */
  readonly brief?: boolean;
  /**
   * How thoroughly pieces are inspected; a result inspected quickly is inspected again when `complete` is asked for.
   */
  readonly care?: Care;
}

/**
 * Carries steps out one after the other from where a job starts; with a cache, from the first that changed. Asked for
 * complete care, the pieces that come out are inspected completely; only where one of them is at fault are the steps gone
 * through again, each with complete care, so that the one that did it is refused.
 */
export function replay(
  start: Setup,
  plan: readonly Step[],
  cache?: DraftCache,
  { brief = false, care = brief ? 'quick' : 'complete' }: ReplayOptions = {},
): Replayed {
  const quick = carryOut(start, plan, cache, { brief, care: 'quick' });
  if (care === 'quick') return quick;
  const came = start.untouched.flatMap((p) => inspectPiece(p));
  const left = cutPieces(quick.sides, start).flatMap((p) => inspectPiece(p));
  return newFaults(came, left).length === 0 ? quick : carryOut(start, plan, cache, { brief, care });
}

function carryOut(
  start: Setup,
  plan: readonly Step[],
  cache: DraftCache | undefined,
  { brief, care }: Required<ReplayOptions>,
): Replayed {
  const { body, right: rightBody, size, amounts, ease, told, sewn } = start;
  let sides: BothSides = sameOnBoth(sewn);
  const steps: DraftStep[] = [];
  const key = JSON.stringify([body, rightBody, size, amounts?.chosen, ease, told]);
  for (const [i, step] of plan.entries()) {
    const own = JSON.stringify(step) + key;
    const kept = cache?.steps[i];
    const { left, right } = sides;
    const same = kept?.left === left.pieces && kept.right === right.pieces && kept.key === own;
    const reuse = same && (kept.care === 'complete' || care === 'quick') ? kept : null;
    const next = reuse ?? cutAlike(start, sides, doStep(step, start, sides, { brief, care }), care);
    if (cache && !reuse) cache.steps[i] = { left: left.pieces, right: right.pieces, key: own, care, ...next };
    steps.push(next.done);
    sides = next.after;
  }
  return { steps, sides };
}

/**
 * The sides after a step. Where the sides differ, what is cut is opened out or cut once for each side: that is
 * inspected too, and a step that would make it unfit to be cut is refused like any other.
 */
function cutAlike(
  start: Setup,
  before: BothSides,
  done: DraftStep,
  care: Care,
): { readonly done: DraftStep; readonly after: BothSides } {
  const after = sidesAfter(before, done);
  if (alike(after) || after === before) return { done, after };
  const faults = (sides: BothSides) => cutPieces(sides, start).flatMap((p) => inspectPiece(p, care));
  const now = faults(after);
  const [fault] = now.length > 0 ? newFaults(faults(before), now) : [];
  if (!fault) return { done, after };
  const outcome = refuse('step-makes-fault', { ...fault.data, fault: fault.code, piece: fault.piece });
  return { done: { ...done, outcome, other: done.other && outcome }, after: before };
}

const sameOnBoth = (side: SidePieces): BothSides => ({ left: side, right: side });

/** One step on the side it is for, and on both where they already differ. */
function doStep(step: Step, start: Setup, sides: BothSides, how: RunOptions): DraftStep {
  const { contextOf, bodyProblems: problems } = start;
  const which = step.side === 'right' ? 'right' : 'left';
  const side = sides[which];
  const context = contextOf(side, which);
  const fit = fitOf(step, context);
  const amounts = isByBust(alterationById(step.alteration)) ? amountsOn(side, start) : null;
  const values = valuesOf(step, amounts, fit);
  const other =
    step.side === 'both' && !alike(sides)
      ? runStep(step, values, contextOf(sides.right, 'right'), problems, how)
      : null;
  const own = runStep(step, values, context, problems, how);
  // A step for both sides is done on both or on neither: a refusal on the right is reported like any other.
  const outcome = own.ok && other && !other.ok ? other : own;
  return { step, values, amounts, fit, before: side.pieces, outcome, other };
}

/** The bust amounts on the pieces as earlier steps have left them: what those gave is not given again. */
export function amountsOn(side: SidePieces, { sewn, amounts, amountsAfter }: Setup): Amounts | null {
  if (side.pieces === sewn.pieces) return amounts;
  const [was, now] = [flatOf(sewn, 'fullBust'), flatOf(side, 'fullBust')];
  const grown = was && now ? now.value - was.value : 0;
  return Math.abs(grown) < TOL.legs ? amounts : amountsAfter(grown);
}

/** The sides after a step: a step for one side parts them. */
function sidesAfter(sides: BothSides, { step, outcome, other }: DraftStep): BothSides {
  if (!step.on || !outcome.ok) return sides;
  const { pieces, seams } = outcome.value;
  const side = { pieces, seams };
  if (step.side === 'left') return { ...sides, left: side };
  if (step.side === 'right') return { ...sides, right: side };
  if (alike(sides)) return sameOnBoth(side);
  return { left: side, right: other?.ok ? { pieces: other.value.pieces, seams: other.value.seams } : sides.right };
}

/** What this body needs of a step other than the bust, on the pieces as they are by then; null when nothing tells. */
function fitOf(step: Step, context: Context): Fit | null {
  const definition = alterationById(step.alteration);
  return definition?.fits && context.pieces.length > 0 ? definition.fits(context) : null;
}

function runStep(
  step: Step,
  values: Values,
  context: Context,
  problems: readonly BodyProblem[],
  how: RunOptions,
): Result<Run> {
  const definition = alterationById(step.alteration);
  if (!definition) return refuse('alteration-unknown', { alteration: step.alteration });
  if (definition.revision !== step.revision)
    return refuse('alteration-revision', { alteration: step.alteration, revision: step.revision });
  if (context.pieces.length === 0) return refuse('no-pieces');
  if (isByBust(definition)) {
    const stop = problems.find((p) => p.grade === 'stop');
    if (stop && !isTyped(step)) return refuse('body-impossible', { key: stop.key });
    if (amountOf({ step, values }) === null) return refuse('amount-unknown', { school: step.school });
  }
  return runAlteration(definition, context, values, how);
}

/** The values a step runs with: those set by hand, over the computed ones. */
export function valuesOf(step: Step, amounts: Amounts | null, fit: Fit | null = null): Values {
  const definition = alterationById(step.alteration);
  if (!definition) return step.values;
  if (!isByBust(definition)) return { ...inRange(definition, fit), ...step.values };
  const typed = step.values['total'];
  const total = typeof typed === 'number' ? typed : totalOf(step, amounts);
  if (total === null) return step.values;
  return { ...definition.suggest(total), ...step.values, total };
}

/** What the method chosen for a step makes of the bust, mm over the whole front. */
function totalOf(step: Step, amounts: Amounts | null): number | null {
  const chosen = methodOf(step, amounts);
  if (!chosen) return null;
  // A knit takes the share asked for instead of the usual one.
  const asked = chosen.method === 'knit' && chosen.factor > 0 ? step.knitFactor : null;
  return chosen.total * (asked === null ? 1 : asked / chosen.factor);
}

/** Clamped to what the alteration can do; the slip shows what is left. */
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
