import { TOL } from '../units/tolerance.ts';
import { bernsteinRoots } from '../numeric/roots.ts';
import { boxesMeet, derivativeOn, hullBox, pointOn, splitSpan, type LineSpan, type Span } from './span.ts';
import { spansOf, type Path, type PathPlace } from './path.ts';
import { cross, distance, dot, left, lineMeet, norm, sub, unit, type Point } from './vec.ts';
import { last, nth } from '../units/index.ts';

export interface SpanHit {
  readonly s: number;
  readonly t: number;
  readonly point: Point;
}
export interface PathHit {
  readonly first: PathPlace;
  readonly second: PathPlace;
  readonly point: Point;
}

/** All places where a line span meets any span. A line lying along the other gives no hit. */
function lineHits(l: LineSpan, other: Span): readonly SpanHit[] {
  const d = sub(l.b, l.a);
  const size = norm(d);
  if (size === 0) return [];
  const n = left(unit(d));
  const height = (p: Point): number => dot(sub(p, l.a), n);
  const control = other.kind === 'line' ? [other.a, other.b] : [other.a, other.c1, other.c2, other.b];
  const heights = control.map(height);
  if (heights.every((h) => Math.abs(h) < TOL.zero)) return [];
  // A curve stays within its control points: wholly on one side, it does not meet the line.
  if (Math.min(...heights) > TOL.reach || Math.max(...heights) < -TOL.reach) return [];
  const hits: SpanHit[] = [];
  const candidates = new Set(bernsteinRoots(heights));
  // Ends that touch within rounding are hits even when the polynomial just misses zero there.
  if (Math.abs(nth(heights, 0)) < TOL.reach) candidates.add(0);
  if (Math.abs(last(heights)) < TOL.reach) candidates.add(1);
  for (const t of candidates) {
    const point = pointOn(other, t);
    const s = dot(sub(point, l.a), d) / (size * size);
    if (s * size > -TOL.reach && (s - 1) * size < TOL.reach) hits.push({ s: Math.min(1, Math.max(0, s)), t, point });
  }
  return hits;
}

/** Where two straight spans meet; parallel ones give no hit. */
function straightHits(p: LineSpan, q: LineSpan): readonly SpanHit[] {
  const u = sub(p.b, p.a);
  const v = sub(q.b, q.a);
  const meet = lineMeet(p.a, u, q.a, v);
  if (!meet) return [];
  const inside = (t: number, size: number): boolean => t * size > -TOL.reach && (t - 1) * size < TOL.reach;
  if (!inside(meet.s, norm(u)) || !inside(meet.r, norm(v))) return [];
  const t = Math.min(1, Math.max(0, meet.r));
  return [{ s: Math.min(1, Math.max(0, meet.s)), t, point: pointOn(q, t) }];
}

/** Newton on both parameters at once; keeps the start where the curves are tangent. */
function refine(p: Span, q: Span, s0: number, t0: number): SpanHit {
  let s = s0;
  let t = t0;
  for (let i = 0; i < 12; i++) {
    const gap = sub(pointOn(q, t), pointOn(p, s));
    const u = derivativeOn(p, s);
    const v = derivativeOn(q, t);
    const d = cross(u, v);
    if (Math.abs(d) < TOL.singular) break;
    const ds = cross(gap, v) / d;
    const dt = cross(gap, u) / d;
    s = Math.min(1, Math.max(0, s + ds));
    t = Math.min(1, Math.max(0, t + dt));
    if (Math.abs(ds) + Math.abs(dt) < TOL.settled) break;
  }
  return { s, t, point: pointOn(p, s) };
}

interface Pair {
  readonly p: Span;
  readonly q: Span;
  readonly s: readonly [number, number];
  readonly t: readonly [number, number];
}

/** Cubic against cubic by halving boxes; overlapping curves are cut off at a fixed amount of work. */
function curveHits(p: Span, q: Span): readonly SpanHit[] {
  const hits: SpanHit[] = [];
  const stack: Pair[] = [{ p, q, s: [0, 1], t: [0, 1] }];
  for (let work = 0; work < 6000; work++) {
    const top = stack.pop();
    if (!top) break;
    const a = hullBox(top.p);
    const b = hullBox(top.q);
    if (!boxesMeet(a, b, TOL.reach)) continue;
    const small = (x: typeof a): boolean => x.maxX - x.minX < TOL.box && x.maxY - x.minY < TOL.box;
    if (small(a) && small(b)) {
      const hit = refine(p, q, (top.s[0] + top.s[1]) / 2, (top.t[0] + top.t[1]) / 2);
      if (distance(hit.point, pointOn(q, hit.t)) < TOL.hit) hits.push(hit);
      continue;
    }
    const halves = (sp: Span, r: readonly [number, number], tiny: boolean) => {
      if (tiny) return [{ sp, r }];
      const m = (r[0] + r[1]) / 2;
      const [x, y] = splitSpan(sp, 0.5);
      return [
        { sp: x, r: [r[0], m] as const },
        { sp: y, r: [m, r[1]] as const },
      ];
    };
    for (const x of halves(top.p, top.s, small(a)))
      for (const y of halves(top.q, top.t, small(b))) stack.push({ p: x.sp, q: y.sp, s: x.r, t: y.r });
  }
  return hits;
}

/** All hits of two spans with both parameters; symmetric in its arguments; touching ends count. */
export function intersectSpans(p: Span, q: Span): readonly SpanHit[] {
  if (!boxesMeet(hullBox(p), hullBox(q), TOL.reach)) return [];
  let hits: readonly SpanHit[];
  if (p.kind === 'line' && q.kind === 'line') return straightHits(p, q);
  if (p.kind === 'line') hits = lineHits(p, q);
  else if (q.kind === 'line') hits = lineHits(q, p).map((h) => ({ ...h, s: h.t, t: h.s }));
  else hits = curveHits(p, q);
  const distinct: SpanHit[] = [];
  for (const h of hits)
    if (!distinct.some((d) => distance(d.point, h.point) < TOL.hit && Math.abs(d.s - h.s) < TOL.parameter))
      distinct.push(h);
  return distinct.sort((a, b) => a.s - b.s);
}

/** All hits of two paths, in order along the first; a hit at a joint of spans is reported once. */
export function intersectPaths(p: Path, q: Path): readonly PathHit[] {
  const hits: PathHit[] = [];
  const others = spansOf(q);
  spansOf(p).forEach((a, i) => {
    others.forEach((b, j) => {
      for (const h of intersectSpans(a, b)) {
        if (
          hits.some(
            (k) =>
              distance(k.point, h.point) < TOL.hit &&
              Math.abs(k.first.span - i) <= 1 &&
              Math.abs(k.second.span - j) <= 1,
          )
        )
          continue;
        hits.push({ first: { span: i, t: h.s }, second: { span: j, t: h.t }, point: h.point });
      }
    });
  });
  return hits.sort((a, b) => a.first.span - b.first.span || a.first.t - b.first.t);
}
