import { TOL } from '../units/tolerance.ts';
import { derivativeOn, type CubicSpan, type Span } from './span.ts';
import { distance } from './vec.ts';

/** Gauss–Legendre nodes and weights on [0, 1], eight points: exact to degree 15. */
const NODES = [
  0.019855071751231884, 0.10166676129318664, 0.2372337950418355, 0.4082826787521751, 0.5917173212478249,
  0.7627662049581645, 0.8983332387068134, 0.9801449282487681,
] as const;
const WEIGHTS = [
  0.05061426814518813, 0.11119051722668724, 0.15685332293894363, 0.181341891689181, 0.181341891689181,
  0.15685332293894363, 0.11119051722668724, 0.05061426814518813,
] as const;

function gauss(s: CubicSpan, t0: number, t1: number): number {
  const w = t1 - t0;
  let sum = 0;
  for (let i = 0; i < 8; i++) {
    const d = derivativeOn(s, t0 + w * (NODES[i] ?? 0));
    sum += (WEIGHTS[i] ?? 0) * Math.sqrt(d.x * d.x + d.y * d.y);
  }
  return sum * w;
}

/** Halves the interval until both halves agree with the whole. Depth 24 only bites at a cusp, where the rest is < 1e-4 mm. */
function adaptive(s: CubicSpan, t0: number, t1: number, whole: number, depth: number): number {
  const m = (t0 + t1) / 2;
  const a = gauss(s, t0, m);
  const b = gauss(s, m, t1);
  if (depth === 0 || Math.abs(a + b - whole) < TOL.length) return a + b;
  return adaptive(s, t0, m, a, depth - 1) + adaptive(s, m, t1, b, depth - 1);
}

/** Arc length of a span from t = 0 to `t`, mm; within 0.001 on sane cubics, 0.05 at cusps (tested). */
export function spanLength(s: Span, t = 1): number {
  if (s.kind === 'line') return distance(s.a, s.b) * t;
  return adaptive(s, 0, t, gauss(s, 0, t), 24);
}

/** The parameter at arc length `at` from the start; clamped to 0..1. Newton guarded by bisection. */
export function parameterAt(s: Span, at: number): number {
  if (at <= 0) return 0;
  const total = spanLength(s);
  if (at >= total) return 1;
  if (s.kind === 'line') return at / total;
  let lo = 0;
  let hi = 1;
  let t = at / total;
  for (let i = 0; i < 60; i++) {
    const error = spanLength(s, t) - at;
    if (Math.abs(error) < TOL.length) return t;
    if (error > 0) hi = t;
    else lo = t;
    const d = derivativeOn(s, t);
    const step = t - error / Math.hypot(d.x, d.y);
    t = step > lo && step < hi ? step : (lo + hi) / 2;
  }
  return t;
}
