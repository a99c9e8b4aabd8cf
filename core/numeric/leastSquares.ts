import { DAMPING, TOL } from '../units/index.ts';
import { solvePositive } from './linear.ts';

/** A quantity to find, and how far it may go. */
export interface Bound {
  readonly min: number;
  readonly max: number;
}

export interface LeastSquares {
  readonly x: readonly number[];
  /** What is left of each equation there. */
  readonly r: readonly number[];
  /** How each equation answers to each quantity there. */
  readonly jacobian: readonly (readonly number[])[];
  readonly evaluations: number;
  /** The last steps tried led where nothing can be computed: it would go on, and cannot. */
  readonly blocked: boolean;
}

interface Options {
  readonly bounds: readonly Bound[];
  /** Step for the differences the slopes are taken from. */
  readonly h: number;
  /** Done when every equation is met this nearly, or nothing moves further than this. */
  readonly close: number;
  readonly still: number;
  readonly rounds: number;
  /** Slopes near enough to begin with, where they are cheaper than differences; they are kept up and mended. */
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
    // What stands at its limit and wants beyond it is left out of this step.
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
    // Where not everything can be had, the best is reached when the slopes promise next to nothing more.
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
