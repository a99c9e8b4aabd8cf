import {
  angleOf,
  boundsOf,
  cross,
  distance,
  endOf,
  flatten,
  intersectPaths,
  move,
  movePath,
  nearestLength,
  pathLength,
  pointAt,
  polyline,
  rotate,
  rotationAbout,
  scale,
  sub,
  tangentAt,
  inverse,
  type Point,
  type Rigid,
} from '../../geometry/index.ts';
import { edgesWithRole, outlineOf, requireEdge, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';

/** A band turned so that its long edges lie level, and the way back to how it is drawn. */
export interface LevelBand {
  readonly piece: Piece;
  readonly top: number;
  readonly bottom: number;
  /** From the level band to the paper: a point, and a way. */
  readonly point: (p: Point) => Point;
  readonly way: (v: Point) => Point;
  /** From the paper to the level band. */
  readonly level: (p: Point) => Point;
}

/** The edges a band is sewn by: those named, else those of the neckline, else its longest. */
function sewnEdges(band: Piece, edges: readonly string[]): readonly string[] {
  if (edges.length > 0) return edges;
  const neck = edgesWithRole(band, 'neck').map((e) => e.id);
  if (neck.length > 0) return neck;
  const longest = [...band.edges].sort((a, b) => pathLength(b.path) - pathLength(a.path))[0];
  return longest ? [longest.id] : [];
}

/**
 * A band lies along the edge it is sewn by, however it is drawn on the paper: upright, level or on the slant. One that
 * is drawn level already is left as it is.
 */
export function levelBand(band: Piece, edges: readonly string[] = []): LevelBand {
  const chords = sewnEdges(band, edges).map((id) => {
    const path = requireEdge(band, id).path;
    return sub(endOf(path), path.start);
  });
  const along = chords.reduce((sum, c) => ({ x: sum.x + c.x, y: sum.y + c.y }), { x: 0, y: 0 });
  const slant = Math.atan(along.x === 0 ? Infinity : along.y / along.x);
  const upright = along.x === 0 ? angleOf(along) : slant;
  const turn: Rigid = Math.abs(upright) < TOL.zero ? { angle: 0, x: 0, y: 0 } : rotationAbout({ x: 0, y: 0 }, -upright);
  const back = inverse(turn);
  const piece = { ...band, edges: band.edges.map((e) => ({ ...e, path: movePath(e.path, turn) })) };
  const box = boundsOf(flatten(outlineOf(piece)));
  return {
    piece,
    top: box.minY,
    bottom: box.maxY,
    point: (p) => move(back, p),
    way: (v) => rotate(v, back.angle),
    level: (p) => move(turn, p),
  };
}

/** A line across a level band. */
export interface Across {
  readonly at: Point;
  readonly to: Point;
  /** Which way the seam runs where the line begins, to the right. */
  readonly along: Point;
  /** The edge it ends on, how far along that, mm, and whether that runs beside the seam: moved along it, it has no step. */
  readonly far: { readonly edge: string; readonly along: number; readonly beside: boolean } | null;
}

/** A line straight across the band, from the middle of a seam edge to the edge beyond it, on the level band. */
export function across({ piece, top, bottom }: LevelBand, edge: string): Across {
  const path = requireEdge(piece, edge).path;
  const middle = pathLength(path) / 2;
  const at = pointAt(path, middle);
  const way = tangentAt(path, middle);
  const along = way.x < 0 ? scale(way, -1) : way;
  const far = Math.abs(top - at.y) > Math.abs(bottom - at.y) ? top : bottom;
  const line = polyline([at, { x: at.x, y: far + Math.sign(far - at.y) }]);
  const met = piece.edges
    .filter((e) => e.id !== edge)
    .flatMap((e) => intersectPaths(line, e.path).map((h) => ({ point: h.point, edge: e })))
    .filter((h) => distance(h.point, at) > 1)[0];
  if (!met) return { at, to: { x: at.x, y: far }, along, far: null };
  const on = nearestLength(met.edge.path, met.point);
  const beside = Math.abs(cross(tangentAt(met.edge.path, on), along)) < TOL.straightOn;
  return { at, to: met.point, along, far: { edge: met.edge.id, along: on, beside } };
}
