import {
  distance,
  endOf,
  fitCurve,
  flatten,
  joinPaths,
  nearestLength,
  nearestOnPath,
  pathLength,
  pointAt,
  polyline,
  splitAtLength,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import type { Edge, Piece } from '../../pattern/index.ts';
import { nth, ok, PRACTICE, refuse, TOL, type Result } from '../../units/index.ts';

/**
 * A seam line drawn anew on taped paper, from one place of an edge to another: nearly straight it was drawn by the ruler, else
 * it is the smooth curve a hand meant. What lay between is cut away or filled in. Refused where an end lies beside the
 * edge, or the two ends on different edges.
 */
export function trueAlong(piece: Piece, drawn: readonly Point[]): Result<Piece> {
  const [first, last] = [drawn[0], drawn.at(-1)];
  const run = first && last && runFor(piece, first, last);
  if (!run) return refuse('practice-true-ends');
  const line = joinPaths(run.map((e) => e.path));
  const [a, b] = [nearestLength(line, first), nearestLength(line, last)];
  if (Math.abs(b - a) < PRACTICE.reach) return refuse('practice-true-ends');
  const [from, to] = [Math.min(a, b), Math.max(a, b)];
  const [before, rest] = splitAtLength(line, from);
  const [was, after] = splitAtLength(rest, to - from);
  const inner = (a < b ? drawn : [...drawn].reverse()).slice(1, -1);
  const course = courseOf([was.start, ...inner, endOf(was)]);
  const whole = joinPaths([before, course, after].filter((p) => pathLength(p) > TOL.join));
  return ok({ ...piece, edges: withRun(piece.edges, run, whole) });
}

/** The curve a hand meant: along the ruler where it hardly strays from it. */
const courseOf = (points: readonly Point[]): Path =>
  strays(points) < PRACTICE.ruler ? polyline(ends(points)) : fitCurve(points, PRACTICE.freehand);

/** The line a hand meant to cut along, from bend to bend. */
export const lineMeant = (points: readonly Point[]): readonly Point[] => flatten(courseOf(points), PRACTICE.held);

const ends = (points: readonly Point[]): readonly Point[] => [nth(points, 0), nth(points, points.length - 1)];
/** How far a course leaves the straight way between its ends, mm. */
function strays(points: readonly Point[]): number {
  const ruler = polyline(ends(points));
  return Math.max(...points.map((p) => nearestOnPath(ruler, p).distance));
}

/** The edges of one kind, one after the other, that both places lie on. */
function runFor(piece: Piece, first: Point, last: Point): readonly Edge[] | null {
  const off = (e: Edge, p: Point): number => nearestOnPath(e.path, p).distance;
  const runs = runsOf(piece.edges);
  const near = runs
    .map((run) => [first, last].map((p) => Math.min(...run.map((e) => off(e, p)))))
    .map((offs, i) => ({ i, off: Math.max(...offs) }))
    .filter((r) => r.off < PRACTICE.reach)
    .sort((r, s) => r.off - s.off)[0];
  return near ? nth(runs, near.i) : null;
}

/** Neighbouring edges of one role. A run goes on over where the list begins. */
function runsOf(edges: readonly Edge[]): readonly (readonly Edge[])[] {
  const turn = Math.max(
    0,
    edges.findIndex((e, i) => edges.at(i - 1)?.role !== e.role),
  );
  const runs: Edge[][] = [];
  for (const e of [...edges.slice(turn), ...edges.slice(0, turn)]) {
    const run = runs.at(-1);
    if (run?.[0]?.role === e.role) run.push(e);
    else runs.push([e]);
  }
  return runs;
}

/** A run drawn anew, parted where its edges met nearest before. */
function withRun(edges: readonly Edge[], run: readonly Edge[], drawn: Path): readonly Edge[] {
  const paths = new Map<string, Path>();
  let left = drawn;
  run.forEach((e, i) => {
    const next = run[i + 1];
    const [part, rest] = next ? splitAtLength(left, joint(left, next.path.start)) : [left, left];
    paths.set(e.id, part);
    left = rest;
  });
  return edges.map((e) => ({ ...e, path: paths.get(e.id) ?? e.path }));
}
/** Where on a line a joint comes to lie; never at its very end. */
const joint = (line: Path, p: Point): number =>
  Math.min(pathLength(line) - TOL.join, Math.max(TOL.join, nearestLength(line, p)));

/** The most that two seam lines stray from each other, mm, and where on the first. */
export function straysFrom(mine: readonly Edge[], right: readonly Edge[]): { readonly by: number; readonly at: Point } {
  const along = (edges: readonly Edge[]): readonly Point[] =>
    edges.flatMap((e) => {
      const steps = Math.max(2, Math.ceil(pathLength(e.path) / PRACTICE.look));
      return Array.from({ length: steps + 1 }, (_, i) => pointAt(e.path, (pathLength(e.path) * i) / steps));
    });
  const farthest = (points: readonly Point[], from: readonly Edge[]) =>
    points
      .map((at) => ({ at, by: Math.min(...from.map((e) => nearestOnPath(e.path, at).distance)) }))
      .reduce((best, x) => (x.by > best.by ? x : best));
  const [there, back] = [farthest(along(mine), right), farthest(along(right), mine)];
  if (there.by >= back.by) return there;
  const places = mine.map((e) => nearestOnPath(e.path, back.at).point);
  return { by: back.by, at: places.reduce((b, p) => (distance(p, back.at) < distance(b, back.at) ? p : b)) };
}
