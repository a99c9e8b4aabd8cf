import { alterationById, flatOf } from '../../alterations/index.ts';
import {
  setupOf,
  emptyCache,
  replay,
  worksheetOf,
  type DraftCache,
  type DraftStep,
  type Replayed,
  type ResolvedJob,
  type Setup,
} from '../plan/index.ts';
import type { Row } from '../compare/index.ts';
import type { Step } from '../../documents/schema.ts';
import type { MeasurementKey } from '../../pattern/index.ts';
import { nth, refuse, ok, TOL, type Result } from '../../units/index.ts';
import { leastSquares, type Bound } from '../../numeric/leastSquares.ts';

/** Which amounts may change, and which differences are to vanish; left out, all that can, and what they are for. */
export interface SolveWish {
  readonly steps?: readonly string[];
  readonly rows?: readonly MeasurementKey[];
}

/** A difference that is still there, and why. */
export interface Unreached {
  readonly key: MeasurementKey;
  readonly left: number;
  /** Nothing chosen moves it; what moves it stands at its limit; or moving it would undo another. */
  readonly why: 'no-step' | 'at-limit' | 'shared';
  readonly steps: readonly string[];
  readonly others: readonly MeasurementKey[];
}

export interface Solution {
  readonly amounts: readonly {
    readonly step: string;
    readonly key: string;
    readonly from: number;
    readonly to: number;
  }[];
  readonly before: readonly Row[];
  readonly after: readonly Row[];
  /** The differences solved for. */
  readonly rows: readonly MeasurementKey[];
  readonly unreached: readonly Unreached[];
  readonly evaluations: number;
}

interface Quantity extends Bound {
  readonly step: string;
  readonly key: string;
  readonly from: number;
}

const ANYTHING: Bound = { min: -Infinity, max: Infinity };
const DIFFERENCE = 1;
/** A difference answers to a step when a millimetre there moves it by more than this. */
const ANSWERS = 0.02;
const tenth = (v: number): number => Math.round(v * 10) / 10;

/** A step asked for nothing does nothing: that is not a hindrance. */
const works = (outcome: DraftStep['outcome'] | undefined): boolean => outcome?.ok === true;

/** The values of a step that say how much; none where it takes its amount from its neighbours. */
function amountKeys(alteration: string): readonly string[] {
  const d = alterationById(alteration);
  if (!d || d.family === 'follow') return [];
  if (d.amount === 'waist') return ['waist', 'hip'];
  return d.amount === 'total' || d.amount === 'by' ? [d.amount] : [];
}

/** The differences a step is there for: what it is worked out from, where that is known; the first, for one amount. */
export function aimsOf(step: Pick<Step, 'alteration'>, rows: readonly Row[]): readonly MeasurementKey[] {
  const d = alterationById(step.alteration);
  const reads = d?.family === 'bust' ? (['fullBust'] as const) : (d?.reads ?? []);
  const known = reads.filter((key) => rows.some((r) => r.key === key && r.left !== null));
  return known.slice(0, amountKeys(step.alteration).length);
}

function boundOf(alteration: string, key: string): Bound {
  const param = alterationById(alteration)?.params.find((p) => p.key === key);
  return param?.kind === 'length' ? { min: param.min, max: param.max } : ANYTHING;
}

const withAmounts = (plan: readonly Step[], quantities: readonly Quantity[], x: readonly number[]): readonly Step[] =>
  plan.map((step) => {
    const mine = quantities.flatMap((q, i) => (q.step === step.id ? [[q.key, x[i] ?? 0] as const] : []));
    return mine.length === 0 ? step : { ...step, values: { ...step.values, ...Object.fromEntries(mine) } };
  });

/** What is being solved: which amounts, for which differences, from where the plan stands. */
interface Problem {
  readonly start: Setup;
  readonly plan: readonly Step[];
  readonly quantities: readonly Quantity[];
  readonly rows: readonly Row[];
  /** The plan as it stands, and the steps already replayed. */
  readonly begun: Replayed;
  readonly cache: DraftCache;
}

/**
 * The amounts of the chosen steps that bring the chosen differences to nothing together: least squares of what is
 * left on each piece, on the pieces as they are re-measured after the whole plan, since steps act on one another.
 * Refuses where nothing can be solved for.
 */
export function solve(resolved: ResolvedJob, wish: SolveWish = {}): Result<Solution> {
  const start = setupOf(resolved);
  if (start.refusal) return { ok: false, error: start.refusal };
  const plan = resolved.job.steps;
  const cache = emptyCache();
  const begun = replay(start, plan, cache, { brief: true });
  const before = worksheetOf(start, begun);
  const quantities = quantitiesOf(begun, wish.steps);
  if (quantities.length === 0) return refuse('solve-no-steps');
  const rows = rowsFor(plan, quantities, before, wish.rows);
  if (rows.length === 0) return refuse('solve-no-rows');

  const problem: Problem = { start, plan, quantities, rows, begun, cache };
  const base: DraftCache = { steps: [...cache.steps] };
  const found = leastSquares(
    (x, changed) => residualAt(problem, base, x, changed !== null),
    quantities.map((q) => q.from),
    { bounds: quantities, h: DIFFERENCE, close: 0.01, still: 0.005, rounds: 14, about: () => slopesAlone(problem) },
  );
  if (!found) return refuse('solve-failed');
  // Paper is not cut finer than a tenth of a millimetre.
  const x = found.x.map(tenth);
  const after = worksheetOf(start, replay(start, withAmounts(plan, quantities, x), base, { brief: true }));
  return ok({
    amounts: quantities.map((q, i) => ({ step: q.step, key: q.key, from: q.from, to: x[i] ?? q.from })),
    before,
    after,
    rows: rows.map((r) => r.key),
    unreached: unreachedBy(problem, { x, jacobian: found.jacobian, blocked: found.blocked }, after),
    evaluations: found.evaluations,
  });
}

/** The amounts that may be changed: of steps that are on and work, of those wished for where some are. */
const quantitiesOf = (begun: Replayed, wished: readonly string[] | undefined): readonly Quantity[] =>
  begun.steps.flatMap(({ step, outcome, values }): readonly Quantity[] => {
    if (!step.on || !works(outcome) || step.side === 'right') return [];
    if (wished && !wished.includes(step.id)) return [];
    return amountKeys(step.alteration).map((key) => {
      const value = values[key];
      return { step: step.id, key, ...boundOf(step.alteration, key), from: typeof value === 'number' ? value : 0 };
    });
  });

/** The differences to bring to nothing: those wished for, else what the steps are there for. */
function rowsFor(
  plan: readonly Step[],
  quantities: readonly Quantity[],
  before: readonly Row[],
  wished: readonly MeasurementKey[] | undefined,
): readonly Row[] {
  const mine = plan.filter((s) => quantities.some((q) => q.step === s.id));
  const meant = wished ?? mine.flatMap((s) => aimsOf(s, before));
  return before.filter((r) => r.left !== null && meant.includes(r.key));
}

/** What is left of each difference on one piece, mm, with the amounts `x`; null where a step then fails. */
function residualAt(
  { start, plan, quantities, rows, begun }: Problem,
  base: DraftCache,
  x: readonly number[],
  trial: boolean,
): readonly number[] | null {
  // A trial of one amount replays from that step on and leaves the cache of the place it starts from.
  const cache: DraftCache = trial ? { steps: [...base.steps] } : base;
  const done = replay(start, withAmounts(plan, quantities, x), cache, { brief: true });
  const broken = done.steps.some((s, i) => s.step.on && !works(s.outcome) && works(begun.steps[i]?.outcome));
  if (broken) return null;
  const now = worksheetOf(
    start,
    done,
    rows.map((r) => r.key),
  );
  return rows.map((r) => (now.find((n) => n.key === r.key)?.left ?? 0) / r.share.parts);
}

/**
 * How the differences answer to each amount, as the step alone changes them and later steps mostly leave it: one run
 * of a step for each amount instead of the rest of the plan. Null where a step cannot be tried.
 */
function slopesAlone(problem: Problem): readonly (readonly number[])[] | null {
  const columns = problem.quantities.map((q) => slopesOf(problem, q));
  return columns.every((c) => c !== null) ? problem.rows.map((_, i) => columns.map((c) => c?.[i] ?? 0)) : null;
}

function slopesOf({ start, plan, quantities, rows, begun, cache }: Problem, q: Quantity): readonly number[] | null {
  const at = begun.steps.findIndex((s) => s.step.id === q.step);
  const done = begun.steps[at];
  if (!done?.outcome.ok) return null;
  const by = q.from + DIFFERENCE <= q.max ? DIFFERENCE : -DIFFERENCE;
  const moved = quantities.map((o) => o.from + (o === q ? by : 0));
  const upTo = withAmounts(plan, quantities, moved).slice(0, at + 1);
  const trial = replay(start, upTo, { steps: [...cache.steps] }, { brief: true }).steps[at]?.outcome;
  if (!trial?.ok) return null;
  const [a, b] = [done.outcome.value, trial.value];
  return rows.map((r) => {
    const [was, now] = [flatOf(a, r.key), flatOf(b, r.key)];
    return was && now ? -(now.value - was.value) / by / r.share.parts : 0;
  });
}

interface Answer {
  readonly x: readonly number[];
  readonly jacobian: readonly (readonly number[])[];
  readonly blocked: boolean;
}

/** The differences that are still there, each with why. */
const unreachedBy = (problem: Problem, answer: Answer, after: readonly Row[]): readonly Unreached[] =>
  problem.rows.flatMap((row, i) => {
    const left = after.find((r) => r.key === row.key)?.left ?? 0;
    return Math.abs(left) < TOL.seam ? [] : [whyLeft(problem, answer, i, left)];
  });

function whyLeft({ quantities, rows }: Problem, { x, jacobian, blocked }: Answer, i: number, left: number): Unreached {
  const answers = (row: number, j: number): boolean =>
    Math.abs((jacobian[row]?.[j] ?? 0) * (rows[row]?.share.parts ?? 1)) > ANSWERS;
  const movers = [...quantities.keys()].filter((j) => answers(i, j));
  const free = movers.filter((j) => {
    const [q, at] = [nth(quantities, j), x[j] ?? 0];
    return at > q.min + TOL.seam && at < q.max - TOL.seam;
  });
  const named = (free.length > 0 ? free : movers).map((j) => nth(quantities, j).step);
  return {
    key: nth(rows, i).key,
    left,
    why: movers.length === 0 ? 'no-step' : free.length === 0 || blocked ? 'at-limit' : 'shared',
    steps: [...new Set(named)],
    others: rows.flatMap((r, k) => (k !== i && free.some((j) => answers(k, j)) ? [r.key] : [])),
  };
}
