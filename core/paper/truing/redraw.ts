import {
  blend,
  distance,
  endOf,
  endTangent,
  left,
  pathFromSpans,
  polyline,
  scale,
  startTangent,
  type Path,
} from '../../geometry/index.ts';
import { edgesWithRole, replaceEdge, type Piece } from '../../pattern/index.ts';
import { cyclic } from '../../units/index.ts';

export const straightPath = (path: Path): Path => polyline([path.start, endOf(path)]);

/**
 * Draws a hem or waist in one piece again as one curve, square to the side seam and square to the centre, its
 * ends where they are. A hem in several parts (a dart in it) is left alone: the dart makes it run on.
 */
export function redrawAcross(piece: Piece, role: 'waist' | 'hem'): Piece {
  const lines = edgesWithRole(piece, role);
  const line = lines[0];
  if (!line || lines.length !== 1) return piece;
  const i = piece.edges.findIndex((e) => e.id === line.id);
  const before = cyclic(piece.edges, i - 1);
  const after = cyclic(piece.edges, i + 1);
  // Outline clockwise: a quarter turn to the right out of the edge before, and into the edge after.
  const leave = scale(left(endTangent(before.path)), -1);
  const arrive = left(startTangent(after.path));
  const path = pathFromSpans([blend(line.path.start, leave, endOf(line.path), arrive, 0.36)]);
  return distance(path.start, endOf(path)) < 1 ? piece : replaceEdge(piece, line.id, path);
}
