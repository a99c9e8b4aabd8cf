import { alterationById, flatOf } from '../../alterations/index.ts';
import {
  setupOf,
  emptyCache,
  replay,
  worksheetOf,
  type DraftCache,
  type DraftStep,
  type ResolvedJob,
} from '../plan/index.ts';
import type { Row } from '../compare/index.ts';
import type { Step } from '../../documents/schema.ts';
import type { MeasurementKey } from '../../pattern/index.ts';
import { refuse, ok, TOL, type Result } from '../../units/index.ts';
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

/** Widest an amount over the whole front may go, mm. */
const TOTAL: Bound = { min: -160, max: 300 };
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
  return param?.kind === 'length' ? { min: param.min, max: param.max } : TOTAL;
}

const withAmounts = (plan: readonly Step[], quantities: readonly Quantity[], x: readonly number[]): readonly Step[] =>
  plan.map((step) => {
    const mine = quantities.flatMap((q, i) => (q.step === step.id ? [[q.key, x[i] ?? 0] as const] : []));
    return mine.length === 0 ? step : { ...step, values: { ...step.values, ...Object.fromEntries(mine) } };
  });

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
  const quantities = begun.steps.flatMap(({ step, outcome, values }): readonly Quantity[] => {
    if (!step.on || !works(outcome) || step.side === 'right') return [];
    if (wish.steps && !wish.steps.includes(step.id)) return [];
    return amountKeys(step.alteration).map((key) => {
      const value = values[key];
      return { step: step.id, key, ...boundOf(step.alteration, key), from: typeof value === 'number' ? value : 0 };
    });
  });
  if (quantities.length === 0) return refuse('solve-no-steps');
  const meant =
    wish.rows ?? plan.filter((s) => quantities.some((q) => q.step === s.id)).flatMap((s) => aimsOf(s, before));
  const rows = before.filter((r) => r.left !== null && meant.includes(r.key));
  if (rows.length === 0) return refuse('solve-no-rows');

  const base: DraftCache = { steps: [...cache.steps] };
  const leftAt = (x: readonly number[], trial: boolean): readonly Row[] | null => {
    // A trial of one amount replays from that step on and leaves the cache of the place it starts from.
    const own: DraftCache = trial ? { steps: [...base.steps] } : base;
    const done = replay(start, withAmounts(plan, quantities, x), own, { brief: true });
    const broken = done.steps.some((s, i) => s.step.on && !works(s.outcome) && works(begun.steps[i]?.outcome));
    return broken
      ? null
      : worksheetOf(
          start,
          done,
          rows.map((r) => r.key),
        );
  };
  const residual = (x: readonly number[], changed: number | null): readonly number[] | null => {
    const now = leftAt(x, changed !== null);
    return now && rows.map((r) => (now.find((n) => n.key === r.key)?.left ?? 0) / r.share.parts);
  };
  // A step's own change, as later steps mostly leave it: one run a quantity instead of the rest of the plan.
  const about = (): readonly (readonly number[])[] | null => {
    const columns = quantities.map((q): readonly number[] | null => {
      const at = begun.steps.findIndex((s) => s.step.id === q.step);
      const done = begun.steps[at];
      if (!done?.outcome.ok) return null;
      const room = q.from + DIFFERENCE <= q.max ? DIFFERENCE : -DIFFERENCE;
      const moved = quantities.map((o) => o.from + (o === q ? room : 0));
      const trial = replay(
        start,
        withAmounts(plan, quantities, moved).slice(0, at + 1),
        { steps: [...cache.steps] },
        { brief: true },
      );
      const other = trial.steps[at]?.outcome;
      if (!other?.ok) return null;
      const [a, b] = [done.outcome.value, other.value];
      return rows.map((r) => {
        const [was, now] = [flatOf(a, r.key), flatOf(b, r.key)];
        return was && now ? -(now.value - was.value) / room / r.share.parts : 0;
      });
    });
    return columns.every((c) => c !== null) ? rows.map((_, i) => columns.map((c) => c?.[i] ?? 0)) : null;
  };
  const found = leastSquares(
    residual,
    quantities.map((q) => q.from),
    { bounds: quantities, h: DIFFERENCE, close: 0.01, still: 0.005, rounds: 14, about },
  );
  if (!found) return refuse('solve-failed');
  // Paper is not cut finer than a tenth of a millimetre.
  const x = found.x.map(tenth);
  const last = replay(start, withAmounts(plan, quantities, x), base, { brief: true });
  const after = worksheetOf(start, last);
  return ok({
    amounts: quantities.map((q, i) => ({ step: q.step, key: q.key, from: q.from, to: x[i] ?? q.from })),
    before,
    after,
    rows: rows.map((r) => r.key),
    unreached: rows.flatMap((row, i) => {
      const left = after.find((r) => r.key === row.key)?.left ?? 0;
      return Math.abs(left) < TOL.seam ? [] : [whyLeft(row.key, left, i)];
    }),
    evaluations: found.evaluations,
  });

  function whyLeft(key: MeasurementKey, left: number, i: number): Unreached {
    const answers = (row: number, j: number): boolean =>
      Math.abs((found?.jacobian[row]?.[j] ?? 0) * (rows[row]?.share.parts ?? 1)) > ANSWERS;
    const movers = quantities.map((_, j) => j).filter((j) => answers(i, j));
    const free = movers.filter((j) => {
      const q = quantities[j];
      return q !== undefined && (x[j] ?? 0) > q.min + TOL.seam && (x[j] ?? 0) < q.max - TOL.seam;
    });
    const named = (free.length > 0 ? free : movers).map((j) => quantities[j]?.step ?? '');
    const others = rows.flatMap((r, k) => (k !== i && free.some((j) => answers(k, j)) ? [r.key] : []));
    return {
      key,
      left,
      why: movers.length === 0 ? 'no-step' : free.length === 0 || found?.blocked ? 'at-limit' : 'shared',
      steps: [...new Set(named)],
      others,
    };
  }
}
