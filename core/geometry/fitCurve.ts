import { TOL } from '../units/tolerance.ts';
import { pathFromSpans, polyline, type Path } from './path.ts';
import { pointOn, derivativeOn, type CubicSpan, type Span } from './span.ts';
import { add, distance, dot, scale, sub, unit, type Point } from './vec.ts';
import { last, nth } from '../units/index.ts';

/**
 * Direction in which a smooth curve through three points leaves the first: the tangent of the circle through them.
 */
function leaving(a: Point, b: Point, c: Point): Point {
  const u = sub(b, a);
  const w = sub(c, a);
  const lu = dot(u, u);
  const lw = dot(w, w);
  if (lu === 0) return unit(w);
  // The parabola through the three with chord-length parameters agrees with the circle to second order.
  const [tu, tw] = [Math.sqrt(lu), Math.sqrt(lu) + distance(b, c)];
  if (lw === 0 || tw === tu) return unit(u);
  return unit({
    x: (u.x * tw * tw - w.x * tu * tu) / (tu * tw * (tw - tu)),
    y: (u.y * tw * tw - w.y * tu * tu) / (tu * tw * (tw - tu)),
  });
}

function parametersOf(points: readonly Point[]): number[] {
  const at = [0];
  for (let i = 1; i < points.length; i++) at.push(nth(at, i - 1) + distance(nth(points, i - 1), nth(points, i)));
  const total = at.at(-1) || 1;
  return at.map((t) => t / total);
}

/** Least squares for the two handle lengths, ends and tangents given. */
function handles(points: readonly Point[], at: readonly number[], u: Point, v: Point): CubicSpan {
  const a = nth(points, 0);
  const b = last(points);
  let [c00, c01, c11, x0, x1] = [0, 0, 0, 0, 0];
  points.forEach((p, i) => {
    const t = nth(at, i);
    const s = 1 - t;
    const [b0, b1, b2, b3] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
    const [e, f] = [scale(u, b1), scale(v, b2)];
    const rest = sub(p, add(scale(a, b0 + b1), scale(b, b2 + b3)));
    c00 += dot(e, e);
    c01 += dot(e, f);
    c11 += dot(f, f);
    x0 += dot(e, rest);
    x1 += dot(f, rest);
  });
  const d = c00 * c11 - c01 * c01;
  const chord = distance(a, b);
  let h = d === 0 ? 0 : (x0 * c11 - x1 * c01) / d;
  let k = d === 0 ? 0 : (c00 * x1 - c01 * x0) / d;
  if (!(h > chord * TOL.handle) || !(k > chord * TOL.handle) || h > chord * 3 || k > chord * 3) h = k = chord / 3;
  return { kind: 'cubic', a, c1: add(a, scale(u, h)), c2: add(b, scale(v, k)), b };
}

/** One Newton step towards the parameter of the nearest point. */
function nearer(s: CubicSpan, p: Point, t: number): number {
  const d = sub(pointOn(s, t), p);
  const d1 = derivativeOn(s, t);
  const d2 = {
    x: 6 * (1 - t) * (s.c2.x - 2 * s.c1.x + s.a.x) + 6 * t * (s.b.x - 2 * s.c2.x + s.c1.x),
    y: 6 * (1 - t) * (s.c2.y - 2 * s.c1.y + s.a.y) + 6 * t * (s.b.y - 2 * s.c2.y + s.c1.y),
  };
  const slope = dot(d1, d1) + dot(d, d2);
  return slope === 0 ? t : Math.min(1, Math.max(0, t - dot(d, d1) / slope));
}

const worstOf = (s: CubicSpan, points: readonly Point[], at: readonly number[]): { far: number; index: number } => {
  let far = 0;
  let index = Math.floor(points.length / 2);
  points.forEach((p, i) => {
    const d = distance(pointOn(s, nth(at, i)), p);
    if (d > far) [far, index] = [d, i];
  });
  return { far, index };
};

/** A bend of more than this at a point is taken as intended: a degree and a half. */
const SMOOTH_ON = Math.cos((1.5 * Math.PI) / 180);
/** Directions that differ by less than a hundredth of a degree are one. */
const STRAIGHT_ON = Math.cos(1.7e-4);

function fit(points: readonly Point[], u: Point, v: Point, within: number, bending: boolean, out: Span[]): void {
  const a = nth(points, 0);
  const b = last(points);
  if (points.length === 2) {
    const chord = unit(sub(b, a));
    const h = distance(a, b) / 3;
    // Only two points of a longer curve: use its end directions.
    const straight = dot(chord, u) > STRAIGHT_ON && dot(chord, v) < -STRAIGHT_ON;
    out.push(
      straight ? { kind: 'line', a, b } : { kind: 'cubic', a, c1: add(a, scale(u, h)), c2: add(b, scale(v, h)), b },
    );
    return;
  }
  const at = parametersOf(points);
  let span = handles(points, at, u, v);
  let worst = worstOf(span, points, at);
  for (let i = 0; i < 12 && worst.far > within; i++) {
    points.forEach((p, j) => (at[j] = nearer(span, p, nth(at, j))));
    span = handles(points, at, u, v);
    worst = worstOf(span, points, at);
  }
  if (worst.far <= within) {
    out.push(span);
    return;
  }
  const k = Math.min(points.length - 2, Math.max(1, worst.index));
  const before = nth(points, Math.max(0, k - 2));
  const after = nth(points, Math.min(points.length - 1, k + 2));
  const back = leaving(nth(points, k), nth(points, k - 1), before);
  const on = leaving(nth(points, k), nth(points, k + 1), after);
  // Where the points themselves bend, the curve bends with them; elsewhere it runs on smoothly.
  const bends = bending && dot(back, on) > -SMOOTH_ON;
  const mean = unit(sub(on, back));
  fit(points.slice(0, k + 1), u, bends ? back : scale(mean, -1), within, bending, out);
  fit(points.slice(k), bends ? on : mean, v, within, bending, out);
}

/**
 * Cubics, smooth where they join (with `bending`, unless the points themselves bend there), that pass within `within` mm of every point of an open run of points without a
 * corner (least squares for the handles, points assigned anew until they agree, halved where they do not). Two
 * points give a line. The ends are kept exactly. Source: the usual piecewise least-squares fit.
 */
export function fitCurve(points: readonly Point[], within: number = TOL.fit, bending = false): Path {
  const run = points.filter((p, i) => i === 0 || distance(p, nth(points, i - 1)) > TOL.same);
  const n = run.length;
  if (n < 3) return polyline(run);
  const u = leaving(nth(run, 0), nth(run, 1), nth(run, 2));
  const v = leaving(nth(run, n - 1), nth(run, n - 2), nth(run, n - 3));
  const out: Span[] = [];
  fit(run, u, v, within, bending, out);
  return pathFromSpans(out);
}
