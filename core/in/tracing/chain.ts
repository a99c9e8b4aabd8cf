import {
  distance,
  endOf,
  endTangent,
  hullBox,
  joinPaths,
  nearestOnPath,
  pathFromSpans,
  reversePath,
  signedArea,
  spansOf,
  splitPath,
  startTangent,
  turnBetween,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { degrees, ok, refuse, TOL, type Result, nth, cyclic } from '../../units/index.ts';
import { boxOf, type Stroke } from './lines.ts';
import { sizeOf } from './likeness.ts';
import { MOST_THINNED, thinned } from './thin.ts';

/** A gap between two ends that was closed. */
export interface Healed {
  readonly at: Point;
  readonly gap: number;
}
/** A closed outline found by following lines, clockwise as seen. */
export interface Ring {
  readonly path: Path;
  /** Indices of the lines it was made of. */
  readonly strokes: readonly number[];
  readonly healed: readonly Healed[];
}
export type ChainError = 'outline-runs-out' | 'outline-too-long' | 'outline-too-fine' | 'outline-no-area';

/** Outlines are followed over no more lines than this: a file of crumbs must not stop the page. */
const MOST_LINKS = 20_000;
/** Ways on looked at before giving up: a million lines that meet in one point are no pattern. */
const MOST_WAYS = 1_000_000;
/** How many ways on may still be looked at; shared by everything asked of one drawing at once. */
export interface Effort {
  left: number;
}

interface End {
  readonly stroke: number;
  readonly atStart: boolean;
  readonly point: Point;
}

/** All ends of open lines, found by where they are. */
class Ends {
  private readonly cells = new Map<string, End[]>();
  constructor(
    strokes: readonly Stroke[],
    private readonly cell: number,
  ) {
    strokes.forEach((s, stroke) => {
      if (s.closed) return;
      this.put({ stroke, atStart: true, point: s.path.start });
      this.put({ stroke, atStart: false, point: endOf(s.path) });
    });
  }
  private key(x: number, y: number): string {
    return `${Math.floor(x / this.cell)} ${Math.floor(y / this.cell)}`;
  }
  private put(end: End): void {
    const key = this.key(end.point.x, end.point.y);
    const there = this.cells.get(key);
    if (there) there.push(end);
    else this.cells.set(key, [end]);
  }
  /** Ends within `reach` (no more than a cell) of a point. */
  near(p: Point, reach: number): readonly End[] {
    const out: End[] = [];
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1])
        for (const end of this.cells.get(this.key(p.x + dx * this.cell, p.y + dy * this.cell)) ?? [])
          if (distance(end.point, p) <= reach) out.push(end);
    return out;
  }
}

interface Walked {
  readonly parts: readonly Path[];
  readonly strokes: readonly number[];
  readonly healed: readonly Healed[];
  readonly closed: boolean;
  readonly stuck: Point;
}

/** Over a gap a line goes on in about its own direction, degrees. */
const RUNS_ON = 20;
const runsOn = (turn: number): boolean => Math.abs(degrees(turn)) <= RUNS_ON;

/**
 * Follows lines from one on, always taking the outermost turn (leftmost, for a walk that keeps the inside to its
 * right), so that darts' legs and other lines inside that end on the outline are passed by.
 */
function follow(
  strokes: readonly Stroke[],
  ends: Ends,
  first: number,
  forwards: boolean,
  heal: number,
  effort: Effort,
): Walked {
  const begin = nth(strokes, first).path;
  const start = forwards ? begin : reversePath(begin);
  const parts: Path[] = [start];
  const used = [first];
  const seen = new Set(used);
  const healed: Healed[] = [];
  let at = endOf(start);
  let heading = endTangent(start);
  for (let i = 0; i < MOST_LINKS && effort.left > 0; i++) {
    const home = distance(at, start.start);
    const closes = used.length > 1 || spansOf(start).length > 1;
    const ways = ends.near(at, heal);
    effort.left -= ways.length + 1;
    const near = ways.filter((e) => !seen.has(e.stroke));
    const best = near
      .map((e) => {
        const path = nth(strokes, e.stroke).path;
        const on = e.atStart ? path : reversePath(path);
        const gap = distance(at, on.start);
        return { e, on, gap, turn: turnBetween(heading, startTangent(on)) };
      })
      // What touches goes before what is only near, there the outermost way; over a gap a line runs on as it came.
      .sort(
        (a, b) =>
          Number(a.gap > TOL.meets) - Number(b.gap > TOL.meets) ||
          (a.gap > TOL.meets ? Number(!runsOn(a.turn)) - Number(!runsOn(b.turn)) || a.gap - b.gap : 0) ||
          a.turn - b.turn,
      )[0];
    if (closes && home <= heal && (!best || home <= TOL.meets || best.gap > TOL.meets)) {
      const turnHome = turnBetween(heading, startTangent(start));
      if (!best || best.gap > TOL.meets || home > TOL.meets || turnHome <= best.turn || turnHome < 0) {
        if (home > TOL.meets) healed.push({ at, gap: home });
        return { parts, strokes: used, healed, closed: true, stuck: at };
      }
    }
    if (!best) return { parts, strokes: used, healed, closed: false, stuck: at };
    if (best.gap > TOL.meets) healed.push({ at, gap: best.gap });
    parts.push(best.on);
    used.push(best.e.stroke);
    seen.add(best.e.stroke);
    at = endOf(best.on);
    heading = endTangent(best.on);
  }
  return { parts, strokes: used, healed, closed: false, stuck: at };
}

/** The parts joined to a ring whose ends are shared exactly; gaps are closed halfway between their ends. */
function closeUp(parts: readonly Path[]): Path {
  const joints = parts.map((p, i) => {
    const before = cyclic(parts, i - 1);
    const end = endOf(before);
    return { x: (end.x + p.start.x) / 2, y: (end.y + p.start.y) / 2 };
  });
  const moved = parts.map((p, i) => {
    const spans = spansOf(p);
    const last = spans.length - 1;
    return pathFromSpans(
      spans.map((s, k) => ({
        ...s,
        a: k === 0 ? nth(joints, i) : s.a,
        b: k === last ? cyclic(joints, i + 1) : s.b,
      })),
    );
  });
  return ringOf(joinPaths(moved));
}

const clockwise = (path: Path): Path => (signedArea(spansOf(path)) < 0 ? reversePath(path) : path);

/**
 * A closed line as a ring: the last point laid on the first. Bits below what files round to are left out: where a page
 * cut a curve off, one of them may point anywhere.
 */
export function ringOf(path: Path): Path {
  const spans = spansOf(path).filter((s) => sizeOf(hullBox(s)) > TOL.join);
  const [first, last] = [spans[0], spans.at(-1)];
  if (!first || !last) return path;
  if (distance(last.b, first.a) > TOL.meets)
    return clockwise(pathFromSpans([...spans, { kind: 'line', a: last.b, b: first.a }]));
  return clockwise(pathFromSpans([...spans.slice(0, -1), { ...last, b: first.a }]));
}

/**
 * The closed outline that runs through the line at `first`, over gaps of at most `heal` mm. A line inside that
 * ends on the outline is passed by. Refuses, saying where it ran out, when nothing closes.
 */
export function ringThrough(
  strokes: readonly Stroke[],
  first: number,
  heal: number = TOL.heal,
  effort: Effort = { left: MOST_WAYS },
): Result<Ring, ChainError> {
  const stroke = strokes[first];
  if (!stroke) throw new Error(`ringThrough: expected a line at ${first} of ${strokes.length}`);
  if (stroke.closed) {
    const path = thinned(ringOf(stroke.path));
    if (Math.abs(signedArea(spansOf(path))) < 1) return refuse('outline-no-area');
    if (path.segments.length > MOST_THINNED) return refuse('outline-too-fine', { bits: path.segments.length });
    return ok({ path, strokes: [first], healed: [] });
  }
  let stuck: Walked | null = null;
  for (const whole of [true, false]) {
    const { all, of, ends } = woven(strokes, heal, whole);
    const at = of ? of.indexOf(first) : first;
    const walks = [true, false].map((way) => follow(all, ends, Math.max(0, at), way, heal, effort));
    const closed = walks
      .filter((w) => w.closed)
      .map((w) => ({ w, path: closeUp(w.parts) }))
      .map(({ w, path }) => ({ w, path, area: Math.abs(signedArea(spansOf(path))) }))
      .sort((a, b) => b.area - a.area)[0];
    if (closed) {
      if (closed.area < 1) return refuse('outline-no-area');
      const path = thinned(clockwise(closed.path));
      if (path.segments.length > MOST_THINNED) return refuse('outline-too-fine', { bits: path.segments.length });
      const own = closed.w.strokes.map((i) => of?.[i] ?? i);
      return ok({ path, strokes: [...new Set(own)], healed: closed.w.healed });
    }
    stuck ??= walks.sort((a, b) => b.parts.length - a.parts.length)[0] ?? null;
  }
  const { x, y } = stuck?.stuck ?? stroke.path.start;
  if (effort.left <= 0 || (stuck?.parts.length ?? 0) >= MOST_LINKS) return refuse('outline-too-long', { x, y });
  return refuse('outline-runs-out', { x, y, heal });
}

/** An open line made of several. */
export interface Run {
  readonly path: Path;
  readonly strokes: readonly number[];
  readonly healed: readonly Healed[];
}

/** The open line through the one at `first`, followed both ways as far as it goes over lines that are not `taken`. */
export function runThrough(strokes: readonly Stroke[], first: number, taken: ReadonlySet<number>): Run {
  const free = strokes.map((s, i) => (taken.has(i) ? { ...s, closed: true } : s));
  const ends = new Ends(free, TOL.heal);
  const effort: Effort = { left: MOST_WAYS };
  const on = follow(free, ends, first, true, TOL.heal, effort);
  const back = follow(free, ends, first, false, TOL.heal, effort);
  const before = back.parts.slice(1).reverse().map(reversePath);
  const parts = [...before, ...on.parts];
  return {
    path: joinPaths(parts.map((p, i) => ({ ...p, start: i === 0 ? p.start : endOf(nth(parts, i - 1)) }))),
    strokes: [...new Set([...on.strokes, ...back.strokes])],
    healed: [...on.healed, ...back.healed],
  };
}

interface Woven {
  readonly all: readonly Stroke[];
  /** For lines that were split, which of the drawing's lines each is a part of. */
  readonly of: readonly number[] | null;
  readonly ends: Ends;
}
const known = new WeakMap<readonly Stroke[], Map<string, Woven>>();
/** The ends of a drawing's lines, gathered once however many outlines are looked for in it. */
function woven(strokes: readonly Stroke[], heal: number, whole: boolean): Woven {
  const kept = known.get(strokes) ?? new Map<string, Woven>();
  known.set(strokes, kept);
  const key = `${heal} ${whole}`;
  const there = kept.get(key);
  if (there) return there;
  const split = whole ? null : splitWhereTouched(strokes, heal);
  const all = split ? split.map((x) => x.stroke) : strokes;
  const of = split ? split.map((x) => x.of) : null;
  const made = { all, of, ends: new Ends(all, Math.max(heal, TOL.meets)) };
  kept.set(key, made);
  return made;
}

/** Lines split where another ends on them: the way on may begin in a line's middle. Only for drawings of sane size. */
function splitWhereTouched(
  strokes: readonly Stroke[],
  heal: number,
): readonly { readonly stroke: Stroke; readonly of: number }[] | null {
  if (strokes.length > 3000) return null;
  const ends = strokes.flatMap((s) => (s.closed ? [] : [s.path.start, endOf(s.path)]));
  return strokes.flatMap((s, of) => {
    if (s.closed) return [{ stroke: s, of }];
    const box = boxOf(s.path);
    let parts: readonly Path[] = [s.path];
    for (const p of ends) {
      if (p.x < box.minX - heal || p.x > box.maxX + heal || p.y < box.minY - heal || p.y > box.maxY + heal) continue;
      parts = parts.flatMap((path) => {
        if (distance(p, path.start) <= heal || distance(p, endOf(path)) <= heal) return [path];
        const at = nearestOnPath(path, p);
        if (at.distance > heal) return [path];
        return splitPath(path, at).filter((q) => q.segments.length > 0);
      });
    }
    return parts.map((path) => ({ stroke: { ...s, path }, of }));
  });
}

/**
 * Every outline there is, each line in one of them, the largest first; what does not close is left. In a drawing of
 * crumbs the search ends where no more ways may be looked at, with what was found by then.
 */
export function allRings(strokes: readonly Stroke[], heal: number = TOL.heal): readonly Ring[] {
  const used = new Set<number>();
  const rings: { readonly ring: Ring; readonly area: number }[] = [];
  const effort: Effort = { left: MOST_WAYS };
  // Long lines first: begun at a dart's leg, a walk would close around the dart and take the outline it ends on with it.
  const reach = strokes.map((s) => sizeOf(boxOf(s.path)));
  const order = strokes.map((_, i) => i).sort((a, b) => (reach[b] ?? 0) - (reach[a] ?? 0));
  order.forEach((i) => {
    const stroke = nth(strokes, i);
    if (used.has(i) || (effort.left <= 0 && !stroke.closed)) return;
    const found = ringThrough(strokes, i, heal, effort);
    used.add(i);
    if (!found.ok) return;
    for (const s of found.value.strokes) used.add(s);
    rings.push({ ring: found.value, area: Math.abs(signedArea(spansOf(found.value.path))) });
  });
  return rings.sort((a, b) => b.area - a.area).map((r) => r.ring);
}
