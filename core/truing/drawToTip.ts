import {
  add,
  distance,
  endOf,
  polyline,
  reversePath,
  scale,
  sub,
  unit,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { dartShape, replaceDart, type Dart, type Piece } from '../pattern/index.ts';

/**
 * Draws a dart from its ends on the seam to another tip. The legs are made equal where they end: each moves along
 * itself by half of the difference, and the seams beside it follow, which changes their length by next to nothing.
 */
export function drawToTip(piece: Piece, dart: Dart, tip: Point): Piece {
  const { start, end } = dartShape(piece, dart);
  const half = (distance(tip, end) - distance(tip, start)) / 2;
  const a = add(start, scale(unit(sub(start, tip)), half));
  const b = sub(end, scale(unit(sub(end, tip)), half));
  const i = piece.edges.findIndex((e) => e.id === dart.mouth);
  const n = piece.edges.length;
  const edges = piece.edges.map((edge, k) => {
    if (k === i) return { ...edge, path: polyline([a, b]) };
    if (k === (i + n - 1) % n) return { ...edge, path: endingAt(edge.path, a) };
    if (k === (i + 1) % n) return { ...edge, path: reversePath(endingAt(reversePath(edge.path), b)) };
    return edge;
  });
  return replaceDart({ ...piece, edges }, { ...dart, tip });
}

/** The path with its end moved a little; a curve keeps the direction it arrives in. */
function endingAt(path: Path, to: Point): Path {
  const last = path.segments.at(-1);
  if (!last) return path;
  const by = sub(to, endOf(path));
  const moved = last.kind === 'line' ? { ...last, to } : { ...last, c2: add(last.c2, by), to };
  return { start: path.start, segments: [...path.segments.slice(0, -1), moved] };
}
