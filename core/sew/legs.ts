import {
  depthAt,
  inLeg,
  legOf,
  sectionOf,
  shapeOf,
  type Figure,
  type Leg,
  type Legs,
  type Shape,
  type Vec3,
} from '../form/index.ts';
import { isBand } from './bands.ts';
import type { Toile } from './toile.ts';

/** How far off the body trousers are laid on it, and how closely the way out is looked for, mm. */
const OFF = 12;
const STEP = 4;
const FARTHEST = 400;

/**
 * Lays trousers around the left leg and the half of the body above it, into m. `found` tells of every point how far it lies from the
 * side seam (0) to the seam between the legs (1), and its height, m, as `spread` finds them: on the front pieces by the front, on
 * the back pieces by the back.
 */
export function layOnLegs(figure: Figure, legs: Legs, toile: Toile, found: Float64Array): Float64Array {
  const shape = shapeOf(figure);
  const place = placeAround(shape, legOf(figure, legs, shape));
  const out = new Float64Array(found.length);
  const times = new Uint8Array(found.length / 3);
  for (const { piece, points } of toile.panels.filter((p) => !isBand(p))) {
    const way = piece.part === 'trouserFront' ? 1 : -1;
    for (const i of points) {
      const p = place(way, found[3 * i]!, 1000 * found[3 * i + 1]!);
      times[i]!++;
      [p.x, p.y, p.z].forEach((v, d) => (out[3 * i + d]! += v / 1000));
    }
  }
  return out.map((v, k) => v / (times[Math.floor(k / 3)] || 1));
}

function placeAround(shape: Shape, leg: Leg): (way: 1 | -1, share: number, y: number) => Vec3 {
  const at = sectionOf(shape);
  const lowest = shape.rings[0]!.y;
  const inBody = ({ x, y, z }: Vec3): boolean => {
    const ring = at(y);
    if (y < lowest || Math.abs(x) >= ring.half) return false;
    return z < depthAt(ring, shape.mounds, 1, x).z && z > depthAt(ring, shape.mounds, -1, x).z;
  };
  const middleAt = (y: number) => ({ x: leg.middle(y), z: leg.section(y).z });
  /** From the middle of the leg out of everything, level. */
  const out = (y: number, angle: number): number => {
    const middle = middleAt(y);
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    let r = 0;
    const p = (): Vec3 => ({ x: middle.x + r * c, y, z: middle.z + r * s });
    while (r < FARTHEST && (inBody(p()) || inLeg(leg, p()))) r += STEP;
    return r + OFF;
  };
  return (way, share, y) => {
    const middle = middleAt(y);
    // Where the front or the back of the body ends above the crotch; below it the inside of the leg.
    const end = y > lowest ? Math.abs(depthAt(at(y), shape.mounds, way, 0).z - middle.z) + OFF : 0;
    const whole = Math.PI - Math.atan2(end, middle.x);
    const angle = way * Math.min(1, Math.max(0, share)) * whole;
    const r = out(y, angle);
    return { x: Math.max(0, middle.x + r * Math.cos(angle)), y, z: middle.z + r * Math.sin(angle) };
  };
}
