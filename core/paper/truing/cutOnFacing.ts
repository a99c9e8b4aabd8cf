import {
  endOf,
  intersectPaths,
  joinPaths,
  mapPath,
  polyline,
  reversePath,
  splitPath,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { centreEdgeOf, uprightAt, type Beyond, type Edge, type Piece } from '../../pattern/index.ts';
import { nth, TOL } from '../../units/index.ts';

/**
 * What a facing folded under along an upright fold is bounded by: from the fold to a corner of the centre and on along
 * the seams that begin there, over so much width, turned over across the fold. Null where the seam does not reach so far.
 */
export function underFold(foldX: number, corner: Point, seam: Path, width: number): Path | null {
  const inward = Math.sign(corner.x - foldX) || 1;
  const chain = joinPaths([polyline([{ x: foldX, y: corner.y }, corner]), seam]);
  const hit = intersectPaths(chain, uprightAt(foldX + inward * width))[0];
  return hit ? mapPath(splitPath(chain, hit.first)[0], (p) => ({ x: 2 * foldX - p.x, y: p.y })) : null;
}

/** A facing cut on beyond an upright fold: the edge farthest out, and how far from the fold it lies, mm. */
export interface CutOnFacing {
  readonly beyond: Beyond;
  readonly foldX: number;
  readonly outer: number;
  readonly width: number;
}

/** The facing cut on to a piece; null where there is none that ends in one upright edge. */
export function cutOnFacing(piece: Piece): CutOnFacing | null {
  const { beyond } = piece;
  const fold = beyond?.folds.at(-1);
  if (!beyond || !fold) return null;
  const foldX = (fold.from.x + fold.to.x) / 2;
  const far = (e: Edge): number => Math.min(Math.abs(e.path.start.x - foldX), Math.abs(endOf(e.path).x - foldX));
  const width = Math.max(...beyond.edges.map(far));
  const outer = beyond.edges.findIndex((e) => far(e) === width);
  return outer > 0 && outer < beyond.edges.length - 1 && width > TOL.touches ? { beyond, foldX, outer, width } : null;
}

/**
 * A piece with its cut-on facing so wide, mm: narrower it is cut off, wider it goes on as neckline, shoulder and hem
 * mirror across the fold. Null where these do not reach so far, or nothing would be left of it.
 */
export function withFacingWidth(piece: Piece, facing: CutOnFacing, width: number): Piece | null {
  const { beyond, foldX, outer } = facing;
  const centre = centreEdgeOf(piece);
  if (!centre) return null;
  const [before, edge, after] = [outer - 1, outer, outer + 1].map((i) => nth(beyond.edges, i)) as [Edge, Edge, Edge];
  const c = piece.edges.indexOf(centre);
  /** The outline from one end of the centre round to the other. */
  const around = [...piece.edges.slice(c + 1), ...piece.edges.slice(0, c)].map((e) => e.path);
  const wider = width > facing.width;
  const line = uprightAt(foldX + Math.sign(edge.path.start.x - foldX) * width);
  /** From the fold outward. */
  const cut = (path: Path): Path | null => {
    const hit = intersectPaths(path, line)[0];
    return hit ? splitPath(path, hit.first)[0] : null;
  };
  const low = wider ? underFold(foldX, centre.path.start, reversePath(joinPaths(around)), width) : cut(before.path);
  const high = wider ? underFold(foldX, endOf(centre.path), joinPaths(around), width) : cut(reversePath(after.path));
  if (!low || !high || low.segments.length === 0 || high.segments.length === 0) return null;
  const drawn = new Map([
    [before.id, low],
    [edge.id, polyline([endOf(low), endOf(high)])],
    [after.id, reversePath(high)],
  ]);
  return {
    ...piece,
    beyond: { ...beyond, edges: beyond.edges.map((e) => ({ ...e, path: drawn.get(e.id) ?? e.path })) },
  };
}
