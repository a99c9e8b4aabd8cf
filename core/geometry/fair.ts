import { bisect } from './roots.ts';
import { endOf, endTangent, joinPaths, pathFromSpans, pathLength, splitAtLength, startTangent, subPath, type Path } from './path.ts';
import type { CubicSpan } from './span.ts';
import { add, distance, left, midpoint, scale, sub, turnBetween, unit, type Point } from './vec.ts';

/** A cubic from a to b leaving along `u` and arriving along `v` (unit vectors), handles a third of the chord. */
export const blend = (a: Point, u: Point, b: Point, v: Point, handle = 1 / 3): CubicSpan => {
  const h = distance(a, b) * handle;
  return { kind: 'cubic', a, c1: add(a, scale(u, h)), c2: sub(b, scale(v, h)), b };
};

/** The turn of a path at an arc length where two spans meet, radians; 0 where it is smooth. */
export function kinkAt(path: Path, at: number): number {
  const [before, after] = splitAtLength(path, at);
  if (before.segments.length === 0 || after.segments.length === 0) return 0;
  return turnBetween(endTangent(before), startTangent(after));
}

/**
 * Smooths the kink at arc length `at`: the part within `reach` on both sides becomes two cubics whose end
 * tangents match what they join, and whose middle is pushed to the outside of the kink until the length is
 * what it was. Where that is impossible the middle stays on the chord side; the caller sees the length change.
 * Ends of the path are never moved.
 */
export function fairAt(path: Path, at: number, reach: number): Path {
  const total = pathLength(path);
  const r = Math.min(reach, at * 0.9, (total - at) * 0.9);
  if (r < 0.5 || Math.abs(kinkAt(path, at)) < 1e-6) return path;
  const from = at - r;
  const to = at + r;
  const [head, rest] = splitAtLength(path, from);
  const [middle] = splitAtLength(rest, to - from);
  const tail = splitAtLength(path, to)[1];
  const a = middle.start;
  const b = endOf(middle);
  const u = startTangent(middle);
  const v = endTangent(middle);
  const corner = endOf(subPath(path, from, at));
  const wanted = pathLength(middle);
  const along = unit(sub(b, a));
  const out = unit(sub(corner, midpoint(a, b)));
  const side = out.x === 0 && out.y === 0 ? left(along) : out;
  const curve = (push: number): Path => {
    const m = add(midpoint(a, b), scale(side, push));
    return pathFromSpans([blend(a, u, m, along), blend(m, along, b, v)]);
  };
  const excess = (push: number): number => pathLength(curve(push)) - wanted;
  const most = distance(corner, midpoint(a, b)) * 1.5 + 0.5;
  const push = excess(0) >= 0 || excess(most) <= 0 ? most / 3 : bisect(excess, 0, most, 1e-7);
  return joinPaths([head, curve(push), tail].filter((p) => p.segments.length > 0));
}
