import {
  add,
  distance,
  endOf,
  intersectPaths,
  lerp,
  lengthTo,
  polyline,
  scale,
  type Point,
} from '../../geometry/index.ts';
import { outlineOf, type Edge, type EdgeRole, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';

/** Where a level line meets a piece, from the left: the seam line it meets, where, and how far along. */
export interface Meeting {
  readonly at: Point;
  readonly edge: Edge;
  readonly along: number;
}

/** Farther than any piece reaches, mm. */
const FAR = 10_000;

/** Every place where the height `y` crosses the seam line, from left to right. */
export const meetings = (piece: Piece, y: number): readonly Meeting[] =>
  meetingsAlong(piece, { x: 0, y }, { x: 1, y: 0 });

/** The same of a line through a point in a direction that runs to the right. */
export function meetingsAlong(piece: Piece, through: Point, direction: Point): readonly Meeting[] {
  const line = polyline([add(through, scale(direction, -FAR)), add(through, scale(direction, FAR))]);
  return piece.edges
    .flatMap((edge) =>
      intersectPaths(line, edge.path).map((h) => ({ at: h.point, edge, along: lengthTo(edge.path, h.second) })),
    )
    .sort((a, b) => a.at.x - b.at.x)
    .filter((m, i, all) => i === 0 || distance(m.at, all[i - 1]?.at ?? m.at) > TOL.same);
}

/** The place where the height crosses an edge of one of these roles. */
export const meetingOn = (piece: Piece, y: number, roles: readonly EdgeRole[]): Meeting | null =>
  meetings(piece, y).find((m) => roles.includes(m.edge.role)) ?? null;

export { centreEdgeOf as centreEdge } from '../../pattern/index.ts';

export const lowest = (piece: Piece): number =>
  outlineOf(piece).segments.reduce((n, s) => Math.max(n, s.to.y), -Infinity);
export const highest = (piece: Piece): number =>
  outlineOf(piece).segments.reduce((n, s) => Math.min(n, s.to.y), Infinity);

/** Points just above and just below the middle of a level line, to name the panels by. */
export const beside = (a: Point, b: Point, by = 3): readonly [Point, Point] => {
  const m = lerp(a, b, 0.5);
  return [
    { x: m.x, y: m.y - by },
    { x: m.x, y: m.y + by },
  ];
};

/** Which end of an edge lies lower. */
export const lowerEnd = (edge: Edge): Point =>
  endOf(edge.path).y > edge.path.start.y ? endOf(edge.path) : edge.path.start;
export const upperEnd = (edge: Edge): Point =>
  endOf(edge.path).y > edge.path.start.y ? edge.path.start : endOf(edge.path);
