import {
  add,
  distance,
  endOf,
  intersectPaths,
  joinPaths,
  lineMeet,
  midpoint,
  nearestOnPath,
  pathLength,
  pointAt,
  polyline,
  reversePath,
  scale,
  sub,
  unit,
  type Path,
  type Point,
} from '../../../geometry/index.ts';
import {
  bustPointOf,
  dartShape,
  isInside,
  levelOf,
  neckBaseOf,
  requireEdge,
  type Dart,
  type Edge,
  type Piece,
} from '../../../pattern/index.ts';
import { centreLine } from '../../../paper/truing/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { Context, Values } from '../../contract.ts';
import { choiceOf, numberOf, pointOf } from '../../engine/values.ts';
import { centreX, underarmOf, type Front } from './front.ts';

export type BustPointSource = 'placed' | 'wearer' | 'waist' | 'pattern' | 'darts' | 'tip';

/** A bust height is taken from the neck down or from the waist up: one is as good as the other. */
export type HeightFrom = 'neck' | 'waist';

/**
 * Where the wearer's own bust point lies on a front: half the span from the centre, and down from the neck base or up
 * from the waist. By default from the neck where that was measured, otherwise from the waist. Null where she is
 * not measured, or the front does not show where to measure from.
 */
export function wearerBustPoint(
  piece: Piece,
  dir: 1 | -1,
  wearer: Context['wearer'],
  from: HeightFrom | null = null,
): Point | null {
  const { neckPointToBustPoint: down, bustPointToWaist: up, bustSpan } = wearer;
  if (bustSpan === undefined) return null;
  const x = centreX(piece) + (dir * bustSpan) / 2;
  const neck = from === 'waist' ? null : neckBaseOf(piece);
  const across = neck ? x - neck.x : 0;
  if (neck && down !== undefined && down > Math.abs(across))
    return { x, y: neck.y + Math.sqrt(down * down - across * across) };
  const waist = from === 'neck' ? null : waistUnder(piece);
  return waist !== null && up !== undefined ? { x, y: waist - up } : null;
}

/** The height of the waist on a front: its mark, else where its waist seam meets the centre. */
function waistUnder(piece: Piece): number | null {
  const marked = levelOf(piece, 'waist');
  if (marked) return marked.y;
  const seam = piece.edges.filter((e) => e.role === 'waist').flatMap((e) => [e.path.start, endOf(e.path)]);
  const x = centreX(piece);
  return seam.sort((a, b) => Math.abs(a.x - x) - Math.abs(b.x - x))[0]?.y ?? null;
}

/** How much lower the bust point lies from the waist up than from the neck down, mm; null where she is not measured both ways. */
export function heightsApart(piece: Piece, dir: 1 | -1, wearer: Context['wearer']): number | null {
  const [neck, waist] = (['neck', 'waist'] as const).map((from) => wearerBustPoint(piece, dir, wearer, from));
  return neck && waist ? waist.y - neck.y : null;
}

/** The bust point by the chosen source, falling back in craft order to what can be known; says which it took. */
export function findBustPoint(
  front: Front,
  context: Context,
  values: Values,
): { readonly at: Point; readonly source: BustPointSource } | null {
  const placed = pointOf(values, 'bustPoint');
  if (placed) return { at: placed, source: 'placed' };
  const sources: Record<Exclude<BustPointSource, 'placed'>, () => Point | null> = {
    wearer: () => wearerBustPoint(front.piece, front.dir, context.wearer),
    waist: () => wearerBustPoint(front.piece, front.dir, context.wearer, 'waist'),
    pattern: () => bustPointOf(front.piece) ?? null,
    darts: () => crossingOfDarts(front.piece),
    tip: () => {
      const dart = front.sideDart ?? front.goal ?? front.waistDart;
      if (!dart) return null;
      const { from, to } = centreLine(front.piece, dart);
      return add(to, scale(unit(sub(to, from)), numberOf(values, 'setback')));
    },
  };
  const order = [choiceOf(values, 'whose'), 'wearer', 'pattern', 'darts', 'tip'] as (keyof typeof sources)[];
  for (const source of order) {
    const at = sources[source]();
    const byWaist = source === 'wearer' && context.wearer.neckPointToBustPoint === undefined;
    if (at && isInside(front.piece, at)) return { at, source: byWaist ? 'waist' : source };
  }
  const asked = sources[order[0] ?? 'tip']() ?? sources.tip();
  return asked ? { at: asked, source: order[0] ?? 'tip' } : null;
}

/** Where the centre lines of two darts cross: the bust point the draft was made for. Null with one dart, or parallel ones. */
export function crossingOfDarts(piece: Piece): Point | null {
  const [a, b] = piece.darts.filter((d) => d.kind !== 'other').map((d) => centreLine(piece, d));
  if (!a || !b) return null;
  return lineMeet(a.from, sub(a.to, a.from), b.from, sub(b.to, b.from))?.point ?? null;
}

export interface HingePlace {
  readonly edge: Edge;
  readonly at: Point;
}

/** How far a hinge stays from a dart in its own seam, mm. */
const BESIDE_DART = 8;

/** The hinge: a share of the length of the seam that carries it, from its upper end (shoulder, neck, sleeve hem). */
export function hingeAt(front: Front, share: number): HingePlace {
  const edges = front.hingeEdges;
  const total = edges.reduce((sum, e) => sum + pathLength(e.path), 0);
  let rest = (front.dir === 1 ? share : 1 - share) * total;
  let last: HingePlace | null = null;
  for (const [i, edge] of edges.entries()) {
    const size = pathLength(edge.path);
    // Between two edges lies a dart: a hinge on its very corner would have no seam on one side.
    const least = i > 0 ? Math.min(BESIDE_DART, size / 2) : 0;
    const most = i < edges.length - 1 ? size - Math.min(BESIDE_DART, size / 2) : size;
    last = { edge, at: pointAt(edge.path, Math.min(Math.max(rest, least), most)) };
    if (rest <= size) return last;
    rest -= size;
  }
  if (!last) throw new Error('hingeAt: expected a seam to hinge on, findFront refuses a piece without one');
  return last;
}

/** A hinge placed by hand, set onto the seam line; refused when it is not on it. */
export function hingeNear(front: Front, p: Point): Result<HingePlace> {
  const places = front.hingeEdges.map((edge) => ({ edge, near: nearestOnPath(edge.path, p) }));
  const best = places.sort((a, b) => a.near.distance - b.near.distance)[0];
  if (!best || best.near.distance > TOL.hinge)
    return refuse('hinge-not-on-armhole', { piece: front.piece.name, by: best?.near.distance ?? 0 });
  return ok({ edge: best.edge, at: best.near.point });
}

/** The hinge's seam from its upper end down, as one path; for dragging the hinge along it. */
export const hingePath = (front: Front): Path => {
  const path = joinPaths(front.hingeEdges.map((e) => e.path));
  return front.dir === 1 ? path : reversePath(path);
};

/** Where line 1 leaves the piece below the bust point, straight down the grain: the lowest seam it meets. */
export function lineOneFoot(front: Front, p: Point): Result<{ readonly at: Point; readonly edge: Edge }> {
  const down = polyline([p, { x: p.x, y: p.y + 5000 }]);
  let best: { at: Point; edge: Edge } | null = null;
  for (const edge of front.piece.edges)
    for (const hit of intersectPaths(down, edge.path))
      if (!best || hit.point.y > best.at.y) best = { at: hit.point, edge };
  if (!best) return refuse('bust-point-outside', { piece: front.piece.name });
  const allowed = ['waist', 'hem', 'dart', 'other'];
  return allowed.includes(best.edge.role) ? ok(best) : refuse('line-misses-hem', { edge: best.edge.id });
}

/** Where line 2, from the bust point along the dart's centre, leaves through the mouth. */
export function dartMouthPoint(piece: Piece, dart: Dart, p: Point): Point {
  const shape = dartShape(piece, dart);
  const middle = midpoint(shape.start, shape.end);
  const mouth = requireEdge(piece, dart.mouth).path;
  const ray = polyline([p, add(p, scale(sub(middle, p), 2))]);
  const hits = [...intersectPaths(ray, mouth)].sort((a, b) => distance(b.point, p) - distance(a.point, p));
  return hits[0]?.point ?? middle;
}

/** Where line 2 begins in a bare side seam: `below` the underarm along the seam. */
export function sidePoint(
  front: Front,
  below: number,
): { readonly edge: Edge; readonly along: number; readonly at: Point } {
  const { edge, at } = underarmOf(front);
  const size = pathLength(edge.path);
  const reach = Math.min(below, size - 20);
  const along = distance(at, edge.path.start) < TOL.same ? reach : size - reach;
  return { edge, along, at: pointAt(edge.path, along) };
}

/** Height of line 3: the lengthen/shorten line where it lies between bust point and hem, else the middle. */
export function lineThree(front: Front, p: Point, foot: Point): { readonly y: number; readonly onLevel: boolean } {
  const level = levelOf(front.piece, 'lengthenShorten');
  if (level && level.y > p.y + 10 && level.y < foot.y - 10) return { y: level.y, onLevel: true };
  return { y: (p.y + foot.y) / 2, onLevel: false };
}
