import {
  boundsOf,
  flatten,
  mapPath,
  pathLength,
  reversePath,
  rotate,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { mapMark, mappedBeyond, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';

/** How a piece is brought from the drawing to the table: turned by an angle (clockwise as seen), then turned over. */
export interface Orientation {
  readonly angle: number;
  readonly mirrored: boolean;
}
export const AS_DRAWN: Orientation = { angle: 0, mirrored: false };

/** Turned the short way so that the grain lies upright; as drawn without one, or where it lies so within a degree. */
export function orientationOf(grain: { readonly from: Point; readonly to: Point } | null): Orientation {
  if (!grain) return AS_DRAWN;
  const angle = Math.atan2(grain.to.y - grain.from.y, grain.to.x - grain.from.x);
  let turn = Math.PI / 2 - angle;
  while (turn > Math.PI / 2) turn -= Math.PI;
  while (turn <= -Math.PI / 2) turn += Math.PI;
  return { angle: Math.abs(turn) < TOL.upright ? 0 : turn, mirrored: false };
}

const place =
  (o: Orientation) =>
  (p: Point): Point => {
    const q = rotate(p, o.angle);
    return o.mirrored ? { x: -q.x, y: q.y } : q;
  };

/** Paths and pieces carried from the drawing to the table. A piece comes to lie with its box at the origin, clockwise. */
export function orient(o: Orientation): {
  readonly mirrored: boolean;
  readonly path: (path: Path) => Path;
  readonly piece: (piece: Piece) => Piece;
} {
  const to = place(o);
  return {
    mirrored: o.mirrored,
    path: (path) => (o.mirrored ? reversePath(mapPath(path, to)) : mapPath(path, to)),
    piece: (piece) => layAtOrigin(mapPiece(piece, to, o.mirrored)),
  };
}

/** A piece carried by a map that keeps lengths; `turnedOver` where the map mirrors, so that it stays clockwise. */
export function mapPiece(piece: Piece, to: (p: Point) => Point, turnedOver: boolean): Piece {
  const edges = piece.edges.map((e) => ({ ...e, path: mapPath(e.path, to) }));
  return {
    ...piece,
    ...mappedBeyond(piece, to, turnedOver),
    edges: turnedOver ? edges.reverse().map((e) => ({ ...e, path: reversePath(e.path) })) : edges,
    darts: piece.darts.map((d) => ({ ...d, tip: to(d.tip) })),
    marks: piece.marks.map((m) => {
      if (m.kind !== 'notch') return mapMark(m, to);
      const edge = piece.edges.find((e) => e.id === m.edge);
      return turnedOver && edge ? { ...m, at: Math.max(0, pathLength(edge.path) - m.at) } : m;
    }),
  };
}

function layAtOrigin(piece: Piece): Piece {
  const box = boundsOf(piece.edges.flatMap((e) => flatten(e.path, 0.5)));
  return mapPiece(piece, (p) => ({ x: p.x - box.minX, y: p.y - box.minY }), false);
}
