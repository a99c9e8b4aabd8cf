import {
  add,
  cross,
  dot,
  intersectPaths,
  pathLength,
  pointAt,
  polyline,
  rotateAbout,
  sub,
  tangentAt,
  type Point,
} from '../../geometry/index.ts';
import { dartShape, edgesWithRole, isInside, type Edge } from '../../pattern/index.ts';
import { follow, type SlashSpec } from '../../slash/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { Context, Values } from '../contract.ts';
import { numberOf, pointOf } from '../values.ts';
import {
  centreX,
  dartMouthPoint,
  findBustPoint,
  findFront,
  hingeAt,
  hingeNear,
  lineOneFoot,
  lineThree,
  type Front,
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

const turnOf = (about: Point, from: Point, to: Point): number => {
  const u = sub(from, about);
  const v = sub(to, about);
  return Math.atan2(cross(u, v), dot(u, v));
};

/** A point just inside the piece beside the middle of an edge; the outline runs clockwise, so inside is to the right. */
const inside = (edge: Edge): Point => {
  const at = pathLength(edge.path) / 2;
  const t = tangentAt(edge.path, at);
  return add(pointAt(edge.path, at), { x: -t.y * 0.5, y: t.x * 0.5 });
};

/** Every point and line of the procedure on one piece. */
export interface Layout {
  readonly front: Front;
  readonly p: Point;
  readonly source: string;
  readonly moved: Point;
  readonly turn: number;
  readonly hinge: Point;
  readonly hingeEdge: string;
  readonly foot: Point;
  readonly footRole: string;
  readonly mouth: Point;
  readonly level: { readonly y: number; readonly onLevel: boolean };
  readonly centreAt: Point;
}

/** Finds every point and line of the procedure, or refuses with where it fails. */
export function layOut(context: Context, values: Values, s: number): Result<Layout> {
  const found = findFront(context.pieces);
  if (!found.ok) return found;
  const front = found.value;
  const { at: p, source } = findBustPoint(front, context, values);
  if (!isInside(front.piece, p)) return refuse('bust-point-outside', { piece: front.piece.name });
  const asked = pointOf(values, 'hingePoint');
  const place = asked ? hingeNear(front, asked) : ok(hingeAt(front, numberOf(values, 'hinge')));
  if (!place.ok) return place;
  const hinge = place.value.at;
  if (hinge.y >= p.y) return refuse('hinge-below-bust-point', { piece: front.piece.name });
  const reach = spreadReach(hinge, p, front.dir);
  const moved = movedBustPoint(hinge, p, front.dir, s);
  if (s > reach || (!moved && s > 0)) return refuse('spread-beyond-reach', { wanted: s, reach });
  const shape = dartShape(front.piece, front.dart);
  const dartAngle = Math.abs(turnOf(p, shape.start, shape.end));
  if (!moved || (s < 0 && Math.abs(turnOf(hinge, p, moved)) >= dartAngle))
    return refuse('overlap-larger-than-dart', { wanted: -s, most: mostOverlap(hinge, p, front.dir, dartAngle) });
  const turn = turnOf(hinge, p, moved);
  const foot = lineOneFoot(front, p);
  if (!foot.ok) return foot;
  const level = lineThree(front, p, foot.value.at);
  const across = polyline([
    { x: p.x, y: level.y },
    { x: centreX(front) - front.dir * 500, y: level.y },
  ]);
  const centreAt = edgesWithRole(front.piece, 'centreFront').flatMap((e) => intersectPaths(across, e.path))[0]?.point;
  if (!centreAt) return refuse('centre-front-missing', { piece: front.piece.name });
  return ok({
    front,
    p,
    source,
    moved,
    turn,
    hinge,
    hingeEdge: place.value.edge.id,
    foot: foot.value.at,
    footRole: foot.value.edge.role,
    mouth: dartMouthPoint(front, p),
    level,
    centreAt,
  });
}

/** The overlap that would close the dart entirely. */
function mostOverlap(hinge: Point, p: Point, dir: 1 | -1, angle: number): number {
  const closed = rotateAbout(p, hinge, dir * angle);
  return Math.abs(closed.x - p.x);
}

export function slashSpec(l: Layout): SlashSpec {
  const { front, p, hinge, foot, mouth, centreAt } = l;
  const junction = { x: p.x, y: l.level.y };
  return {
    cuts: [
      { id: 'line1', points: [foot, p, hinge] },
      { id: 'line2', points: [mouth, p] },
      { id: 'line3', points: [centreAt, junction] },
    ],
    hinges: [
      { id: 'hinge', at: hinge, panels: ['upperSide', 'centreUpper'] },
      { id: 'bustPoint', at: p, panels: ['upperSide', 'lowerSide'] },
    ],
    panels: [
      {
        id: 'centreUpper',
        seed: add(centreAt, { x: front.dir * 0.5, y: -0.5 }),
        motion: { kind: 'rest' },
        stage: 'open',
      },
      {
        id: 'upperSide',
        seed: inside(front.upperSide),
        motion: { kind: 'turn', about: hinge, angle: l.turn },
        stage: 'open',
      },
      { id: 'lowerSide', seed: inside(front.lowerSide), motion: follow('upperSide', p), stage: 'open' },
      {
        id: 'centreLower',
        seed: add(centreAt, { x: front.dir * 0.5, y: 0.5 }),
        motion: follow('upperSide', p, 'y'),
        stage: 'level',
      },
    ],
  };
}
