import {
  boundsOf,
  distance,
  flatten,
  nearestLength,
  pathLength,
  pointAt,
  signedArea,
  spansOf,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import type { Piece } from '../../pattern/index.ts';
import { ok, refuse, TOL, type Result, cyclic } from '../../units/index.ts';
import type { Ring } from './chain.ts';
import { cornersOf } from './corners.ts';
import { cleanRing } from './detours.ts';
import type { Stroke } from './lines.ts';
import { tracePiece } from './trace.ts';
import { MEANT, type TraceChoices, type Traced } from './traceTypes.ts';

export type NestError = 'nest-corners-differ' | 'nest-darts-differ' | 'nest-edges-differ';

const centreOf = (path: Path): Point => {
  const b = boundsOf(flatten(path, 1));
  return { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
};

/** A bust point moves no farther than this from where the corners around it went, from size to size, mm. */
const BUST_NEAR = 25;

/** Sizes of one piece grow by no more than this from one to the other, as a share of their area. */
const GROWTH = 2.2;

/**
 * Which outlines are the same piece in other sizes: those whose middle lies nearest to that of the one given and
 * whose area is of its order, at most one from each style or layer.
 */
export function sameInOtherSizes(of: Ring, rings: readonly Ring[], reach: number): readonly Ring[] {
  const c = centreOf(of.path);
  const area = signedArea(spansOf(of.path));
  return rings
    .filter((r) => r !== of)
    .filter((r) => {
      const share = signedArea(spansOf(r.path)) / area;
      return share > 1 / GROWTH && share < GROWTH && distance(centreOf(r.path), c) < reach;
    })
    .sort((a, b) => distance(centreOf(a.path), c) - distance(centreOf(b.path), c));
}

/**
 * Carries a place on one outline to the same place of another size: the corner that matches, or the point as far
 * along between the two matching corners.
 */
export type Carry = (p: Point) => Point;

/** Pairs the corners of two outlines of one piece, going round both from the pair that fits best. */
export function matchCorners(
  base: readonly Point[],
  other: readonly Point[],
): { readonly pairs: readonly (readonly [Point, Point])[]; readonly worst: number } | null {
  const n = base.length;
  if (n === 0 || other.length !== n) return null;
  const middle = (list: readonly Point[]): Point => ({
    x: list.reduce((s, p) => s + p.x, 0) / list.length,
    y: list.reduce((s, p) => s + p.y, 0) / list.length,
  });
  const [a, b] = [middle(base), middle(other)];
  let best: { readonly turn: number; readonly cost: number } | null = null;
  for (let turn = 0; turn < n; turn++) {
    let cost = 0;
    base.forEach((p, i) => {
      const q = cyclic(other, i + turn);
      cost += Math.hypot(p.x - a.x - (q.x - b.x), p.y - a.y - (q.y - b.y)) ** 2;
    });
    if (!best || cost < best.cost) best = { turn, cost };
  }
  const turn = best?.turn ?? 0;
  const pairs = base.map((p, i) => [p, cyclic(other, i + turn)] as const);
  return { pairs, worst: Math.sqrt((best?.cost ?? 0) / n) };
}

/** Corners of an outline as tracing finds them, those added and removed by hand included. */
function cornerPoints(ring: Path, turned: TraceChoices['turned']): readonly Point[] {
  const near = (p: Point, q: Point): boolean => distance(p, q) <= MEANT;
  const found = cornersOf(cleanRing(ring).ring).map((c) => c.at);
  const kept = found.filter((p) => !turned.some((t) => !t.on && near(t.at, p)));
  return [...kept, ...turned.filter((t) => t.on && !kept.some((p) => distance(p, t.at) < 1)).map((t) => t.at)];
}

/** Points in the order in which they lie along an outline. */
const alongRing = (ring: Path, points: readonly Point[]): readonly Point[] =>
  [...points].sort((p, q) => nearestLength(ring, p) - nearestLength(ring, q));

/** Bends slighter than this are never corners; sharper than that they always are, degrees. */
const SLIGHTEST = 5;
const SHARP = 35;
/** An inward point this sharp is where an allowance met itself in a hollow, no corner of the piece, degrees. */
const CUSP = 130;
/** A corner lies no farther than this from where the boxes of two sizes would put it, mm. */
const CORNER_NEAR = 45;

/**
 * The corners of another size that match those of the base: of all its bends the ones nearest to where the base's
 * corners come to lie when one box is laid on the other. A shallow corner, as on a dart's end, may be a little sharper
 * in one size than in the next. Null where one has no match, or a sharp corner is left over.
 */
function cornersLike(ring: Path, base: Path, corners: readonly Point[]): readonly Point[] | null {
  const all = cornersOf(cleanRing(ring).ring, SLIGHTEST);
  const [from, to] = [boundsOf(flatten(base, 1)), boundsOf(flatten(ring, 1))];
  const along = (v: number, a: number, b: number, c: number, d: number): number =>
    c + ((v - a) / (b - a || 1)) * (d - c);
  const taken = new Set<number>();
  for (const p of corners) {
    const q = {
      x: along(p.x, from.minX, from.maxX, to.minX, to.maxX),
      y: along(p.y, from.minY, from.maxY, to.minY, to.maxY),
    };
    const best = all
      .map((c, i) => ({ i, d: distance(c.at, q) }))
      .filter(({ i, d }) => d < CORNER_NEAR && !taken.has(i))
      .sort((a, b) => a.d - b.d)[0];
    if (!best) return null;
    taken.add(best.i);
  }
  if (all.some((c, i) => Math.abs(c.turn) > SHARP && c.turn > -CUSP && !taken.has(i))) return null;
  return all.filter((_, i) => taken.has(i)).map((c) => c.at);
}

/** What makes tracing take just these corners. */
function turnedTo(ring: Path, corners: readonly Point[]): TraceChoices['turned'] {
  const found = cornersOf(cleanRing(ring).ring).map((c) => c.at);
  const has = (list: readonly Point[], p: Point): boolean => list.some((q) => distance(p, q) < 1);
  return [
    ...found.filter((p) => !has(corners, p)).map((at) => ({ at, on: false })),
    ...corners.filter((p) => !has(found, p)).map((at) => ({ at, on: true })),
  ];
}

/** How places are carried from one size's outline to another's, by their matching corners. */
function carryBetween(from: Path, to: Path, pairs: readonly (readonly [Point, Point])[]): Carry {
  const [all, every] = [pathLength(from), pathLength(to)];
  const stops = pairs
    .map(([p, q]) => ({ from: nearestLength(from, p), to: nearestLength(to, q) }))
    .sort((x, y) => x.from - y.from);
  const way = (a: number, b: number, total: number): number => (b - a + total) % total || total;
  return (p) => {
    const s = nearestLength(from, p);
    const on = pointAt(from, s);
    const found = stops.findLastIndex((x) => x.from <= s + TOL.meets);
    const i = found < 0 ? stops.length - 1 : found;
    const [a, b] = [stops[i], stops[(i + 1) % stops.length]];
    if (!a || !b) return p;
    const done = Math.abs(s - a.from) < TOL.meets ? 0 : way(a.from, s, all);
    const there = pointAt(to, (a.to + (done / way(a.from, b.from, all)) * way(a.to, b.to, every)) % every);
    // A place beside the line keeps its distance from it.
    return { x: there.x + p.x - on.x, y: there.y + p.y - on.y };
  };
}

/** Marks inside a piece move as the corners do, those nearest most. */
function carryInside(pairs: readonly (readonly [Point, Point])[]): Carry {
  return (p) => {
    let [x, y, sum] = [0, 0, 0];
    for (const [a, b] of pairs) {
      const w = 1 / (distance(p, a) ** 2 + 1);
      x += w * (b.x - a.x);
      y += w * (b.y - a.y);
      sum += w;
    }
    return sum === 0 ? p : { x: p.x + x / sum, y: p.y + y / sum };
  };
}

/**
 * Traces another size of a piece just as the base was traced: every choice made on the base is carried to where it
 * lies on the other outline, so that edges, darts and marks come out in the same order under the same names, and
 * grading between the sizes works. Refuses where the outlines have not the same corners, or the other size shows
 * other darts.
 */
export function traceLike(
  base: { readonly ring: Ring; readonly choices: TraceChoices; readonly traced: Traced },
  other: Ring,
  others: readonly Stroke[],
): Result<Traced, NestError> {
  const mine = alongRing(base.ring.path, cornerPoints(base.ring.path, base.choices.turned));
  const theirs = cornersLike(other.path, base.ring.path, mine);
  const matched = theirs ? matchCorners(mine, theirs) : null;
  if (!theirs || !matched)
    return refuse('nest-corners-differ', { base: mine.length, other: cornerPoints(other.path, []).length });
  const on = carryBetween(cleanRing(base.ring.path).ring, cleanRing(other.path).ring, matched.pairs);
  const inside = carryInside(matched.pairs);
  const { choices, traced } = base;
  // Roles are not guessed again: each edge takes its counterpart's.
  const edges = traced.edges
    .filter((e) => e.role !== 'dart')
    .map((e) => ({
      at: on(pointAt(e.path, pathLength(e.path) / 2)),
      role: e.role,
      allowance: e.allowance,
      fold: e.fold,
    }));
  const carried: TraceChoices = {
    ...choices,
    orientation: traced.orientation,
    turned: turnedTo(other.path, theirs),
    said: edges,
    notDarts: choices.notDarts.map(inside),
    ownDarts: choices.ownDarts.map((d) => ({ tip: inside(d.tip), one: on(d.one), two: on(d.two) })),
    notNotches: choices.notNotches.map(on),
    ownNotches: choices.ownNotches.map(on),
    grain: choices.grain ? { from: inside(choices.grain.from), to: inside(choices.grain.to) } : traced.grain,
    bustPoint: traced.bustPoint ? inside(traced.bustPoint) : null,
    levels: Object.fromEntries(Object.entries(choices.levels).map(([k, p]) => [k, inside(p)])),
  };
  const once = tracePiece(other, others, carried);
  // A bust point that was a mark of the tissue is that mark again in the other size.
  const bust = carried.bustPoint;
  const dot = bust
    ? once.dots.filter((d) => distance(d, bust) < BUST_NEAR).sort((a, b) => distance(a, bust) - distance(b, bust))[0]
    : undefined;
  const result = dot ? tracePiece(other, others, { ...carried, bustPoint: dot }) : once;
  if (result.darts.length !== traced.darts.length)
    return refuse('nest-darts-differ', { base: traced.darts.length, other: result.darts.length });
  const [a, b] = [traced.piece.edges, result.piece.edges];
  if (a.length !== b.length) return refuse('nest-edges-differ', { base: a.length, other: b.length });
  return ok({ ...result, piece: namedLike(traced.piece, result.piece) });
}

/** The edges begun at the counterpart of the base's first, all under the base's names. */
function namedLike(base: Piece, piece: Piece): Piece {
  const n = base.edges.length;
  const roles = base.edges.map((e) => e.role);
  const middles = (p: Piece): readonly Point[] => p.edges.map((e) => e.path.start);
  const pairing = matchCorners(middles(base), middles(piece));
  const firstPoint = pairing?.pairs[0]?.[1];
  const byPlace = piece.edges.findIndex(
    (e) => firstPoint !== undefined && distance(e.path.start, firstPoint) < TOL.same,
  );
  const fits = (turn: number): boolean => roles.every((r, i) => piece.edges[(i + turn) % n]?.role === r);
  const turn =
    byPlace >= 0 && fits(byPlace)
      ? byPlace
      : Math.max(
          0,
          roles.findIndex((_, k) => fits(k)),
        );
  const names = new Map<string, string>();
  const edges = base.edges.map((e, i) => {
    const mine = cyclic(piece.edges, i + turn);
    names.set(mine.id, e.id);
    return { ...mine, id: e.id };
  });
  const as = (id: string): string => names.get(id) ?? id;
  const darts = base.darts.flatMap((d) => {
    const mine = piece.darts.find((x) => as(x.mouth) === d.mouth);
    return mine ? [{ ...mine, id: d.id, mouth: d.mouth }] : [];
  });
  return {
    ...piece,
    edges,
    darts,
    fold: base.fold,
    marks: piece.marks.map((m) => (m.kind === 'notch' ? { ...m, edge: as(m.edge) } : m)),
  };
}
