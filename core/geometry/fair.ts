import { TOL } from '../units/tolerance.ts';
import { solveBetween } from '../numeric/roots.ts';
import {
  endOf,
  endTangent,
  joinPaths,
  pathFromSpans,
  pathLength,
  splitAtLength,
  startTangent,
  subPath,
  type Path,
} from './path.ts';
import type { CubicSpan } from './span.ts';
import { add, distance, left, scale, sub, turnBetween, unit, type Point } from './vec.ts';

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
 * tangents match what they join and whose tangent in the middle is the mean of the two at the kink. The middle
 * is pushed across the curve until the length is what it was, which stays within a tenth of the reach; where no
 * such push exists the one nearest to it is taken, and the caller sees the length change. The ends never move.
 */
export function fairAt(path: Path, at: number, reach: number): Path {
  const total = pathLength(path);
  const r = Math.min(reach, at * 0.9, (total - at) * 0.9);
  if (r < 0.5 || Math.abs(kinkAt(path, at)) < TOL.kinkless) return path;
  const head = splitAtLength(path, at - r)[0];
  const tail = splitAtLength(path, at + r)[1];
  const before = subPath(path, at - r, at);
  const after = subPath(path, at, at + r);
  const corner = endOf(before);
  const along = unit(add(endTangent(before), startTangent(after)));
  const across = left(along);
  const curve = (push: number): Path => {
    const m = add(corner, scale(across, push));
    return pathFromSpans([
      blend(before.start, startTangent(before), m, along),
      blend(m, along, endOf(after), endTangent(after)),
    ]);
  };
  const excess = (push: number): number => pathLength(curve(push)) - 2 * r;
  const most = r / 10;
  // The length grows towards one side and shrinks towards the other; look for the change of sign nearest to none.
  const start = excess(0);
  let nearest = { push: 0, over: start };
  let push: number | null = null;
  for (const k of [0.05, -0.05, 0.2, -0.2, 0.5, -0.5, 1, -1]) {
    const over = excess(k * most);
    if (Math.abs(over) < Math.abs(nearest.over)) nearest = { push: k * most, over };
    if (over > 0 === start > 0) continue;
    push = solveBetween(excess, 0, k * most, TOL.length);
    break;
  }
  push ??= nearest.push;
  return joinPaths([head, curve(push), tail].filter((p) => p.segments.length > 0));
}
