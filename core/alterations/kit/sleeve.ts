import {
  distance,
  endOf,
  flatten,
  intersectPaths,
  midpoint,
  pathLength,
  polyline,
  type Point,
} from '../../geometry/index.ts';
import { solveBetween } from '../../numeric/index.ts';
import { dartShape, edgesWithRole, levelOf, requireEdge, type Edge, type Piece } from '../../pattern/index.ts';
import { capEdges, edgeAfter, edgeBefore } from '../../paper/truing/index.ts';
import { ok, refuse, TOL, type Result } from '../../units/index.ts';
import { meetings } from './across.ts';

/** The landmarks of a set-in sleeve, its grain running down the page. */
export interface SleeveOn {
  readonly piece: Piece;
  /** From underarm to underarm along the outline, the underarm seams beside them, and the underarm points in between. */
  readonly caps: readonly Edge[];
  readonly underarms: readonly [Edge, Edge];
  readonly ends: readonly [Point, Point];
  /** The top of the cap, and the hem straight below it. */
  readonly top: Point;
  readonly foot: Point;
  /** The edge of the hem that the foot lies on. */
  readonly hem: Edge;
}

/** Straight down from the cap this far, mm, a hem is looked for. */
const FAR = 2000;

/** The sleeve among the pieces; refused where there is none, or one without cap, underarm seams and hem. */
export function sleeveOn(pieces: readonly Piece[]): Result<SleeveOn> {
  const sleeve = pieces.find((p) => p.part === 'sleeve' && edgesWithRole(p, 'cap').length > 0);
  if (!sleeve) return refuse('sleeve-not-found', {});
  const caps = capEdges(sleeve);
  const [first, last] = [caps[0], caps.at(-1)];
  if (!first || !last) return refuse('sleeve-landmark-missing', { piece: sleeve.name });
  const before = requireEdge(sleeve, edgeBefore(sleeve, first.id));
  const after = requireEdge(sleeve, edgeAfter(sleeve, last.id));
  const top = topOf(caps);
  const down = polyline([top, { x: top.x, y: top.y + FAR }]);
  const [found] = hemsOf(sleeve).flatMap((hem) =>
    intersectPaths(down, hem.path).map((hit) => ({ hem, foot: hit.point })),
  );
  if (before.role !== 'underarm' || after.role !== 'underarm' || !found)
    return refuse('sleeve-landmark-missing', { piece: sleeve.name });
  const ends = [first.path.start, endOf(last.path)] as const;
  return ok({ piece: sleeve, caps, underarms: [before, after], ends, top, ...found });
}

/** The hem of a sleeve, in outline order; it may be drawn in parts. */
export const hemsOf = (sleeve: Piece): readonly Edge[] => [
  ...edgesWithRole(sleeve, 'sleeveHem'),
  ...edgesWithRole(sleeve, 'hem'),
];

/** Both ends of the hem, in outline order; null where the sleeve has none. */
export function hemEnds(sleeve: Piece): readonly [Point, Point] | null {
  const hems = hemsOf(sleeve);
  const [first, last] = [hems[0], hems.at(-1)];
  return first && last ? [first.path.start, endOf(last.path)] : null;
}

/**
 * The middle of the elbow line, where it lies between the cap and the hem: as marked, else level with the upper leg of an
 * elbow dart. Null where nothing tells.
 */
export function elbowOf(sleeve: Piece): Point | null {
  const dart = sleeve.darts.find((d) => d.kind === 'elbow');
  const shape = dart ? dartShape(sleeve, dart) : null;
  const y = levelOf(sleeve, 'elbow')?.y ?? (shape ? Math.min(shape.start.y, shape.end.y) : null);
  const ends = hemEnds(sleeve);
  if (y === null || !ends || y >= midpoint(...ends).y) return null;
  const met = meetings(sleeve, y).filter((m) => m.edge.role !== 'cap');
  const [left, right] = [met[0], met.at(-1)];
  return left && right && met.length > 1 ? midpoint(left.at, right.at) : null;
}

/** Where the halves of the cap meet; on a cap in one line its highest point. */
function topOf(caps: readonly Edge[]): Point {
  const joints = caps.slice(1).map((e) => e.path.start);
  const places = joints.length > 0 ? joints : caps.flatMap((e) => flatten(e.path, TOL.fine));
  return places.reduce((best, p) => (p.y < best.y ? p : best));
}

/** How far the underarm points may drop towards the top of the cap, as a share of its height. */
const MOST = 0.6;

/** A sleeve spread across the upper arm: its underarm points, and how far each upper half turns about the top, radians. */
export interface Spread {
  readonly ends: readonly [Point, Point];
  readonly angles: readonly [number, number];
  /** How much lower the cap lies before it is drawn again, mm. */
  readonly drop: number;
}

/**
 * The upper halves turned about the top of the cap until the underarm points lie `by` farther apart, both as much
 * higher or lower: the biceps line stays as level as it was. For a cap of height h and half a width w, opened by s at
 * the biceps line, the turn is asin(s / 2h). Null where the cap is too flat to give so much.
 */
export function spreadBy({ top, ends }: Pick<SleeveOn, 'top' | 'ends'>, by: number): Spread | null {
  const arms = ends.map((end) => {
    const radius = distance(top, end);
    return { radius, depth: end.y - top.y, side: Math.sign(end.x - top.x) };
  });
  const halfAt = (arm: (typeof arms)[number], drop: number): number =>
    Math.sqrt(Math.max(0, arm.radius ** 2 - (arm.depth - drop) ** 2));
  const over = (drop: number): number => arms.reduce((sum, arm) => sum + halfAt(arm, drop) - halfAt(arm, 0), 0) - by;
  const height = Math.min(...arms.map((a) => a.depth));
  const [low, high] = [Math.max(...arms.map((a) => a.depth - a.radius)), height * MOST];
  if (height <= 0 || over(low) > 0 || over(high) < 0) return null;
  const drop = by === 0 ? 0 : solveBetween(over, low, high, TOL.zero);
  const placed = arms.map((arm) => ({ x: top.x + arm.side * halfAt(arm, drop), y: top.y + arm.depth - drop }));
  const turned = arms.map((arm) => Math.acos((arm.depth - drop) / arm.radius) - Math.acos(arm.depth / arm.radius));
  const pair = <T>(of: (i: 0 | 1) => T): readonly [T, T] => [of(0), of(1)];
  return {
    ends: pair((i) => placed[i] as Point),
    angles: pair((i) => -(arms[i]?.side ?? 1) * (turned[i] ?? 0)),
    drop,
  };
}

export const capLength = (piece: Piece): number =>
  edgesWithRole(piece, 'cap').reduce((sum, e) => sum + pathLength(e.path), 0);
