import {
  distance,
  joinPaths,
  nearestLength,
  nearestOnPath,
  pathLength,
  pointAt,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { edgeOf } from './access.ts';
import type { EdgeRole, Piece } from './types.ts';

export type SnapKind = 'notch' | 'third' | 'corner' | 'grain' | 'across';

/** What a dragged thing was drawn to, so that it can be named. */
export interface Snap {
  readonly at: Point;
  readonly kind: SnapKind;
  readonly role?: EdgeRole;
}

/** Every place on the seam line that draws a drag: notches, thirds of edges, corners. Dart mouths have none. */
export function snapPlaces(piece: Piece): readonly Snap[] {
  const notches = piece.marks.flatMap((m): readonly Snap[] => {
    const edge = m.kind === 'notch' ? edgeOf(piece, m.edge) : undefined;
    return m.kind === 'notch' && edge ? [{ kind: 'notch', at: pointAt(edge.path, m.at), role: edge.role }] : [];
  });
  const edges = piece.edges.filter((e) => e.role !== 'dart');
  const thirds = edges.flatMap((e): readonly Snap[] => {
    const size = pathLength(e.path);
    return [1, 2].map((k) => ({ kind: 'third', at: pointAt(e.path, (size * k) / 3), role: e.role }));
  });
  const corners = edges.map((e): Snap => ({ kind: 'corner', at: e.path.start, role: e.role }));
  return [...notches, ...thirds, ...corners];
}

/** The nearest of some places within `radius` mm; a notch wins over a third at the same distance. Null for none. */
export function snapTo(places: readonly Snap[], p: Point, radius: number): Snap | null {
  let best: Snap | null = null;
  let least = radius;
  for (const place of places) {
    const d = distance(place.at, p);
    if (d < least) {
      best = place;
      least = d;
    }
  }
  return best;
}

/** Straight along the grain or square to it from where a drag began, within `radius` mm. */
export function snapToGrain(from: Point, p: Point, radius: number): Snap | null {
  const aside = Math.abs(p.x - from.x);
  const along = Math.abs(p.y - from.y);
  if (aside < radius && along > radius) return { kind: 'grain', at: { x: from.x, y: p.y } };
  return along < radius && aside > radius ? { kind: 'across', at: { x: p.x, y: from.y } } : null;
}

export interface Walked {
  /** Along the seam line between the two points, the shorter way round, dart mouths left out. */
  readonly length: number;
  /** True when a dart lay between them and was left out. */
  readonly skipsDart: boolean;
}

/**
 * Length along a piece's seam line between the places nearest to two points: the shorter way round, the open
 * ends of darts not counted. Null when either point is farther than `reach` mm from the seam line.
 */
export function alongSeamLine(piece: Piece, a: Point, b: Point, reach: number): Walked | null {
  const outline: Path = joinPaths(piece.edges.map((e) => e.path));
  if (nearestOnPath(outline, a).distance > reach || nearestOnPath(outline, b).distance > reach) return null;
  const [from, to] = [nearestLength(outline, a), nearestLength(outline, b)].sort((x, y) => x - y) as [number, number];
  const total = pathLength(outline);
  let at = 0;
  const mouths = piece.edges.flatMap((e): readonly (readonly [number, number])[] => {
    const size = pathLength(e.path);
    at += size;
    return e.role === 'dart' ? [[at - size, at]] : [];
  });
  const within = (lo: number, hi: number): number =>
    mouths.reduce((n, [m0, m1]) => n + Math.max(0, Math.min(hi, m1) - Math.max(lo, m0)), 0);
  const inner = { length: to - from - within(from, to), skipsDart: within(from, to) > 0 };
  const around = within(0, from) + within(to, total);
  const outer = { length: total - (to - from) - around, skipsDart: around > 0 };
  return inner.length <= outer.length ? inner : outer;
}
