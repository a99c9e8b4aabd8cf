import {
  distance,
  fitCurve,
  joinPaths,
  pathFromSpans,
  polyline,
  signedArea,
  spansOf,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { ok, refuse, TOL, type Result, nth, cyclic } from '../../units/index.ts';
import type { Stroke } from './lines.ts';

/** A place read off a mat: a corner, or a place that a curve runs through. */
export interface TypedPoint extends Point {
  readonly curve: boolean;
}
export type TypedError = 'typed-too-few' | 'typed-same-place' | 'typed-no-area' | 'typed-no-corner';

/**
 * The closed outline through places read off a mat, in order: straight from corner to corner, and between corners a
 * smooth curve through the places given. Refuses fewer than three places, none of them a corner, or no area.
 */
export function outlineThrough(points: readonly TypedPoint[]): Result<Path, TypedError> {
  if (points.length < 3) return refuse('typed-too-few', { count: points.length });
  const n = points.length;
  const twice = points.findIndex((p, i) => distance(p, cyclic(points, i + 1)) < TOL.meets);
  if (twice >= 0) return refuse('typed-same-place', { row: twice + 1, next: ((twice + 1) % n) + 1 });
  const first = points.findIndex((p) => !p.curve);
  if (first < 0) return refuse('typed-no-corner');
  const ring = [...points.slice(first), ...points.slice(0, first)];
  const parts: Path[] = [];
  let run: Point[] = [nth(ring, 0)];
  for (const p of [...ring.slice(1), nth(ring, 0)]) {
    run.push({ x: p.x, y: p.y });
    if (p.curve) continue;
    parts.push(run.length === 2 ? polyline(run) : fitCurve(run));
    run = [{ x: p.x, y: p.y }];
  }
  const path = joinPaths(parts);
  const area = Math.abs(signedArea(spansOf(path)));
  return area < 1 ? refuse('typed-no-area') : ok(pathFromSpans(spansOf(path)));
}

/** An outline typed or traced by hand as a line of a drawing. */
export const strokeOf = (path: Path, kind: Stroke['kind'] = null): Stroke => ({
  path,
  closed: true,
  layer: '',
  style: 'own',
  page: 0,
  kind,
  block: '',
});
