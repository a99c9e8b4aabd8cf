import { DAMPING, TOL } from '../units/index.ts';
import { solvePositive } from './linear.ts';

type Vector = readonly number[];
type Matrix = readonly Vector[];

/** The bounds of one unknown. */
export interface Bound {
  readonly min: number;
  readonly max: number;
}

export interface LeastSquares {
  readonly x: Vector;
  /** The residual of each equation at `x`. */
  readonly r: Vector;
  /** The Jacobian at `x`: rows are equations, columns are unknowns. */
  readonly jacobian: Matrix;
  readonly evaluations: number;
  /** The last steps tried led to places where `f` is null: a better place may exist but cannot be reached. */
  readonly blocked: boolean;
}

interface Options {
  readonly bounds: readonly Bound[];
  /** Step for the differences the slopes are taken from. */
  readonly h: number;
  /** Stops when every residual is below `close`, or no unknown moves by more than `still`. */
  readonly close: number;
  readonly still: number;
  readonly rounds: number;
  /** An approximate Jacobian to start from, where one is cheaper than differences. */
  readonly about?: () => Matrix | null;
}

/** The residuals at `x`; `changed` is the one unknown that differs from the last place asked about. Null: none there. */
type Residuals = (x: Vector, changed: number | null) => Vector | null;

const UNBOUNDED: Bound = { min: -Infinity, max: Infinity };

const squares = (v: Vector): number => v.reduce((n, each) => n + each * each, 0);
const cost = (r: Vector | null): number => (r ? squares(r) : Infinity);
const clamp = (v: number, { min, max }: Bound): number => Math.min(max, Math.max(min, v));
/** The product of one row of the Jacobian with a step. */
const along = (row: Vector | undefined, step: Vector): number => step.reduce((n, w, j) => n + (row?.[j] ?? 0) * w, 0);

/**
 * Least squares by damped Gauss-Newton steps within bounds (Levenberg and Marquardt's damping). Slopes are taken by
 * differences once and then kept up by rank-one updates (Broyden); they are taken anew only when a step fails, since
 * each costs one evaluation a quantity. `f` returns null where it cannot be evaluated; that place is not gone to.
 * Returns null when `f` fails at the start.
 */
export function leastSquares(
  f: Residuals,
  start: Vector,
  { bounds, h, close, still, rounds, about }: Options,
): LeastSquares | null {
  let evaluations = 0;
  const ask: Residuals = (at, changed) => {
    evaluations++;
    return f(at, changed);
  };
  let x: Vector = start.map((v, i) => clamp(v, bounds[i] ?? UNBOUNDED));
  const first = ask(x, null);
  if (!first) return null;
  let r = first;
  const near = about?.() ?? null;
  let jacobian = near ?? differences(ask, x, r, bounds, h);
  let fresh = near === null;
  let damping: number = DAMPING.first;
  let blocked = false;
  const takeAnew = (): void => {
    jacobian = differences(ask, x, r, bounds, h);
    fresh = true;
  };
  for (let round = 0; round < rounds && Math.max(0, ...r.map(Math.abs)) > close; round++) {
    const step = stepFrom(x, r, jacobian, bounds, damping);
    if (step === 'no way') break;
    if (step === 'singular') {
      damping *= 10;
      continue;
    }
    // With no exact solution, stop once the model predicts almost no further improvement.
    const promised = cost(r) - cost(r.map((v, i) => v + along(jacobian[i], step.went)));
    if (promised < TOL.worth * cost(r)) break;
    if (Math.sqrt(squares(step.went)) < still) {
      if (fresh) break;
      takeAnew();
      continue;
    }
    const there = ask(step.to, null);
    blocked = there === null || (blocked && cost(there) >= cost(r));
    if (there && cost(there) < cost(r)) {
      jacobian = updated(jacobian, r, there, step.went);
      x = step.to;
      r = there;
      fresh = false;
      damping = Math.max(DAMPING.least, damping / 10);
    } else if (fresh) damping = Math.max(damping * 30, DAMPING.again);
    else takeAnew();
  }
  return { x, r, jacobian, evaluations, blocked };
}

/** The Jacobian by differences of `h`, each taken away from its bound; nothing in a direction that cannot be evaluated. */
function differences(f: Residuals, x: Vector, r: Vector, bounds: readonly Bound[], h: number): Matrix {
  const columns = x.map((v, j) => {
    const room = (bounds[j]?.max ?? Infinity) - v >= h ? h : -h;
    for (const by of [room, -room]) {
      const moved = f(
        x.map((w, k) => (k === j ? w + by : w)),
        j,
      );
      if (moved) return moved.map((m, i) => (m - (r[i] ?? 0)) / by);
    }
    return r.map(() => 0);
  });
  return r.map((_, i) => columns.map((c) => c[i] ?? 0));
}

interface Step {
  readonly to: Vector;
  /** What of the way is left once the bounds have been kept. */
  readonly went: Vector;
}

/** One damped Gauss-Newton step, kept within bounds. `no way`: every unknown is held at one; `singular`: damp more. */
function stepFrom(
  x: Vector,
  r: Vector,
  jacobian: Matrix,
  bounds: readonly Bound[],
  damping: number,
): Step | 'no way' | 'singular' {
  const gradient = x.map((_, j) => r.reduce((n, v, i) => n + v * (jacobian[i]?.[j] ?? 0), 0));
  // Unknowns at a bound whose gradient points beyond it are held fixed for this step.
  const free = x
    .map((_, j) => j)
    .filter((j) => {
      const b = bounds[j] ?? UNBOUNDED;
      const g = gradient[j] ?? 0;
      return !((x[j] ?? 0) <= b.min && g > 0) && !((x[j] ?? 0) >= b.max && g < 0);
    });
  if (free.length === 0) return 'no way';
  const normal = free.map((p) =>
    free.map((q) => jacobian.reduce((n, row) => n + (row[p] ?? 0) * (row[q] ?? 0), 0) + (p === q ? damping : 0)),
  );
  const move = solvePositive(
    normal,
    free.map((p) => -(gradient[p] ?? 0)),
  );
  if (!move) return 'singular';
  const to = x.map((v, j) => {
    const k = free.indexOf(j);
    return k < 0 ? v : clamp(v + (move[k] ?? 0), bounds[j] ?? UNBOUNDED);
  });
  return { to, went: to.map((v, j) => v - (x[j] ?? 0)) };
}

/** Broyden's rank-one update: the least change of the Jacobian that agrees with what the step did. */
function updated(jacobian: Matrix, before: Vector, after: Vector, went: Vector): Matrix {
  const length = squares(went);
  return jacobian.map((row, i) => {
    const off = ((after[i] ?? 0) - (before[i] ?? 0) - along(row, went)) / length;
    return row.map((v, j) => v + off * (went[j] ?? 0));
  });
}
