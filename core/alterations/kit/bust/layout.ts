import { bisect } from '../../../numeric/index.ts';
import {
  compose,
  cross,
  dot,
  intersectPaths,
  move,
  pathLength,
  pointAt,
  polyline,
  rotateAbout,
  rotationAbout,
  sub,
  type Point,
} from '../../../geometry/index.ts';
import { dartShape, edgesWithRole, isInside, type Dart } from '../../../pattern/index.ts';
import { TOL, ok, refuse, type Result } from '../../../units/index.ts';
import type { Context, Values } from '../../contract.ts';
import { choiceOf, numberOf, pointOf } from '../../engine/values.ts';
import { centreX, findFront, type BustHow, type Front } from './front.ts';
import {
  dartMouthPoint,
  findBustPoint,
  hingeAt,
  hingeNear,
  lineOneFoot,
  lineThree,
  sidePoint,
  type HingePlace,
} from './landmarks.ts';

/** How far the hinge lets the bust point go sideways: past a quarter turn the paper would swing back up. */
export const spreadReach = (hinge: Point, bustPoint: Point, dir: 1 | -1): number =>
  Math.max(0, (hinge.x - bustPoint.x) * dir);

/** Moves the bust point sideways by s about the hinge: P′ = (P.x + s, H.y + √(|HP|² − (P.x + s − H.x)²)). */
export function movedBustPoint(hinge: Point, p: Point, dir: 1 | -1, s: number): Point | null {
  const x = p.x + dir * s;
  const square = (p.x - hinge.x) ** 2 + (p.y - hinge.y) ** 2 - (x - hinge.x) ** 2;
  return square < 0 ? null : { x, y: hinge.y + Math.sqrt(square) };
}

export const turnOf = (about: Point, from: Point, to: Point): number => {
  const u = sub(from, about);
  const v = sub(to, about);
  return Math.atan2(cross(u, v), dot(u, v));
};

/** A second hinge on the overarm: the sleeve swings about it by `angle` and carries the first hinge with it. */
export interface SecondHinge {
  readonly at: Point;
  readonly edge: string;
  readonly angle: number;
}

/** Every point and line of the procedure on one piece. */
export interface Layout {
  readonly front: Front;
  readonly p: Point;
  readonly source: string;
  readonly moved: Point;
  /** What the upper side turns by about its hinge, and in all. */
  readonly turn: number;
  readonly whole: number;
  readonly hinge: Point;
  readonly hingeEdge: string;
  readonly second: SecondHinge | null;
  /** Lapping into a dart above the hinge: what the paper between dart and hinge turns by about the bust point. */
  readonly carried: number | null;
  readonly foot: Point;
  readonly footRole: string;
  readonly footEdge: string;
  /** Where line 2 begins. */
  readonly mouth: Point;
  /** On a bare side seam: the edge, and how far along it. */
  readonly bare: { readonly edge: string; readonly along: number } | null;
  readonly level: { readonly y: number; readonly onLevel: boolean };
  readonly centreAt: Point;
}

/** Finds every point and line of the procedure, or refuses with where it fails. */
export function layOut(context: Context, values: Values, s: number, how: BustHow): Result<Layout> {
  const found = findFront(context.pieces, how);
  if (!found.ok) return found;
  const front = found.value;
  const placed = findBustPoint(front, context, values);
  if (!placed) return refuse('bust-point-unknown', { piece: front.piece.name });
  const { at: p, source } = placed;
  if (!isInside(front.piece, p)) return refuse('bust-point-outside', { piece: front.piece.name });
  const asked = pointOf(values, 'hingePoint');
  const place = asked ? hingeNear(front, asked) : ok(hingeAt(front, numberOf(values, 'hinge')));
  if (!place.ok) return place;
  const swing = findSwing(front, values, p, place.value, s);
  if (!swing.ok) return swing;
  const { moved, whole } = swing.value;
  const dart = front.sideDart ?? front.goal;
  if (s < 0 && dart) {
    const open = openingFrom(front, dart, p);
    if (Math.abs(whole) >= open)
      return refuse('overlap-larger-than-dart', {
        wanted: -s,
        most: mostOverlap(place.value.at, p, front.dir, open),
        dart: dart.kind,
      });
  }
  const foot = lineOneFoot(front, p);
  if (!foot.ok) return foot;
  const level = lineThree(front, p, foot.value.at);
  const across = polyline([
    { x: p.x, y: level.y },
    { x: centreX(front.piece) - front.dir * 500, y: level.y },
  ]);
  const centreAt = edgesWithRole(front.piece, 'centreFront').flatMap((e) => intersectPaths(across, e.path))[0]?.point;
  if (!centreAt) return refuse('centre-front-missing', { piece: front.piece.name });
  const bare = front.sideDart ? null : sidePoint(front, numberOf(values, 'below'));
  return ok({
    front,
    p,
    source,
    ...swing.value,
    moved,
    hinge: place.value.at,
    hingeEdge: place.value.edge.id,
    foot: foot.value.at,
    footRole: foot.value.edge.role,
    footEdge: foot.value.edge.id,
    mouth: front.sideDart ? dartMouthPoint(front.piece, front.sideDart, p) : (bare?.at ?? p),
    bare: bare ? { edge: bare.edge.id, along: bare.along } : null,
    level,
    centreAt,
  });
}

/** How wide a dart is seen from the bust point, radians. */
export function openingFrom(front: Front, dart: Dart, p: Point): number {
  const shape = dartShape(front.piece, dart);
  return Math.abs(turnOf(p, shape.start, shape.end));
}

/** The overlap that would close the dart entirely. */
function mostOverlap(hinge: Point, p: Point, dir: 1 | -1, angle: number): number {
  const closed = rotateAbout(p, hinge, dir * angle);
  return Math.abs(closed.x - p.x);
}

interface Swing {
  readonly moved: Point;
  readonly turn: number;
  readonly whole: number;
  readonly second: SecondHinge | null;
  readonly carried: number | null;
}

/** True where the dart that takes the opening up lies between the centre and the hinge. */
function goalAbove(front: Front, p: Point, hinge: Point): boolean {
  if (!front.goal) return false;
  const { start, end } = dartShape(front.piece, front.goal);
  const up = { x: 0, y: -1 };
  const aside = (q: Point): number => front.dir * Math.atan2(cross(up, sub(q, p)), dot(up, sub(q, p)));
  return Math.max(aside(start), aside(end)) < aside(hinge);
}

/**
 * The letting out run backwards: the paper between dart and hinge turns about the bust point, narrowing the dart,
 * and carries the hinge with it; the side swings back about the hinge by as much, so line 2 stays shut.
 */
function lapIntoGoal(p: Point, dir: 1 | -1, { at: hinge, edge }: HingePlace, s: number): Result<Swing> {
  const aimed = (phi: number): Point => rotateAbout(rotateAbout(p, hinge, -phi), p, phi);
  const missing = (phi: number): number => (aimed(phi).x - p.x) * dir - s;
  const most = -dir * 1.2;
  const step = most / 60;
  for (let phi = 0; Math.abs(phi) < Math.abs(most); phi += step)
    if (missing(phi) > 0 !== missing(phi + step) > 0) {
      const found = bisect(missing, Math.min(phi, phi + step), Math.max(phi, phi + step), TOL.turn);
      return ok({ moved: aimed(found), turn: -found, whole: found, second: null, carried: found });
    }
  return refuse('overlap-too-large', { edge: edge.id });
}

function findSwing(front: Front, values: Values, p: Point, place: HingePlace, s: number, alone = false): Result<Swing> {
  const { dir, piece } = front;
  const share = 'overarmShare' in values ? numberOf(values, 'overarmShare') : 0;
  const two = 'hinges' in values && choiceOf(values, 'hinges') === 'two';
  if (!two) {
    const hinge = place.at;
    if (s < 0 && goalAbove(front, p, hinge)) return lapIntoGoal(p, dir, place, s);
    if (hinge.y >= p.y) return refuse('hinge-below-bust-point', { piece: piece.name });
    const reach = spreadReach(hinge, p, dir);
    const moved = movedBustPoint(hinge, p, dir, s);
    if (s > reach || (!moved && s > 0)) return refuse('spread-beyond-reach', { wanted: s, reach });
    if (!moved) {
      const dart = front.sideDart ?? front.goal;
      if (!dart) return refuse('overlap-too-large', { edge: place.edge.id });
      const most = mostOverlap(hinge, p, dir, openingFrom(front, dart, p));
      return refuse('overlap-larger-than-dart', { wanted: -s, most, dart: dart.kind });
    }
    const turn = turnOf(hinge, p, moved);
    return ok({ moved, turn, whole: turn, second: null, carried: null });
  }
  // Two hinges: the sleeve swings about the overarm by its share of the spread, the side about the underarm by the rest.
  const overarm = edgesWithRole(piece, 'shoulder')[0];
  if (!overarm) return refuse('overarm-missing', { piece: piece.name });
  const along = numberOf(values, 'overarm');
  const size = pathLength(overarm.path);
  const at = pointAt(overarm.path, size * (dir === 1 ? along : 1 - along));
  const reach = Math.abs(at.x - p.x);
  const carried = s * (alone ? 1 : share);
  const first = movedBustPoint(at, p, dir, carried);
  if (!first || carried > reach) return refuse('spread-beyond-reach', { wanted: s, reach });
  const angle = turnOf(at, p, first);
  const sleeve = rotationAbout(at, angle);
  const aimed = (turn: number): Point => move(compose(sleeve, rotationAbout(place.at, turn)), p);
  const missing = (turn: number): number => (aimed(turn).x - p.x) * dir - s;
  // The paper may turn until the radius lies level; beyond that the bust point would come back.
  const level = -dir * Math.abs(Math.atan2(p.y - place.at.y, Math.abs(place.at.x - p.x)));
  const most = p.y > place.at.y ? level : -level;
  const limit = Math.abs(most) < TOL.same ? TOL.same : most;
  const sameSign = missing(0) > 0 === missing(limit) > 0;
  if (Math.abs(missing(0)) < TOL.zero)
    return ok({ moved: aimed(0), turn: 0, whole: angle, second: { at, edge: overarm.id, angle }, carried: null });
  const other = -dir * Math.sign(s) * 0.6;
  const far = sameSign ? other : limit;
  // Lapping where the underarm lies almost level with the bust point is left to the overarm alone.
  if (missing(0) > 0 === missing(far) > 0 && s < 0 && !alone) return findSwing(front, values, p, place, s, true);
  if (missing(0) > 0 === missing(far) > 0)
    return refuse('spread-beyond-reach', { wanted: s, reach: s + missing(limit) });
  const turn = bisect(missing, Math.min(0, far), Math.max(0, far), TOL.turn);
  return ok({ moved: aimed(turn), turn, whole: turn + angle, second: { at, edge: overarm.id, angle }, carried: null });
}
