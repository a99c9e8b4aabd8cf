import {
  add,
  cross,
  distance,
  dot,
  endOf,
  endTangent,
  joinPaths,
  mapPath,
  pathFromSpans,
  pathLength,
  reversePath,
  rotate,
  scale,
  spansOf,
  splitAtLength,
  startTangent,
  sub,
  unit,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { TOL } from '../../units/index.ts';

/**
 * Draws a path again so that its end lies at `to`, from nothing at the distance `reach` (arc length) before the
 * end. What is drawn again is an affine image of what was there: a curve keeps its character, its tangent where it
 * begins to change is kept exactly, and a straight line drawn again whole stays straight. `turn` turns the
 * tangent at the end (radians), so that a corner can keep its angle when the other edge of it turns.
 */
export function moveEnd(path: Path, to: Point, reach: number, turn = 0): Path {
  if (turn === 0 && distance(to, endOf(path)) < TOL.same) return path;
  const size = pathLength(path);
  const whole = reach >= size - TOL.join;
  const [head, tail] = whole ? [null, path] : splitAtLength(path, size - reach);
  const drawn = turnedAtEnd(drawnTo(tail, to, whole), turn);
  return head ? joinPaths([head, drawn]) : drawn;
}

/** The same at the beginning of the path. */
export const moveStart = (path: Path, to: Point, reach: number, turn = 0): Path =>
  reversePath(moveEnd(reversePath(path), to, reach, turn));

function drawnTo(path: Path, to: Point, whole: boolean): Path {
  const by = sub(to, endOf(path));
  if (distance(to, endOf(path)) < TOL.same) return path;
  const chord = sub(endOf(path), path.start);
  const along = startTangent(path);
  const straight =
    path.segments.every((s) => s.kind === 'line') && pathLength(path) - distance(path.start, endOf(path)) < TOL.legs;
  if (straight && whole)
    return mapPath(path, (p) => add(p, scale(by, dot(sub(p, path.start), chord) / dot(chord, chord))));
  // Across the tangent at the beginning: nothing there, all of it at the end, and no turn where it begins.
  const depth = cross(along, chord);
  if (Math.abs(depth) > 0.12 * distance(path.start, endOf(path)))
    return mapPath(path, (p) => add(p, scale(by, cross(along, sub(p, path.start)) / depth)));
  const third = distance(path.start, to) / 3;
  const arrive = unit(sub(to, add(path.start, scale(along, third))));
  return pathFromSpans([
    {
      kind: 'cubic',
      a: path.start,
      c1: add(path.start, scale(along, third)),
      c2: sub(to, scale(arrive, third)),
      b: to,
    },
  ]);
}

function turnedAtEnd(path: Path, turn: number): Path {
  if (turn === 0) return path;
  const spans = spansOf(path);
  const last = spans.at(-1);
  if (last?.kind !== 'cubic') return path;
  const c2 = sub(last.b, scale(rotate(endTangent(path), turn), distance(last.c2, last.b)));
  return pathFromSpans([...spans.slice(0, -1), { ...last, c2 }]);
}
