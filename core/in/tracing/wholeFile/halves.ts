import {
  boundsOf,
  endOf,
  flatten,
  intersectPaths,
  joinPaths,
  lengthTo,
  nearestOnPath,
  pathLength,
  pointAt,
  polyline,
  splitAtLength,
  subPath,
  type Path,
  type Point,
} from '../../../geometry/index.ts';
import { TOL, nth } from '../../../units/index.ts';
import type { Ring } from '../chain.ts';

/** A piece drawn whole that is its own mirror image, as the half one would cut on the fold, and a point of that fold. */
export interface Halved {
  readonly ring: Ring;
  readonly fold: Point;
}

/** How far past the box an axis is drawn, mm. */
const PAST = 10;

/**
 * The right half (for a front) or the left one (for a back) of an outline that is the same on both sides of an upright
 * or a level line through its middle; null where it is not. Source: a whole piece is its half cut on the fold.
 */
export function halved(ring: Ring, back: boolean): Halved | null {
  const points = flatten(ring.path, 0.2);
  const box = boundsOf(points);
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const axes: readonly {
    readonly mirror: (p: Point) => Point;
    readonly line: Path;
    readonly side: (p: Point) => number;
  }[] = [
    {
      mirror: (p) => ({ x: 2 * x - p.x, y: p.y }),
      line: polyline([
        { x, y: box.minY - PAST },
        { x, y: box.maxY + PAST },
      ]),
      side: (p) => p.x - x,
    },
    {
      mirror: (p) => ({ x: p.x, y: 2 * y - p.y }),
      line: polyline([
        { x: box.minX - PAST, y },
        { x: box.maxX + PAST, y },
      ]),
      side: (p) => p.y - y,
    },
  ];
  const axis = axes.find((a) => points.every((p) => nearestOnPath(ring.path, a.mirror(p)).distance <= TOL.mirrored));
  if (!axis) return null;
  const at = intersectPaths(axis.line, ring.path).map((h) => lengthTo(ring.path, nearestOnPath(ring.path, h.point)));
  const [a, b] = [...at].sort((p, q) => p - q).filter((s, i, all) => i === 0 || s - nth(all, i - 1) > TOL.meets);
  if (a === undefined || b === undefined) return null;
  const parts = [subPath(ring.path, a, b), joinPaths([splitAtLength(ring.path, b)[1], splitAtLength(ring.path, a)[0]])];
  const wanted = back ? -1 : 1;
  const half = parts.find((p) => axis.side(pointAt(p, pathLength(p) / 2)) * wanted > 0);
  if (!half || half.segments.length === 0) return null;
  const fold = polyline([endOf(half), half.start]);
  return {
    ring: { ...ring, path: joinPaths([half, fold]) },
    fold: pointAt(fold, pathLength(fold) / 2),
  };
}
