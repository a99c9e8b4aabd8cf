import {
  add,
  blend,
  joinPaths,
  left,
  pathFromSpans,
  pathLength,
  pointAt,
  scale,
  splitAtLength,
  sub,
  tangentAt,
  unit,
  type CubicSpan,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { nth } from '../../units/index.ts';

/** A seam drawn again runs through places this far apart at most, mm. */
const STEP = 20;
/** Directions are read off between two places so far on either side, mm. */
const NEAR = 0.05;

/** By how much a seam moves, square to itself, at an arc length: mm, to the left of its direction above nothing. */
export type Bulge = (at: number) => number;

/**
 * A seam moved square to itself by `by`, from `from` to `to` along it, mm; what lies before and after stays as it is
 * where `by` comes to nothing there. One smooth line through places along it, with the directions it has there.
 */
export function bulged(path: Path, by: Bulge, from: number, to: number): Path {
  const size = pathLength(path);
  const place = (at: number): Point => {
    const on = Math.min(size, Math.max(0, at));
    return add(pointAt(path, on), scale(left(tangentAt(path, on)), by(on)));
  };
  const heading = (at: number): Point => unit(sub(place(Math.min(to, at + NEAR)), place(Math.max(from, at - NEAR))));
  const count = Math.max(1, Math.ceil((to - from) / STEP));
  const stops = Array.from({ length: count + 1 }, (_, i) => from + ((to - from) * i) / count);
  const spans = stops.slice(1).map((at, i): CubicSpan => {
    const before = nth(stops, i);
    return blend(place(before), heading(before), place(at), heading(at));
  });
  const head = from > NEAR ? splitAtLength(path, from)[0] : null;
  const tail = to < size - NEAR ? splitAtLength(path, to)[1] : null;
  const parts = [head, pathFromSpans(spans), tail].filter((p): p is Path => p !== null && p.segments.length > 0);
  return joinPaths(parts);
}

/** From nothing to 1 and back, level at the foot and at the top: so a seam leaves its old line and comes back to it without a bend. */
export const swell = (share: number): number => (1 - Math.cos(Math.PI * Math.min(1, Math.max(0, share)))) / 2;
