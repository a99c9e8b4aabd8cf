import {
  add,
  angleOf,
  endOf,
  pathLength,
  polyline,
  scale,
  solveBetween,
  sub,
  translation,
  movePath,
  type Point,
} from '../geometry/index.ts';
import { edgesWithRole, mirrorPiece, replaceEdge, requireEdge, type Piece } from '../pattern/index.ts';
import { closeSeam, openPoint, ruleSeam, shutPoint, straightLength } from './closed.ts';
import { edgeAfter, moveCorner } from './corner.ts';

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
  const shoulders = edgesWithRole(before, 'shoulder').map((e) => e.id);
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
    return moveCorner(piece, armhole, openPoint(seam, to), { first: Infinity, second: reach });
  };
  const off = (angle: number): number => pathLength(requireEdge(drawn(angle), armhole).path) - goal;
  const most = 0.25;
  const angle =
    off(start - most) > 0 !== off(start + most) > 0 ? solveBetween(off, start - most, start + most, 1e-7) : start;
  const done = ruleSeam(drawn(angle), shoulders);
  return turned ? mirrorPiece(done) : done;
}

/** True where an edge runs into the centre: the neck of a half turned over. */
function isBeforeCentre(piece: Piece, i: number): boolean {
  const next = piece.edges[(i + 1) % piece.edges.length];
  return piece.edges[i]?.role === 'neck' && next?.role === 'centreBack';
}
