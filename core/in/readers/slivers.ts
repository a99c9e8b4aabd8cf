import {
  distance,
  flatten,
  lerp,
  nearestOnPath,
  pathLength,
  pointAt,
  polyline,
  signedArea,
  spansOf,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { boxOf } from '../tracing/index.ts';
import { TOL } from '../../units/index.ts';
import type { Drawn } from './pen.ts';

/** A filled shape no wider than this is a line drawn by its rims, mm. */
const WIDEST = 1.3;
/** A shorter one is a dot or a letter, mm. */
const SHORTEST = 6;
/** How many ways of parting a rim into its two sides are tried, and at how many places each is measured. */
const TRIES = 32;
const PLACES = 16;
/** The other rim of a line follows it within so many shapes: farther on they are not compared. */
const FOLLOWS = 2;
/** A shape of so few corners is tried from each of them. */
const FEW = 40;

/**
 * Lines that a program has drawn as thin filled shapes, as the line in their middle: some print a pen's stroke by its
 * two rims, so that each would be half its width off. Two rims of a closed line come as two shapes, one in the other, or
 * as one that runs out and back. Other shapes come back as they are.
 */
export function middleLines(drawn: readonly Drawn[]): readonly Drawn[] {
  const taken = new Set<Drawn>();
  return drawn.flatMap((d, i): readonly Drawn[] => {
    if (taken.has(d)) return [];
    const other = drawn.slice(i + 1, i + 1 + FOLLOWS).find((o) => !taken.has(o) && areRims(d, o));
    if (other) {
      taken.add(other);
      return [betweenRings(d.path, other.path)];
    }
    return [outAndBack(d.path) ?? d];
  });
}

const area = (path: Path): number => Math.abs(signedArea(spansOf(path)));

/** Whether two closed shapes are the rims of one line: everywhere so near, one inside the other. */
function areRims(one: Drawn, two: Drawn): boolean {
  if (!one.closed || !two.closed) return false;
  const [a, b] = [boxOf(one.path), boxOf(two.path)];
  // How far the first reaches out beyond the second on each side: all one way, or neither lies in the other.
  const out = [b.minX - a.minX, b.minY - a.minY, a.maxX - b.maxX, a.maxY - b.maxY];
  if (out.some((v) => Math.abs(v) > 2 * WIDEST) || (out.some((v) => v < 0) && out.some((v) => v > 0))) return false;
  const size = pathLength(one.path);
  // A shape so thin is a line by itself.
  if (size < 4 * SHORTEST || (2 * area(one.path)) / size <= WIDEST) return false;
  if (Math.abs(area(one.path) - area(two.path)) >= WIDEST * size) return false;
  return Array.from({ length: 2 * PLACES }, (_, i) => pointAt(one.path, (size * (i + 0.5)) / (2 * PLACES))).every(
    (p) => nearestOnPath(two.path, p).distance <= 2 * WIDEST,
  );
}

function betweenRings(one: Path, two: Path): Drawn {
  const points = flatten(one, TOL.flat).map((p) => lerp(p, nearestOnPath(two, p).point, 0.5));
  return { path: polyline(points), closed: true };
}

/** The middle of a shape that runs out along one rim and back along the other; null where it is not a line. */
function outAndBack(path: Path): Drawn | null {
  const size = pathLength(path);
  const whole = spansOf(path);
  const first = path.start;
  const end = whole.at(-1)?.b ?? first;
  const round = size + distance(end, first);
  if (round < 2 * SHORTEST || (2 * area(path)) / round > WIDEST) return null;
  const ring =
    distance(end, first) > TOL.same
      ? { ...path, segments: [...path.segments, { kind: 'line' as const, to: first }] }
      : path;
  const all = placed(ring);
  if (all.length <= FEW) {
    const few = cornerByCorner(
      all,
      Array.from(all, (_, i) => i),
    );
    if (few) return lineOf(few);
  }
  const place = (s: number): Point => placeOn(all, round, s);
  const apart = (from: number): number => {
    let sum = 0;
    for (let i = 0; i < PLACES; i++) {
      const s = (round / 2) * ((i + 0.5) / PLACES);
      sum += distance(place(from + s), place(from - s));
    }
    return sum / PLACES;
  };
  let best = { from: 0, apart: apart(0) };
  for (let i = 1; i < TRIES; i++) {
    const from = (round * i) / (2 * TRIES);
    const off = apart(from);
    if (off < best.apart) best = { from, apart: off };
  }
  // Nearer and nearer to the middle of the end cap.
  for (let step = round / (4 * TRIES); step > TOL.flat; step /= 2)
    for (const from of [best.from - step, best.from + step]) {
      const off = apart(from);
      if (off < best.apart) best = { from, apart: off };
    }
  if (best.apart > 1.5 * WIDEST) return null;
  return lineOf(cornerByCorner(all, around(all, round, best.from)) ?? straightAcross(all, round, best.from));
}

function lineOf(middle: readonly Point[]): Drawn | null {
  const [a, b] = [middle[0], middle.at(-1)];
  if (!a || !b || middle.length < 2) return null;
  const closed = middle.length > 3 && distance(a, b) <= WIDEST;
  return { path: polyline(closed ? [...middle.slice(0, -1), a] : middle), closed };
}

interface Placed {
  readonly at: number;
  readonly p: Point;
}

/** Every corner of a ring with how far along it lies. */
function placed(ring: Path): readonly Placed[] {
  const out: Placed[] = [];
  let at = 0;
  for (const p of flatten(ring, TOL.flat)) {
    at += distance(out.at(-1)?.p ?? p, p);
    out.push({ at, p });
  }
  return out.slice(0, -1);
}

/** The place so far along a ring, whichever way round it is counted. */
function placeOn(all: readonly Placed[], round: number, along: number): Point {
  const s = ((along % round) + round) % round;
  let [low, high] = [0, all.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((all[middle]?.at ?? 0) <= s) low = middle;
    else high = middle - 1;
  }
  const [a, b] = [all[low], all[(low + 1) % all.length]];
  if (!a || !b) return { x: NaN, y: NaN };
  const size = (low + 1 < all.length ? b.at : round) - a.at;
  return lerp(a.p, b.p, size > 0 ? Math.min(1, (s - a.at) / size) : 0);
}

/** How many corners to either side of where the ends seem to lie are tried. */
const NEAR = 6;

/** The corners about a place on the ring. */
function around(all: readonly Placed[], round: number, from: number): readonly number[] {
  const gap = (at: number): number => Math.min(Math.abs(at - from), round - Math.abs(at - from));
  const first = all.reduce((best, v, i) => (gap(v.at) < gap(all[best]?.at ?? Infinity) ? i : best), 0);
  return Array.from({ length: 2 * NEAR + 1 }, (_, i) => first - NEAR + i);
}

/**
 * Halfway between two rims drawn with as many corners, corner by corner, the first of them one of `starts`; null where
 * they do not go together so.
 */
function cornerByCorner(all: readonly Placed[], starts: readonly number[]): readonly Point[] | null {
  const n = all.length;
  if (n % 2 !== 0 || n < 4) return null;
  const corner = (i: number): Point => all[((i % n) + n) % n]?.p ?? { x: NaN, y: NaN };
  const pairs = (k: number): readonly (readonly [Point, Point])[] =>
    Array.from({ length: n / 2 }, (_, i) => [corner(k + i), corner(k - 1 - i)] as const);
  const tried = starts.map((k) => ({ k, off: Math.max(...pairs(k).map(([a, b]) => distance(a, b))) }));
  const best = tried.sort((a, b) => a.off - b.off)[0];
  return best && best.off <= 4 * WIDEST ? pairs(best.k).map(([a, b]) => lerp(a, b, 0.5)) : null;
}

/** Halfway between two rims, from each corner of the one with more of them straight across to the other. */
function straightAcross(all: readonly Placed[], round: number, from: number): readonly Point[] {
  const along = all.map(({ at, p }) => ({ s: (((at - from) % round) + round) % round, p })).sort((a, b) => a.s - b.s);
  const one = along.filter((v) => v.s < round / 2).map((v) => v.p);
  const two = along.filter((v) => v.s >= round / 2).map((v) => v.p);
  const [more, fewer] = one.length > two.length ? [one, two.reverse()] : [two.reverse(), one];
  const other = polyline(fewer);
  return more.map((p) => lerp(p, nearestOnPath(other, p).point, 0.5));
}
