import {
  add,
  distance,
  endOf,
  offsetPath,
  pathLength,
  pointAt,
  polyline,
  reversePath,
  scale,
  splitAtLength,
  startTangent,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { edgesWithRole, mirrorPiece, type Edge, type Piece } from '../../pattern/index.ts';
import { moveEnd, moveStart } from './moveEnd.ts';

/** What a neck facing is drawn from: the seam lines of the piece it lies on. */
export interface FacingEdges {
  readonly neck: Path;
  readonly shoulder: Path;
  readonly outer: Path;
  readonly centre: Path;
}

/**
 * A neck facing drawn on the piece: the neckline, `depth` along the shoulder and down the centre, and a line at that
 * distance between. The piece's neck must run from the centre to the shoulder (fronts as drawn; mirrored backs are
 * turned over and back by `facingOn`). Throws without neck, shoulder and centre.
 */
function edgesOf(piece: Piece, depth: number): FacingEdges {
  const neck = edgesWithRole(piece, 'neck')[0];
  const shoulder = edgesWithRole(piece, 'shoulder')[0];
  const centre = [...edgesWithRole(piece, 'centreFront'), ...edgesWithRole(piece, 'centreBack')].at(-1);
  if (!neck || !shoulder || !centre) throw new Error(`facing: expected neck, shoulder and centre on ${piece.id}`);
  // The dart is folded shut first, so the shoulder runs straight past it.
  const along =
    depth < pathLength(shoulder.path)
      ? splitAtLength(shoulder.path, depth)[0]
      : polyline([shoulder.path.start, add(shoulder.path.start, scale(startTangent(shoulder.path), depth))]);
  const down = pathLength(centre.path) - depth;
  const foot = pointAt(centre.path, down);
  const line = offsetPath(neck.path, -depth);
  const inner = sided(line, neck.path, endOf(along)) ? line : offsetPath(neck.path, depth);
  const fitted = moveEnd(moveStart(inner, foot, pathLength(inner) / 2), endOf(along), pathLength(inner) / 2);
  return {
    neck: neck.path,
    shoulder: along,
    outer: reversePath(fitted),
    centre: polyline([foot, neck.path.start]),
  };
}

const sided = (line: Path, neck: Path, near: Point): boolean =>
  distance(endOf(line), near) < distance(endOf(neck), near);

/** Edges of a facing for a front or back, in outline order, clockwise as seen. */
export function facingOn(piece: Piece, depth: number): readonly Edge[] {
  const mirrored = runsToCentre(piece);
  const drawn = edgesOf(mirrored ? mirrorPiece(piece) : piece, depth);
  const role = edgesWithRole(piece, 'centreFront').length > 0 ? 'centreFront' : 'centreBack';
  const edge = (id: string, kind: Edge['role'], path: Path, allowance: number): Edge => ({
    id,
    role: kind,
    path,
    allowance,
  });
  const edges = [
    edge('neck', 'neck', drawn.neck, 15),
    edge('shoulder', 'shoulder', drawn.shoulder, 15),
    edge('outer', 'other', drawn.outer, 5),
    edge(role, role, drawn.centre, 15),
  ];
  if (!mirrored) return edges;
  const shell: Piece = { ...piece, edges, darts: [], marks: [] };
  return mirrorPiece(shell).edges;
}

/** True where the outline runs from the neck into the centre: a half turned over. */
function runsToCentre(piece: Piece): boolean {
  const i = piece.edges.findIndex((e) => e.role === 'neck');
  const after = piece.edges[(i + 1) % piece.edges.length];
  return after?.role === 'centreBack' || after?.role === 'centreFront';
}
