import { add, distance, lerp, scale, sub, unit, type Point } from './vec.ts';
import { TOL } from '../units/index.ts';

/** One piece of a path with its own start: a straight line or a cubic Bézier. Parameter t runs 0..1. */
export interface LineSpan {
  readonly kind: 'line';
  readonly a: Point;
  readonly b: Point;
}
export interface CubicSpan {
  readonly kind: 'cubic';
  readonly a: Point;
  readonly c1: Point;
  readonly c2: Point;
  readonly b: Point;
}
export type Span = LineSpan | CubicSpan;

export function pointOn(s: Span, t: number): Point {
  if (t === 0) return s.a;
  if (t === 1) return s.b;
  if (s.kind === 'line') return lerp(s.a, s.b, t);
  const u = 1 - t;
  const k0 = u * u * u;
  const k1 = 3 * u * u * t;
  const k2 = 3 * u * t * t;
  const k3 = t * t * t;
  return {
    x: k0 * s.a.x + k1 * s.c1.x + k2 * s.c2.x + k3 * s.b.x,
    y: k0 * s.a.y + k1 * s.c1.y + k2 * s.c2.y + k3 * s.b.y,
  };
}

/** First derivative with respect to t (not unit length; may vanish at a cusp). */
export function derivativeOn(s: Span, t: number): Point {
  if (s.kind === 'line') return sub(s.b, s.a);
  const u = 1 - t;
  const k0 = 3 * u * u;
  const k1 = 6 * u * t;
  const k2 = 3 * t * t;
  return {
    x: k0 * (s.c1.x - s.a.x) + k1 * (s.c2.x - s.c1.x) + k2 * (s.b.x - s.c2.x),
    y: k0 * (s.c1.y - s.a.y) + k1 * (s.c2.y - s.c1.y) + k2 * (s.b.y - s.c2.y),
  };
}

/** Unit tangent in the direction of travel; falls back to farther handles where the derivative vanishes. */
export function tangentOn(s: Span, t: number): Point {
  const d = derivativeOn(s, t);
  if (d.x * d.x + d.y * d.y > TOL.zero ** 2) return unit(d);
  if (s.kind === 'line') return unit(d);
  if (t < 0.5) return unit(sub(distance(s.a, s.c2) > TOL.zero ? s.c2 : s.b, s.a));
  return unit(sub(s.b, distance(s.b, s.c1) > TOL.zero ? s.c1 : s.a));
}

/** Signed curvature, 1/mm; positive bends clockwise as seen. Zero where undefined. */
export function curvatureOn(s: Span, t: number): number {
  if (s.kind === 'line') return 0;
  const d = derivativeOn(s, t);
  const speed = Math.hypot(d.x, d.y);
  if (speed < TOL.zero) return 0;
  const u = 1 - t;
  const e = add(scale(sub(add(s.c2, s.a), scale(s.c1, 2)), 6 * u), scale(sub(add(s.b, s.c1), scale(s.c2, 2)), 6 * t));
  return (d.x * e.y - d.y * e.x) / (speed * speed * speed);
}

/** De Casteljau split; the halves share the point at t exactly. */
export function splitSpan(s: Span, t: number): readonly [Span, Span] {
  if (s.kind === 'line') {
    const m = lerp(s.a, s.b, t);
    return [
      { kind: 'line', a: s.a, b: m },
      { kind: 'line', a: m, b: s.b },
    ];
  }
  const ab = lerp(s.a, s.c1, t);
  const bc = lerp(s.c1, s.c2, t);
  const cd = lerp(s.c2, s.b, t);
  const abc = lerp(ab, bc, t);
  const bcd = lerp(bc, cd, t);
  const m = lerp(abc, bcd, t);
  return [
    { kind: 'cubic', a: s.a, c1: ab, c2: abc, b: m },
    { kind: 'cubic', a: m, c1: bcd, c2: cd, b: s.b },
  ];
}

export const reverseSpan = (s: Span): Span =>
  s.kind === 'line' ? { kind: 'line', a: s.b, b: s.a } : { kind: 'cubic', a: s.b, c1: s.c2, c2: s.c1, b: s.a };

export const mapSpan = (s: Span, f: (p: Point) => Point): Span =>
  s.kind === 'line'
    ? { kind: 'line', a: f(s.a), b: f(s.b) }
    : { kind: 'cubic', a: f(s.a), c1: f(s.c1), c2: f(s.c2), b: f(s.b) };

export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** Box of the control points: contains the span, cheap, not tight. */
export function hullBox(s: Span): Box {
  if (s.kind === 'line')
    return {
      minX: Math.min(s.a.x, s.b.x),
      minY: Math.min(s.a.y, s.b.y),
      maxX: Math.max(s.a.x, s.b.x),
      maxY: Math.max(s.a.y, s.b.y),
    };
  return {
    minX: Math.min(s.a.x, s.c1.x, s.c2.x, s.b.x),
    minY: Math.min(s.a.y, s.c1.y, s.c2.y, s.b.y),
    maxX: Math.max(s.a.x, s.c1.x, s.c2.x, s.b.x),
    maxY: Math.max(s.a.y, s.c1.y, s.c2.y, s.b.y),
  };
}

export const boxesMeet = (p: Box, q: Box, slack = 0): boolean =>
  p.minX <= q.maxX + slack && q.minX <= p.maxX + slack && p.minY <= q.maxY + slack && q.minY <= p.maxY + slack;
