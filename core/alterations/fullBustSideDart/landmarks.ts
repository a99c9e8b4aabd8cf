import {
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
  sub,
  unit,
  add,
  scale,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import {
  bustPointOf,
  dartShape,
  edgesWithRole,
  isInside,
  levelOf,
  requireEdge,
  sideDirection,
  type Dart,
  type Edge,
  type Piece,
} from '../../pattern/index.ts';
import { centreLine } from '../../truing/index.ts';
import { ok, refuse, TOL, type Result } from '../../units/index.ts';
import type { Context, Values } from '../contract.ts';
import { choiceOf, numberOf, pointOf } from '../values.ts';

/** The front piece, its side dart and what lies around it. `dir` is +1 where the side is to the right. */
export interface Front {
  readonly piece: Piece;
  readonly dir: 1 | -1;
  readonly dart: Dart;
  readonly upperSide: Edge;
  readonly lowerSide: Edge;
  readonly waistDart: Dart | null;
}

export function findFront(pieces: readonly Piece[]): Result<Front> {
  const piece = pieces.find((p) => p.part === 'front');
  if (!piece) return refuse('front-not-found');
  if (edgesWithRole(piece, 'centreFront').length === 0) return refuse('centre-front-missing', { piece: piece.name });
  if (edgesWithRole(piece, 'armhole').length === 0) return refuse('armhole-missing', { piece: piece.name });
  const dart = piece.darts.find((d) => d.kind === 'side');
  if (!dart) return refuse('no-side-dart', { piece: piece.name });
  const i = piece.edges.findIndex((e) => e.id === dart.mouth);
  const n = piece.edges.length;
  const a = piece.edges[(i + n - 1) % n];
  const b = piece.edges[(i + 1) % n];
  if (!a || !b || a.role !== 'side' || b.role !== 'side') return refuse('dart-not-in-side-seam', { piece: piece.name });
  const top = (e: Edge): number => Math.min(e.path.start.y, endOf(e.path).y);
  const [upperSide, lowerSide] = top(a) < top(b) ? [a, b] : [b, a];
  return ok({
    piece,
    dir: sideDirection(piece),
    dart,
    upperSide,
    lowerSide,
    waistDart: piece.darts.find((d) => d.kind === 'waist') ?? null,
  });
}

/** Where the neck line meets the shoulder: the wearer's bust height is measured from here. */
export function neckPoint(piece: Piece): Point | null {
  const n = piece.edges.length;
  for (const [i, edge] of piece.edges.entries()) {
    const next = piece.edges[(i + 1) % n];
    const roles = [edge.role, next?.role];
    if (roles.includes('neck') && roles.includes('shoulder')) return endOf(edge.path);
  }
  return null;
}

export const centreX = (front: Front): number => edgesWithRole(front.piece, 'centreFront')[0]?.path.start.x ?? 0;

export type BustPointSource = 'placed' | 'wearer' | 'pattern' | 'darts' | 'tip';

/** The bust point by the chosen source, falling back in craft order to what can be known; says which it took. */
export function findBustPoint(
  front: Front,
  context: Context,
  values: Values,
): { readonly at: Point; readonly source: BustPointSource } {
  const placed = pointOf(values, 'bustPoint');
  if (placed) return { at: placed, source: 'placed' };
  const { neckPointToBustPoint: height, bustSpan } = context.wearer;
  const neck = neckPoint(front.piece);
  const sources: Record<Exclude<BustPointSource, 'placed'>, () => Point | null> = {
    wearer: () => {
      if (height === undefined || bustSpan === undefined || !neck) return null;
      const x = centreX(front) + (front.dir * bustSpan) / 2;
      const across = x - neck.x;
      return height > Math.abs(across) ? { x, y: neck.y + Math.sqrt(height * height - across * across) } : null;
    },
    pattern: () => bustPointOf(front.piece) ?? null,
    darts: () => {
      if (!front.waistDart) return null;
      const a = centreLine(front.piece, front.dart);
      const b = centreLine(front.piece, front.waistDart);
      return lineMeet(a.from, sub(a.to, a.from), b.from, sub(b.to, b.from))?.point ?? null;
    },
    tip: () => {
      const { from, to } = centreLine(front.piece, front.dart);
      return add(to, scale(unit(sub(to, from)), numberOf(values, 'setback')));
    },
  };
  const order = [choiceOf(values, 'whose'), 'wearer', 'pattern', 'darts', 'tip'] as (keyof typeof sources)[];
  for (const source of order) {
    const at = sources[source]();
    if (at && isInside(front.piece, at)) return { at, source };
  }
  const asked = sources[order[0] ?? 'tip']() ?? sources.tip();
  return { at: asked ?? front.dart.tip, source: order[0] ?? 'tip' };
}

export interface ArmholePlace {
  readonly edge: Edge;
  readonly at: Point;
}

/** The hinge: a share of the armhole's length from the shoulder end. */
export function hingeAt(front: Front, share: number): ArmholePlace {
  const edges = edgesWithRole(front.piece, 'armhole');
  const total = edges.reduce((sum, e) => sum + pathLength(e.path), 0);
  let rest = (front.dir === 1 ? share : 1 - share) * total;
  let last: ArmholePlace | null = null;
  for (const edge of edges) {
    const size = pathLength(edge.path);
    last = { edge, at: pointAt(edge.path, Math.min(rest, size)) };
    if (rest <= size) return last;
    rest -= size;
  }
  if (!last) throw new Error('hingeAt: expected an armhole, findFront refuses a piece without one');
  return last;
}

/** A hinge placed by hand, set onto the armhole seam line; refused when it is not on it. */
export function hingeNear(front: Front, p: Point): Result<ArmholePlace> {
  const places = edgesWithRole(front.piece, 'armhole').map((edge) => ({ edge, near: nearestOnPath(edge.path, p) }));
  const best = places.sort((a, b) => a.near.distance - b.near.distance)[0];
  if (!best || best.near.distance > TOL.hinge)
    return refuse('hinge-not-on-armhole', { piece: front.piece.name, by: best?.near.distance ?? 0 });
  return ok({ edge: best.edge, at: best.near.point });
}

/** Shoulder to underarm, as one path; for dragging the hinge along it. */
export const armholePath = (front: Front): Path => {
  const path = joinPaths(edgesWithRole(front.piece, 'armhole').map((e) => e.path));
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
export function dartMouthPoint(front: Front, p: Point): Point {
  const shape = dartShape(front.piece, front.dart);
  const middle = midpoint(shape.start, shape.end);
  const mouth = requireEdge(front.piece, front.dart.mouth).path;
  const ray = polyline([p, add(p, scale(sub(middle, p), 2))]);
  const hits = [...intersectPaths(ray, mouth)].sort((a, b) => distance(b.point, p) - distance(a.point, p));
  return hits[0]?.point ?? middle;
}

/** Height of line 3: the lengthen/shorten line where it lies between bust point and hem, else the middle. */
export function lineThree(front: Front, p: Point, foot: Point): { readonly y: number; readonly onLevel: boolean } {
  const level = levelOf(front.piece, 'lengthenShorten');
  if (level && level.y > p.y + 10 && level.y < foot.y - 10) return { y: level.y, onLevel: true };
  return { y: (p.y + foot.y) / 2, onLevel: false };
}
