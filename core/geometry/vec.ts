import { TOL } from '../units/index.ts';
/** A point or a vector in piece space: mm, x to the right, y down. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export const pt = (x: number, y: number): Point => ({ x, y });
export const add = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
export const sub = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
export const scale = (a: Point, k: number): Point => ({ x: a.x * k, y: a.y * k });
export const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;
/** Positive when b lies clockwise of a as seen (y down). */
export const cross = (a: Point, b: Point): number => a.x * b.y - a.y * b.x;
export const norm = (a: Point): number => Math.hypot(a.x, a.y);
export const distance = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);
export const lerp = (a: Point, b: Point, t: number): Point => ({
  x: a.x + (b.x - a.x) * t,
  y: a.y + (b.y - a.y) * t,
});
export const midpoint = (a: Point, b: Point): Point => lerp(a, b, 0.5);
/** Unit vector; the zero vector stays zero, so that degenerate handles do not become NaN. */
export const unit = (a: Point): Point => {
  const n = norm(a);
  return n === 0 ? a : { x: a.x / n, y: a.y / n };
};
/** Quarter turn anticlockwise as seen: to the left of travel, outward for a clockwise outline. */
export const left = (a: Point): Point => ({ x: a.y, y: -a.x });
export const angleOf = (a: Point): number => Math.atan2(a.y, a.x);
/** The turn from direction a to direction b, in (−π, π]. */
export const turnBetween = (a: Point, b: Point): number => Math.atan2(cross(a, b), dot(a, b));
export const isFinitePoint = (a: Point): boolean => Number.isFinite(a.x) && Number.isFinite(a.y);
/** Mirror image of p in the line through a and b. */
export const mirror = (p: Point, a: Point, b: Point): Point => {
  const d = unit(sub(b, a));
  const foot = add(a, scale(d, dot(sub(p, a), d)));
  return sub(scale(foot, 2), p);
};
/** Where line a + s·u meets line b + r·v, with both parameters; null when parallel. */
export function lineMeet(
  a: Point,
  u: Point,
  b: Point,
  v: Point,
): { readonly point: Point; readonly s: number; readonly r: number } | null {
  const d = cross(u, v);
  if (Math.abs(d) <= TOL.singular * (norm(u) * norm(v) || 1)) return null;
  const w = sub(b, a);
  const s = cross(w, v) / d;
  return { point: add(a, scale(u, s)), s, r: cross(w, u) / d };
}
