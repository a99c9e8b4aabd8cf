import {
  endOf,
  flatten,
  insidePolygon,
  joinPaths,
  polyline,
  signedArea,
  spansOf,
  type Path,
  type Point,
  type Span,
} from '../geometry/index.ts';
import type { Dart, Edge, EdgeRole, LevelName, Piece } from './types.ts';

export const edgeOf = (piece: Piece, id: string): Edge | undefined => piece.edges.find((e) => e.id === id);

/** The edge with this id; throws when it is missing, which a validated document rules out. */
export function requireEdge(piece: Piece, id: string): Edge {
  const edge = edgeOf(piece, id);
  if (!edge)
    throw new Error(`piece ${piece.id}: expected an edge "${id}", got ${piece.edges.map((e) => e.id).join(', ')}`);
  return edge;
}

export const edgesWithRole = (piece: Piece, role: EdgeRole): readonly Edge[] =>
  piece.edges.filter((e) => e.role === role);

/** The edge down the middle of the body. */
export const centreEdgeOf = (piece: Piece): Edge | null =>
  [...edgesWithRole(piece, 'centreBack'), ...edgesWithRole(piece, 'centreFront')][0] ?? null;

/** Halfway between the leftmost and the rightmost corner of a piece. */
export function middleX(piece: Piece): number {
  const xs = piece.edges.map((e) => e.path.start.x);
  return (Math.min(...xs) + Math.max(...xs)) / 2;
}

/** An upright line at `x`, longer than any piece. */
export const uprightAt = (x: number): Path =>
  polyline([
    { x, y: -20_000 },
    { x, y: 20_000 },
  ]);

/** The seam line as one closed path, clockwise as seen. */
export const outlineOf = (piece: Piece): Path => joinPaths(piece.edges.map((e) => e.path));
export const outlineSpans = (piece: Piece): readonly Span[] => piece.edges.flatMap((e) => spansOf(e.path));
/** Area inside the seam line, mm², exact for lines and cubics. */
export const pieceArea = (piece: Piece): number => signedArea(outlineSpans(piece));
export const isInside = (piece: Piece, p: Point): boolean => insidePolygon(p, flatten(outlineOf(piece), 0.5));

/** A dart's three points: `start` and `end` are the leg ends in outline order. */
export interface DartShape {
  readonly start: Point;
  readonly end: Point;
  readonly tip: Point;
}
export function dartShape(piece: Piece, dart: Dart): DartShape {
  const mouth = requireEdge(piece, dart.mouth).path;
  return { start: mouth.start, end: endOf(mouth), tip: dart.tip };
}

export const bustPointOf = (piece: Piece): Point | undefined => piece.marks.find((m) => m.kind === 'bustPoint')?.at;

export const levelOf = (piece: Piece, name: LevelName): Point | undefined =>
  piece.marks.flatMap((m) => (m.kind === 'level' && m.name === name ? [m.at] : []))[0];

export const replaceEdge = (piece: Piece, id: string, path: Path): Piece => ({
  ...piece,
  edges: piece.edges.map((e) => (e.id === id ? { ...e, path } : e)),
});

export const replaceDart = (piece: Piece, dart: Dart): Piece => ({
  ...piece,
  darts: piece.darts.map((d) => (d.id === dart.id ? dart : d)),
});
