import { TOL } from '../units/tolerance.ts';
import { parameterAt, spanLength } from './length.ts';
import { move, type Rigid } from './rigid.ts';
import { mapSpan, pointOn, reverseSpan, splitSpan, tangentOn, type Span } from './span.ts';
import { distance, type Point } from './vec.ts';
import { nth, once } from '../units/index.ts';

/** A path as documents keep it: a start and segments that each say where they go. Never flattened. */
export type Segment =
  | { readonly kind: 'line'; readonly to: Point }
  | { readonly kind: 'cubic'; readonly c1: Point; readonly c2: Point; readonly to: Point };
export interface Path {
  readonly start: Point;
  readonly segments: readonly Segment[];
}

export function spansOf(path: Path): readonly Span[] {
  let a = path.start;
  return path.segments.map((g): Span => {
    const s: Span =
      g.kind === 'line' ? { kind: 'line', a, b: g.to } : { kind: 'cubic', a, c1: g.c1, c2: g.c2, b: g.to };
    a = g.to;
    return s;
  });
}

const toSegment = (s: Span): Segment =>
  s.kind === 'line' ? { kind: 'line', to: s.b } : { kind: 'cubic', c1: s.c1, c2: s.c2, to: s.b };

/** Joins spans end to end; a step between neighbours is bridged by a straight line. Throws on none. */
export function pathFromSpans(spans: readonly Span[]): Path {
  const first = spans[0];
  if (!first) throw new Error('pathFromSpans: expected at least one span, got none');
  const segments: Segment[] = [];
  let at = first.a;
  for (const s of spans) {
    if (distance(at, s.a) > TOL.same) segments.push({ kind: 'line', to: s.a });
    segments.push(toSegment(s));
    at = s.b;
  }
  return { start: first.a, segments };
}

export const polyline = (points: readonly Point[]): Path => ({
  start: points[0] ?? { x: 0, y: 0 },
  segments: points.slice(1).map((to) => ({ kind: 'line', to })),
});

export const endOf = (path: Path): Point => path.segments.at(-1)?.to ?? path.start;

/** Arc length. Paths never change, so each is measured once: seams are walked again at every step of a plan. */
export const pathLength = once((path: Path): number => {
  let sum = 0;
  for (const s of spansOf(path)) sum += spanLength(s);
  return sum;
});

/** A place on a path: which span and where on it. */
export interface PathPlace {
  readonly span: number;
  readonly t: number;
}

/** The place at arc length `at`, clamped to the ends. */
export function placeAt(path: Path, at: number): PathPlace {
  const spans = spansOf(path);
  let rest = at;
  for (let i = 0; i < spans.length; i++) {
    const s = nth(spans, i);
    const n = spanLength(s);
    if (rest <= n || i === spans.length - 1) {
      // At a joint exactly: a sliver of a span would have no direction of its own.
      if (n - rest < TOL.length) return { span: i, t: 1 };
      return { span: i, t: rest < TOL.length ? 0 : parameterAt(s, rest) };
    }
    rest -= n;
  }
  return { span: 0, t: 0 };
}

const spanAt = (path: Path, place: PathPlace): Span => {
  const s = spansOf(path)[place.span];
  if (!s) throw new Error(`path: expected a span at ${place.span} of ${path.segments.length}`);
  return s;
};

export const pointAt = (path: Path, at: number): Point => {
  if (path.segments.length === 0) return path.start;
  const place = placeAt(path, at);
  return pointOn(spanAt(path, place), place.t);
};

/** Unit tangent in the direction of travel at arc length `at`. */
export const tangentAt = (path: Path, at: number): Point => {
  const place = placeAt(path, at);
  return tangentOn(spanAt(path, place), place.t);
};
export const startTangent = (path: Path): Point => tangentOn(spanAt(path, { span: 0, t: 0 }), 0);
export const endTangent = (path: Path): Point => tangentOn(spanAt(path, { span: path.segments.length - 1, t: 1 }), 1);

/** Arc length from the start to a place. */
export function lengthTo(path: Path, place: PathPlace): number {
  const spans = spansOf(path);
  let sum = 0;
  for (let i = 0; i < place.span; i++) sum += spanLength(nth(spans, i));
  return sum + spanLength(spanAt(path, place), place.t);
}

/**
 * Splits at a place; an end place gives one empty side (a path without segments). A place within rounding of a
 * joint splits there: a sliver of a span would have no direction of its own.
 */
export function splitPath(path: Path, place: PathPlace, within: number = TOL.same): readonly [Path, Path] {
  const spans = spansOf(path);
  const cut = spanAt(path, place);
  const p = pointOn(cut, place.t);
  const t = distance(p, cut.a) < within ? 0 : distance(p, cut.b) < within ? 1 : place.t;
  const [one, two] = splitSpan(cut, t);
  const before = [...spans.slice(0, place.span), ...(t > 0 ? [one] : [])];
  const after = [...(t < 1 ? [two] : []), ...spans.slice(place.span + 1)];
  const empty: Path = { start: one.b, segments: [] };
  return [before.length ? pathFromSpans(before) : empty, after.length ? pathFromSpans(after) : empty];
}

/** Splits at an arc length, which is only known as well as lengths are measured: a joint that near is meant. */
export const splitAtLength = (path: Path, at: number): readonly [Path, Path] =>
  splitPath(path, placeAt(path, at), TOL.length);

/** The part between two arc lengths, from < to. */
export function subPath(path: Path, from: number, to: number): Path {
  const [head] = splitAtLength(path, to);
  return splitAtLength(head, from)[1];
}

export const reversePath = (path: Path): Path =>
  path.segments.length === 0 ? path : pathFromSpans([...spansOf(path)].reverse().map(reverseSpan));

export const mapPath = (path: Path, f: (p: Point) => Point): Path =>
  path.segments.length === 0
    ? { start: f(path.start), segments: [] }
    : pathFromSpans(spansOf(path).map((s) => mapSpan(s, f)));

export const movePath = (path: Path, m: Rigid): Path => mapPath(path, (p) => move(m, p));

/** One path from several; steps between them are bridged straight. Empty paths only contribute their point. */
export function joinPaths(paths: readonly Path[]): Path {
  const spans = paths.flatMap(spansOf);
  const first = paths[0];
  if (spans.length === 0) return first ?? { start: { x: 0, y: 0 }, segments: [] };
  return pathFromSpans(spans);
}
