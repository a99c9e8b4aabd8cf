import {
  blend,
  endOf,
  endTangent,
  joinPaths,
  move,
  movePath,
  nearestOnPath,
  pathLength,
  polyline,
  rotate,
  splitPath,
  startTangent,
  sub,
  dot,
  pathFromSpans,
  reversePath,
  scale,
  add,
  type Path,
  type Point,
  type Rigid,
} from '../../geometry/index.ts';
import { edgesWithRole, replaceEdge, yokeLineOf, yokeSeamOf, type Piece } from '../../pattern/index.ts';
import { edgeAfter } from './corner.ts';

const HANDLE = 0.4;

/**
 * After the yoke has been turned about the armhole end of its seam: the yoke line goes where the yoke's edge has gone, and
 * the piece below gets an edge of its own from there, square to the centre back, to the same end. On a fold the centre
 * below is ruled straight on; the yoke keeps a straight fold of its own. `turn` is the yoke's motion since `before`.
 */
export function drawYokeEdge(before: Piece, after: Piece, turn: Rigid): Piece {
  const line = yokeLineOf(before);
  const seam = yokeSeamOf(before);
  const [was] = edgesWithRole(before, 'centreBack');
  const centre = edgesWithRole(after, 'centreBack').find((e) => e.id === was?.id);
  if (!line || !seam || !was || !centre) return after;
  const path = movePath(seam, turn);
  const corner = path.start;
  const parts = splitPath(was.path, nearestOnPath(was.path, seam.start));
  // Of the two the one that meets the neck is the yoke’s.
  const neckAfter = edgesWithRole(after, 'neck').some((e) => edgeAfter(after, centre.id) === e.id);
  const [below, above] = neckAfter ? parts : [reversePath(parts[1]), reversePath(parts[0])];
  // On a fold the centre below runs straight on, or back, to beside the corner of the yoke; a seam runs to it.
  const ruled =
    after.fold === centre.id ? straightUp(below, corner) : joinPaths([below, polyline([endOf(below), corner])]);
  const up = joinPaths([ruled, movePath(above, turn)]);
  const whole = neckAfter ? up : reversePath(up);
  const end = endOf(ruled);
  const across = rotate(endTangent(ruled), Math.PI / 2);
  const inward = dot(across, sub(endOf(path), end)) > 0 ? across : { x: -across.x, y: -across.y };
  const lower = pathFromSpans([blend(end, inward, endOf(path), endTangent(seam), HANDLE)]);
  const { grain } = line.pinned;
  const moved = grain && { from: move(turn, grain.from), to: move(turn, grain.to) };
  return {
    ...replaceEdge(after, centre.id, whole),
    marks: after.marks.map((m) =>
      m.kind === 'yokeLine' ? { ...line, path, lower, pinned: { ...line.pinned, grain: moved } } : m,
    ),
  };
}

/** A centre ruled on as it starts, up to beside a corner. */
function straightUp(path: Path, corner: Point): Path {
  const way = startTangent(path);
  return polyline([path.start, add(path.start, scale(way, dot(sub(corner, path.start), way)))]);
}

/** How much longer the edge below is than the yoke's: eased in when they are sewn, mm. */
export function yokeEase(piece: Piece): number {
  const line = yokeLineOf(piece);
  return line?.lower ? pathLength(line.lower) - pathLength(line.path) : 0;
}
