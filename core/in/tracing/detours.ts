import {
  distance,
  midpoint,
  pathFromSpans,
  signedArea,
  spanLength,
  spansOf,
  sub,
  tangentOn,
  turnBetween,
  type Path,
  type Point,
  type Span,
} from '../../geometry/index.ts';
import { TOL, degrees, cyclic, nth } from '../../units/index.ts';

/** A notch cut into the outline, or standing out of it: no wider and no longer around than this, mm. */
const WIDEST = 14;
const LONGEST = 45;
/** The outline runs on after it in the direction it came, degrees. */
const RUNS_ON = 25;
/** A dart cut into the outline: legs at least so long, and alike within this share. */
const SHORTEST_LEG = 30;
const ALIKE = 0.12;

/** A dart drawn into the outline: the outline runs from `start` to `tip` and back to `end`. */
export interface CutDart {
  readonly start: Point;
  readonly tip: Point;
  readonly end: Point;
}
export interface Cleaned {
  readonly ring: Path;
  /** Where a little notch was cut into the outline, or drawn standing out of it. */
  readonly notches: readonly Point[];
  readonly darts: readonly CutDart[];
}

const turnAt = (before: Span, after: Span): number => degrees(turnBetween(tangentOn(before, 1), tangentOn(after, 0)));

/** How many spans from `i` on make a detour that the outline would run straight across; 0 for none. */
function detourAt(spans: readonly Span[], i: number): number {
  const n = spans.length;
  const before = cyclic(spans, i - 1);
  const first = nth(spans, i);
  if (Math.abs(turnAt(before, first)) < 30) return 0;
  let around = 0;
  for (let k = 1; k <= 6 && k < n - 2; k++) {
    const last = cyclic(spans, i + k - 1);
    around += spanLength(last);
    if (around > LONGEST) return 0;
    if (k < 2) continue;
    const after = cyclic(spans, i + k);
    const across = distance(first.a, last.b);
    if (across > WIDEST) continue;
    // A slit is left where it was entered; a notch with width lies along the outline.
    const heading = tangentOn(before, 1);
    const along = across < 0.5 ? 0 : degrees(turnBetween(heading, sub(last.b, first.a)));
    const on = degrees(turnBetween(heading, tangentOn(after, 0)));
    if (Math.abs(turnAt(last, after)) >= 30 && Math.abs(along) < RUNS_ON && Math.abs(on) < RUNS_ON) return k;
  }
  return 0;
}

/** The outline without the little notches drawn into it, and where they were. */
function withoutNotches(ring: Path): Pick<Cleaned, 'ring' | 'notches'> {
  let spans = spansOf(ring);
  const notches: Point[] = [];
  for (let i = 0; i < spans.length && notches.length < 60; i++) {
    const k = detourAt(spans, i);
    if (k === 0) continue;
    const first = nth(spans, i);
    const last = cyclic(spans, i + k - 1);
    notches.push(midpoint(first.a, last.b));
    const across: readonly Span[] =
      distance(first.a, last.b) < TOL.same ? [] : [{ kind: 'line', a: first.a, b: last.b }];
    // Turned round so that the detour begins the list, it cannot run over the ring's own join.
    const turned = [...spans.slice(i), ...spans.slice(0, i)];
    spans = [...across, ...turned.slice(k)];
    i = -1;
  }
  return { ring: notches.length === 0 ? ring : pathFromSpans(spans), notches };
}

/** Where two long straight legs of like length run into the piece and meet there, the outline has a dart cut out. */
function cutDarts(ring: Path): Pick<Cleaned, 'ring' | 'darts'> {
  let spans = spansOf(ring);
  const darts: CutDart[] = [];
  for (let i = 0; i < spans.length && darts.length < 12; i++) {
    const n = spans.length;
    const [p, q] = [nth(spans, i), cyclic(spans, i + 1)];
    if (n < 5 || p.kind !== 'line' || q.kind !== 'line') continue;
    const [a, b] = [spanLength(p), spanLength(q)];
    if (Math.min(a, b) < SHORTEST_LEG || Math.abs(a - b) > ALIKE * Math.max(a, b)) continue;
    const turn = turnAt(p, q);
    const before = turnAt(cyclic(spans, i - 1), p);
    const after = turnAt(q, cyclic(spans, i + 2));
    // In a clockwise outline the way into a dart turns right, at its tip sharply left, and out right again.
    if (turn > -100 || before < 25 || after < 25) continue;
    const turned = [...spans.slice(i), ...spans.slice(0, i)];
    const rest: readonly Span[] = [{ kind: 'line', a: p.a, b: q.b }, ...turned.slice(2)];
    if (signedArea(rest) <= 0) continue;
    darts.push({ start: p.a, tip: p.b, end: q.b });
    spans = rest;
    i = -1;
  }
  return { ring: darts.length === 0 ? ring : pathFromSpans(spans), darts };
}

/** An outline freed of what is drawn into it: notches first, then darts. */
export function cleanRing(ring: Path): Cleaned {
  const { ring: plain, notches } = withoutNotches(ring);
  const { ring: whole, darts } = cutDarts(plain);
  return { ring: whole, notches, darts };
}
