import { endOf, endTangent, scale, startTangent, sub, unit, type Point } from '../../geometry/index.ts';
import { requireEdge, type Piece } from '../../pattern/index.ts';
import { edgeAfter, edgeBefore, isStraightPath } from '../../paper/truing/index.ts';

/** The way down the side seam from the underarm. */
export function downSide(piece: Piece, armhole: string): Point | null {
  const after = requireEdge(piece, edgeAfter(piece, armhole));
  const before = requireEdge(piece, edgeBefore(piece, armhole));
  const side = after.role === 'side' ? after : before.role === 'side' ? before : null;
  if (!side) return null;
  if (!isStraightPath(side.path)) return side === after ? startTangent(side.path) : scale(endTangent(side.path), -1);
  const way = unit(sub(endOf(side.path), side.path.start));
  return side === after ? way : scale(way, -1);
}
