import { TOL } from '../units/tolerance.ts';
import { intersectPaths, intersectSpans } from './intersect.ts';
import {
  endOf,
  endTangent,
  joinPaths,
  pathFromSpans,
  polyline,
  spansOf,
  splitPath,
  startTangent,
  type Path,
} from './path.ts';
import { spanLength } from './length.ts';
import {
  boxesMeet,
  curvatureOn,
  derivativeOn,
  hullBox,
  pointOn,
  splitSpan,
  tangentOn,
  type CubicSpan,
  type Span,
} from './span.ts';
import { add, cross, distance, left, lineMeet, norm, scale, sub, type Point } from './vec.ts';

/** A mitre longer than this many allowances is cut off square: a spike is no use on a table. */
const MITRE_LIMIT = 4;

const offsetPoint = (s: Span, t: number, d: number): Point => add(pointOn(s, t), scale(left(tangentOn(s, t)), d));

/**
 * One cubic for the offset of one cubic: ends offset along the normal, end tangents kept, handles scaled by
 * 1 + κd, the ratio by which the offset stretches an arc of curvature κ.
 */
function offsetCubic(s: CubicSpan, d: number): CubicSpan {
  const stretch = (t: number): number => Math.max(0, 1 + curvatureOn(s, t) * d);
  const u = scale(derivativeOn(s, 0), stretch(0) / 3);
  const v = scale(derivativeOn(s, 1), stretch(1) / 3);
  const a = offsetPoint(s, 0, d);
  const b = offsetPoint(s, 1, d);
  return { kind: 'cubic', a, c1: add(a, u), c2: sub(b, v), b };
}

function offsetSpan(s: Span, d: number, depth = 0): readonly Span[] {
  if (s.kind === 'line') {
    const n = scale(left(tangentOn(s, 0)), d);
    return [{ kind: 'line', a: add(s.a, n), b: add(s.b, n) }];
  }
  const candidate = offsetCubic(s, d);
  let worst = 0;
  for (const t of [0.2, 0.4, 0.5, 0.6, 0.8]) {
    const true_ = offsetPoint(s, t, d);
    // Compare across the curve, not along it: parameters need not agree, only the line drawn.
    const p = pointOn(candidate, t);
    worst = Math.max(worst, Math.abs(cross(sub(p, true_), tangentOn(s, t))));
    worst = Math.max(worst, Math.max(0, distance(p, true_) - 2));
  }
  // Where a hollow is tighter than the offset, the offset runs backwards; a pencil would not draw that part.
  if (worst < TOL.offset || depth >= 7) return 1 + curvatureOn(s, 0.5) * d < 0 ? [] : [candidate];
  const [x, y] = splitSpan(s, 0.5);
  return [...offsetSpan(x, d, depth + 1), ...offsetSpan(y, d, depth + 1)];
}

/** The path moved `d` mm to the left of travel (outward for a clockwise outline); joints inside are mitred. */
export function offsetPath(path: Path, d: number): Path {
  if (d === 0 || path.segments.length === 0) return path;
  const parts = spansOf(path).map((s) => cutLoops(drawn(s, d)));
  const joined = joinPaths(
    joinCorners(
      parts,
      parts.map(() => d),
      false,
    ),
  );
  // A short span between two others can vanish in its offset: its neighbours then cross beyond it.
  return parts.length > 2 ? cutLoops(joined) : joined;
}

/** The same for a path that closes on itself without a corner, such as a circle: its ends meet like any two spans. */
function offsetRing(path: Path, d: number): Path {
  const spans = spansOf(path);
  if (d === 0 || spans.length < 2) return path;
  const parts = spans.map((s) => cutLoops(drawn(s, d)));
  const joined = joinCorners(
    parts,
    parts.map(() => d),
    true,
  );
  return dropLoops(joinPaths(joined));
}

/** The offset of one span; where nothing of it runs forwards, the straight line between its ends. */
function drawn(s: Span, d: number): Path {
  const spans = offsetSpan(s, d);
  return spans.length > 0 ? pathFromSpans(spans) : polyline([offsetPoint(s, 0, d), offsetPoint(s, 1, d)]);
}

/**
 * Where a hollow curve is tighter than the offset, the offset folds over itself; the little loop is cut off at
 * its crossing, which is where a pencil held at that distance would turn.
 */
function cutLoops(path: Path): Path {
  let spans: readonly Span[] = spansOf(path);
  for (let guard = 0; guard < 8; guard++) {
    const crossing = firstCrossing(spans);
    if (!crossing) break;
    const { i, j, s, t } = crossing;
    const head = splitSpan(spans[i] as Span, s)[0];
    const tail = splitSpan(spans[j] as Span, t)[1];
    spans = [...spans.slice(0, i), head, tail, ...spans.slice(j + 1)];
  }
  return pathFromSpans(spans);
}

function firstCrossing(spans: readonly Span[]): { i: number; j: number; s: number; t: number } | null {
  for (let i = 0; i < spans.length; i++)
    for (let j = spans.length - 1; j > i; j--) {
      const joint = j === i + 1 ? (spans[i] as Span).b : null;
      const hit = intersectSpans(spans[i] as Span, spans[j] as Span).find(
        (h) => !joint || distance(h.point, joint) > 1e-3,
      );
      if (hit) return { i, j, s: hit.s, t: hit.t };
    }
  return null;
}

/**
 * A closed path without the loops it makes over itself: at each crossing the shorter way round is left out, as
 * where a notch is narrower than the allowance around it. At most eight loops.
 */
export function dropLoops(path: Path): Path {
  let spans: readonly Span[] = spansOf(path);
  for (let guard = 0; guard < 8; guard++) {
    const lengths = spans.map((s) => spanLength(s));
    const total = lengths.reduce((sum, l) => sum + l, 0);
    let best: { i: number; j: number; s: number; t: number; loop: number } | null = null;
    for (let i = 0; i < spans.length; i++)
      for (let j = i + 2; j < spans.length; j++) {
        if (i === 0 && j === spans.length - 1) continue;
        const p = spans[i] as Span;
        const q = spans[j] as Span;
        if (!boxesMeet(hullBox(p), hullBox(q))) continue;
        const hit = intersectSpans(p, q)[0];
        if (!hit) continue;
        const loop = lengths.slice(i, j).reduce((sum, l) => sum + l, 0);
        if (!best || Math.min(loop, total - loop) < best.loop)
          best = { i, j, s: hit.s, t: hit.t, loop: Math.min(loop, total - loop) };
      }
    if (!best) break;
    const { i, j, s, t } = best;
    const inner = lengths.slice(i, j).reduce((sum, l) => sum + l, 0);
    const head = splitSpan(spans[i] as Span, s);
    const tail = splitSpan(spans[j] as Span, t);
    spans =
      inner <= total / 2
        ? [...spans.slice(0, i), head[0], tail[1], ...spans.slice(j + 1)]
        : [head[1], ...spans.slice(i + 1, j), tail[0]];
  }
  return pathFromSpans(spans);
}

/** Moves two neighbouring offset paths to meet: trimmed where they cross, mitred where they part. */
function corner(p: Path, q: Path, d: number): readonly [Path, Path] {
  const a = endOf(p);
  const b = q.start;
  if (distance(a, b) < 1e-7) return [p, q];
  const hits = intersectPaths(p, q);
  const hit = hits.at(-1);
  if (hit) return [splitPath(p, hit.first)[0], splitPath(q, hit.second)[1]];
  const meet = lineMeet(a, endTangent(p), b, startTangent(q));
  if (meet && meet.s >= 0 && meet.r <= 0) {
    const reach = Math.max(norm(sub(meet.point, a)), norm(sub(meet.point, b)));
    if (reach <= Math.max(MITRE_LIMIT * Math.abs(d), 1))
      return [joinPaths([p, polyline([a, meet.point])]), joinPaths([polyline([meet.point, b]), q])];
  }
  return [joinPaths([p, polyline([a, b])]), q];
}

function joinCorners(parts: readonly Path[], distances: readonly number[], closed: boolean): readonly Path[] {
  const out = [...parts];
  const n = out.length;
  for (let i = 0; i < (closed ? n : n - 1); i++) {
    const j = (i + 1) % n;
    const reach = Math.max(Math.abs(distances[i] ?? 0), Math.abs(distances[j] ?? 0));
    const [p, q] = corner(out[i] as Path, out[j] as Path, reach);
    out[i] = p;
    out[j] = q;
  }
  return out;
}

/**
 * Offsets consecutive edges each by its own distance, with mitred corners between them (trimmed where
 * they cross). `closed` also joins the last to the first. Within 0.05 mm of the true offset (tested).
 */
export function offsetEdges(edges: readonly Path[], distances: readonly number[], closed: boolean): readonly Path[] {
  const only = edges[0];
  if (closed && edges.length === 1 && only) return [offsetRing(only, distances[0] ?? 0)];
  const parts = edges.map((e, i) => offsetPath(e, distances[i] ?? 0));
  return joinCorners(parts, distances, closed);
}
