import {
  add,
  angleOf,
  endOf,
  pathLength,
  polyline,
  rotationAbout,
  scale,
  sub,
  translation,
  movePath,
  type Point,
} from '../../geometry/index.ts';
import { solveBetween } from '../../numeric/index.ts';
import { edgesWithRole, mirrorPiece, replaceEdge, requireEdge, type Edge, type Piece } from '../../pattern/index.ts';
import { closeSeam, openPoint, ruleSeam, shutPoint, straightLength } from './closed.ts';
import { turnCorner } from './carry.ts';
import { drawCorner, edgeAfter, edgeBefore } from './corner.ts';
import { moveStart } from './moveEnd.ts';
import { cornerAngle } from './walk.ts';
import { TOL } from '../../units/index.ts';

/**
 * The back on a fold after its upper part has been turned up by `by`: the centre is drawn straight again, the
 * neckline put back in its old shape at its new height, and the shoulder, as long as it was and straight, is turned
 * about the new neck point until the armhole, drawn again from nothing at `reach` below the shoulder, is as long as
 * it was. `was` is the piece before, `now` the piece as the slash left it.
 */
export function restoreNeck(was: Piece, now: Piece, by: number, reach: number): Piece {
  const turned = edgesWithRole(was, 'neck')[0]?.id === was.edges.find((_, i) => isBeforeCentre(was, i))?.id;
  const before = turned ? mirrorPiece(was) : was;
  const after = turned ? mirrorPiece(now) : now;
  const neck = edgesWithRole(before, 'neck')[0];
  const centre = edgesWithRole(after, 'centreBack').at(-1);
  if (!neck || !centre) return now;
  const beside = requireEdge(before, edgeAfter(before, neck.id));
  const shoulders = edgesWithRole(before, 'shoulder').map((e) => e.id);
  if (beside.role !== 'shoulder' || requireEdge(before, edgeAfter(before, shoulders.at(-1) ?? '')).role !== 'armhole') {
    const done = neckTo(before, after, { neck, centre, beside, by, reach });
    return turned ? mirrorPiece(done) : done;
  }
  const raised = movePath(neck.path, translation({ x: 0, y: -by }));
  const wanted = straightLength(before, closeSeam(before, shoulders));
  let piece = replaceEdge(after, neck.id, raised);
  piece = replaceEdge(piece, centre.id, polyline([centre.path.start, raised.start]));
  const first = requireEdge(piece, shoulders[0] ?? '').path;
  piece = replaceEdge(piece, shoulders[0] ?? '', polyline([endOf(raised), endOf(first)]));
  const seam = closeSeam(piece, shoulders);
  const armhole = edgeAfter(piece, shoulders.at(-1) ?? '');
  const goal = pathLength(requireEdge(before, armhole).path);
  const shut = shutPoint(seam, endOf(requireEdge(piece, shoulders.at(-1) ?? '').path));
  const from = endOf(raised);
  const start = angleOf(sub(shut, from));
  const drawn = (angle: number): Piece => {
    const to: Point = add(from, scale({ x: Math.cos(angle), y: Math.sin(angle) }, wanted));
    return drawCorner(piece, [edgeBefore(piece, armhole), armhole], openPoint(seam, to), [Infinity, reach]);
  };
  const off = (angle: number): number => pathLength(requireEdge(drawn(angle), armhole).path) - goal;
  const most = 0.25;
  const angle =
    off(start - most) > 0 !== off(start + most) > 0 ? solveBetween(off, start - most, start + most, TOL.solve) : start;
  const done = ruleSeam(drawn(angle), shoulders);
  return turned ? mirrorPiece(done) : done;
}

/** How much of the neckline is drawn again where it is squared to the fold, mm. */
const SQUARED = 30;

/**
 * Where the seam beside the neck is sewn on as it lies (a raglan seam, an overarm): the neckline, in its own shape, is
 * turned about its new centre until that seam, drawn again from nothing at `reach`, is as long as
 * it was; beside the fold it is squared again.
 */
function neckTo(
  before: Piece,
  after: Piece,
  on: {
    readonly neck: Edge;
    readonly centre: Edge;
    readonly beside: Edge;
    readonly by: number;
    readonly reach: number;
  },
): Piece {
  const { neck, centre, beside, by, reach } = on;
  const raised = movePath(neck.path, translation({ x: 0, y: -by }));
  const base = replaceEdge(after, centre.id, polyline([centre.path.start, raised.start]));
  const path = requireEdge(after, beside.id).path;
  const corner = cornerAngle(before, neck.id, 'start');
  const drawn = (angle: number): Piece => {
    const placed = movePath(raised, rotationAbout(raised.start, angle));
    const at = replaceEdge(replaceEdge(base, neck.id, placed), beside.id, moveStart(path, endOf(placed), reach));
    return turnCorner(at, neck.id, 'start', corner, SQUARED);
  };
  const off = (angle: number): number =>
    pathLength(requireEdge(drawn(angle), beside.id).path) - pathLength(beside.path);
  const most = 0.25;
  return off(-most) > 0 !== off(most) > 0 ? drawn(solveBetween(off, -most, most, TOL.solve)) : drawn(0);
}

/** True where an edge runs into the centre: the neck of a half turned over. */
function isBeforeCentre(piece: Piece, i: number): boolean {
  const next = piece.edges[(i + 1) % piece.edges.length];
  return piece.edges[i]?.role === 'neck' && next?.role === 'centreBack';
}
