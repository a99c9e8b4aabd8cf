import { DAMPING, TOL } from '../units/index.ts';
import { solvePositive } from './linear.ts';

/** The bounds of one unknown. */
export interface Bound {
  readonly min: number;
  readonly max: number;
}

export interface LeastSquares {
  readonly x: readonly number[];
  /** The residual of each equation at `x`. */
  readonly r: readonly number[];
  /** The Jacobian at `x`: rows are equations, columns are unknowns. */
  readonly jacobian: readonly (readonly number[])[];
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
  readonly about?: () => readonly (readonly number[])[] | null;
}

const cost = (r: readonly number[] | null): number => (r ? r.reduce((n, v) => n + v * v, 0) : Infinity);
const clamp = (v: number, { min, max }: Bound): number => Math.min(max, Math.max(min, v));

/**
 * Least squares by damped Gauss-Newton steps within bounds (Levenberg and Marquardt's damping). Slopes are taken by
 * differences once and then kept up by rank-one updates (Broyden); they are taken anew only when a step fails, since
 * each costs one evaluation a quantity. `f` returns null where it cannot be evaluated; that place is not gone to.
 * Returns null when `f` fails at the start.
 */
export function leastSquares(
  f: (x: readonly number[], changed: number | null) => readonly number[] | null,
  start: readonly number[],
  { bounds, h, close, still, rounds, about }: Options,
): LeastSquares | null {
  let evaluations = 0;
  const ask = (x: readonly number[], changed: number | null): readonly number[] | null => {
    evaluations++;
    return f(x, changed);
  };
  let x = start.map((v, i) => clamp(v, bounds[i] ?? { min: -Infinity, max: Infinity }));
  const first = ask(x, null);
  if (!first) return null;
  let r: readonly number[] = first;
  const slopes = (): readonly (readonly number[])[] => {
    const columns = x.map((v, j) => {
      const room = (bounds[j]?.max ?? Infinity) - v >= h ? h : -h;
      for (const by of [room, -room]) {
        const moved = ask(
          x.map((w, k) => (k === j ? w + by : w)),
          j,
        );
        if (moved) return moved.map((m, i) => (m - (r[i] ?? 0)) / by);
      }
      return r.map(() => 0);
    });
    return r.map((_, i) => columns.map((c) => c[i] ?? 0));
  };
  const near = about?.() ?? null;
  let jacobian: readonly (readonly number[])[] = near ?? slopes();
  let fresh = near === null;
  let damping: number = DAMPING.first;
  let blocked = false;
  for (let round = 0; round < rounds && Math.max(0, ...r.map(Math.abs)) > close; round++) {
    const gradient = x.map((_, j) => r.reduce((n, v, i) => n + v * (jacobian[i]?.[j] ?? 0), 0));
    // Unknowns at a bound whose gradient points beyond it are held fixed for this step.
    const free = x
      .map((_, j) => j)
      .filter((j) => {
        const b = bounds[j] ?? { min: -Infinity, max: Infinity };
        const g = gradient[j] ?? 0;
        return !((x[j] ?? 0) <= b.min && g > 0) && !((x[j] ?? 0) >= b.max && g < 0);
      });
    if (free.length === 0) break;
    const normal = free.map((p) =>
      free.map((q) => jacobian.reduce((n, row) => n + (row[p] ?? 0) * (row[q] ?? 0), 0) + (p === q ? damping : 0)),
    );
    const move = solvePositive(
      normal,
      free.map((p) => -(gradient[p] ?? 0)),
    );
    if (!move) {
      damping *= 10;
      continue;
    }
    const next = x.map((v, j) => {
      const k = free.indexOf(j);
      return k < 0 ? v : clamp(v + (move[k] ?? 0), bounds[j] ?? { min: -Infinity, max: Infinity });
    });
    const went = next.map((v, j) => v - (x[j] ?? 0));
    const length = went.reduce((n, v) => n + v * v, 0);
    // With no exact solution, stop once the model predicts almost no further improvement.
    const promised = cost(r) - cost(r.map((v, i) => v + went.reduce((n, w, j) => n + (jacobian[i]?.[j] ?? 0) * w, 0)));
    if (promised < TOL.worth * cost(r)) break;
    if (Math.sqrt(length) < still) {
      if (fresh) break;
      jacobian = slopes();
      fresh = true;
      continue;
    }
    const there = ask(next, null);
    blocked = there === null || (blocked && cost(there) >= cost(r));
    if (there && cost(there) < cost(r)) {
      const before = r;
      jacobian = jacobian.map((row, i) => {
        const told = row.reduce((n, v, j) => n + v * (went[j] ?? 0), 0);
        const off = ((there[i] ?? 0) - (before[i] ?? 0) - told) / length;
        return row.map((v, j) => v + off * (went[j] ?? 0));
      });
      x = next;
      r = there;
      fresh = false;
      damping = Math.max(DAMPING.least, damping / 10);
    } else if (fresh) damping = Math.max(damping * 30, DAMPING.again);
    else {
      jacobian = slopes();
      fresh = true;
    }
  }
  return { x, r, jacobian, evaluations, blocked };
}
