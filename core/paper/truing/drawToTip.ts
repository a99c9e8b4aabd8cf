import {
  add,
  distance,
  endOf,
  pathLength,
  polyline,
  reversePath,
  scale,
  sub,
  unit,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { dartShape, replaceDart, type Dart, type Edge, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';

/** Iterations to bring the seam beside the dart back to its length. */
const ROUNDS = 4;

/**
 * Draws a dart from its ends on the seam to another tip. The legs are made equal where they end: each moves along
 * itself by half of the difference, and the seams beside it follow. By as much as that makes them longer or shorter
 * together, the dart takes up more or less: the sewn seam keeps its length.
 */
export function drawToTip(piece: Piece, dart: Dart, tip: Point): Piece {
  const { start, end } = dartShape(piece, dart);
  const half = (distance(tip, end) - distance(tip, start)) / 2;
  const a = add(start, scale(unit(sub(start, tip)), half));
  const b = sub(end, scale(unit(sub(end, tip)), half));
  const along = unit(sub(b, a));
  const i = piece.edges.findIndex((e) => e.id === dart.mouth);
  const n = piece.edges.length;
  const [before, after] = [piece.edges[(i + n - 1) % n], piece.edges[(i + 1) % n]];
  if (i < 0 || !before || !after) throw new Error(`drawToTip: expected the mouth "${dart.mouth}" on ${piece.id}`);
  /** The seams beside the dart with its mouth wider by so much, half at each end. */
  const beside = (wider: number): readonly [Path, Path] => {
    const by = scale(along, wider / 2);
    return [endingAt(before.path, sub(a, by)), reversePath(endingAt(reversePath(after.path), add(b, by)))];
  };
  const goal = pathLength(before.path) + pathLength(after.path);
  let wider = 0;
  let drawn = beside(wider);
  for (let round = 0; round < ROUNDS; round++) {
    const over = pathLength(drawn[0]) + pathLength(drawn[1]) - goal;
    if (Math.abs(over) < TOL.legs / 10) break;
    wider += over;
    drawn = beside(wider);
  }
  const [first, second] = drawn;
  const paths = new Map([
    [before.id, first],
    [dart.mouth, polyline([endOf(first), second.start])],
    [after.id, second],
  ]);
  const edges = piece.edges.map((e): Edge => ({ ...e, path: paths.get(e.id) ?? e.path }));
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
