import type { MeasurementKey } from '../pattern/index.ts';
import { BELOW, crossAt, neckBaseAt, shapeOf, underbustAt, type Figure } from './figure.ts';
import { crotchAt, kneeLevel, legOf, thighLevel, type Legs } from './legs.ts';
import { around, depthAt, pointOn, sectionOf, type Section, type Shape, type Vec3 } from './shape.ts';
import { girthOf, tautOver } from './tape.ts';

/** Places looked at round a section, and along a tape. */
const ROUND = 72;
const ALONG = 24;

/** How far above the bust point the tape of the high bust lies in front, mm. */
const ABOVE_BUST = 85;

const FRONT: Vec3 = { x: 0, y: 0, z: 1 };
const BACK: Vec3 = { x: 0, y: 0, z: -1 };
const LEFT: Vec3 = { x: 1, y: 0, z: 0 };
const UP: Vec3 = { x: 0, y: 1, z: 0 };

/** A form ready to have tapes laid on it. */
interface Laid {
  readonly f: Figure;
  readonly shape: Shape;
  readonly at: Section;
}

const steps = <T>(make: (t: number) => T): readonly T[] => Array.from({ length: ALONG + 1 }, (_, i) => make(i / ALONG));
const between = (a: number, b: number, t: number): number => a + (b - a) * t;

const girth = ({ shape, at }: Laid, y: number): number => girthOf(around(at(y), shape.mounds, ROUND));

/** Around the body high under the arms: level behind, rising in front to above the breasts. */
function highBust({ f, shape, at }: Laid): number {
  const rise = Math.max(0, f.bust + ABOVE_BUST * f.scale - f.underarm);
  const places = Array.from({ length: ROUND }, (_, i) => {
    const direction = (2 * Math.PI * i) / ROUND;
    // Before the arms it has risen; it passes above both breasts.
    const forward = Math.min(1, Math.max(0, 1.5 * Math.cos(direction)));
    return pointOn(at(f.underarm + rise * forward * forward * (3 - 2 * forward)), shape.mounds, direction);
  });
  return girthOf(places);
}

/** Down a line of the front or the back from one place to another, each by its distance from the middle and its height. */
function over(
  { shape, at }: Laid,
  side: 1 | -1,
  from: readonly [number, number],
  to: readonly [number, number],
): number {
  const places = steps((t) => depthAt(at(between(from[1], to[1], t)), shape.mounds, side, between(from[0], to[0], t)));
  return tautOver(places, side === 1 ? FRONT : BACK);
}

/** Down the left side. */
const side = ({ shape, at }: Laid, from: number, to: number): number =>
  tautOver(
    steps((t) => pointOn(at(between(from, to, t)), shape.mounds, Math.PI / 2)),
    LEFT,
  );

/** Along the base of the neck between two directions. */
function neckBase({ f }: Laid, from: number, to: number): number {
  let sum = 0;
  let last: Vec3 | null = null;
  for (let i = 0; i <= ROUND; i++) {
    const p = neckBaseAt(f, between(from, to, i / ROUND));
    if (last) sum += Math.hypot(p.x - last.x, p.y - last.y, p.z - last.z);
    last = p;
  }
  return sum;
}

/** Across front or back at the level of the cross widths, from arm crease to arm crease. */
function cross({ f, shape, at }: Laid, way: 1 | -1): number {
  const ring = at(crossAt(f));
  const { arm } = shape;
  const places: Vec3[] = [];
  let outside: number | null = null;
  for (let i = 0; i <= ROUND; i++) {
    const p = depthAt(ring, shape.mounds, way, (ring.half * i) / ROUND);
    const apart = Math.hypot(p.x - arm.x, p.z - arm.z) - arm.radius;
    const last = places.at(-1);
    if (apart < 0 && outside !== null && last) {
      // The crease lies between the last place outside the arm and this one inside it.
      const t = outside / (outside - apart);
      places.push({ x: between(last.x, p.x, t), y: p.y, z: between(last.z, p.z, t) });
      break;
    }
    places.push(p);
    outside = apart;
  }
  return 2 * tautOver(places, way === 1 ? FRONT : BACK);
}

/** From the front of the waist between the legs to its back, in the plane between the halves. */
function underneath({ f, shape, at }: Laid, legs: Legs): number {
  const crotch = crotchAt(f, legs);
  const down = (side: 1 | -1, from: number): readonly Vec3[] =>
    steps((t) => depthAt(at(between(from, crotch, t * t * (3 - 2 * t))), shape.mounds, side, 0));
  const [front, back] = [down(1, f.waist), down(-1, f.waist + f.waistTilt)];
  const [from, to] = [front[0]!, back[0]!];
  // All round the section down the middle, but for the way straight through the waist.
  const round = girthOf([...front, ...back].map((p) => ({ x: p.z, y: 0, z: p.y })));
  return round - Math.hypot(from.z - to.z, from.y - to.y);
}

const legGirth = ({ f, shape }: Laid, legs: Legs, y: number): number =>
  girthOf(around(legOf(f, legs, shape).section(y), [], ROUND));

/** Down the outside from the waist over the hip to a level of the leg. */
function downLeg({ f, shape, at }: Laid, legs: Legs, to: number): number {
  const leg = legOf(f, legs, shape);
  const outside = (y: number): Vec3 => {
    const p = pointOn(at(y), shape.mounds, Math.PI / 2);
    const x = leg.middle(y) + leg.section(y).half;
    return y < f.hip && (x > p.x || y < crotchAt(f, legs)) ? { x, y, z: p.z } : p;
  };
  return tautOver(
    steps((t) => outside(between(f.waist, to, t))),
    LEFT,
  );
}

const backNeck = (on: Laid): number => neckBase(on, Math.PI / 2, Math.PI);
const neckToBust = (on: Laid): number => over(on, 1, [on.f.neckHalf, on.f.neckPoint], [on.f.halfSpan, on.f.bust]);
const bustToWaist = (on: Laid): number => over(on, 1, [on.f.halfSpan, on.f.bust], [on.f.halfSpan, on.f.waist]);

/** How each body measurement is read off a form by a tape laid on it, mm. What is not here a form of the torso does not show. */
const TAPES: Readonly<Partial<Record<MeasurementKey, (on: Laid) => number>>> = {
  neck: (on) => 2 * neckBase(on, 0, Math.PI),
  highBust,
  fullBust: (on) => girth(on, on.f.bust),
  underbust: (on) => girth(on, underbustAt(on.f)),
  waist: (on) => girth(on, on.f.waist),
  highHip: (on) => girth(on, on.f.waist - BELOW.waist),
  hip: (on) => girth(on, on.f.hip),
  hipDepth: (on) => side(on, on.f.waist, on.f.hip),
  shoulder: ({ f, shape, at }) =>
    tautOver(
      steps((t) => pointOn(at(between(f.neckPoint, f.neckPoint - f.shoulderDrop, t)), shape.mounds, Math.PI / 2)),
      UP,
    ),
  shoulderSlope: ({ f }) => f.shoulderDrop,
  crossBack: (on) => cross(on, -1),
  crossFront: (on) => cross(on, 1),
  napeToWaist: (on) => over(on, -1, [0, on.f.nape], [0, on.f.waist + on.f.waistTilt]),
  frontWaistLength: (on) => over(on, 1, [0, on.f.neckPit], [0, on.f.waist]),
  neckPointToBustPoint: neckToBust,
  bustPointToWaist: bustToWaist,
  napeToBustPoint: (on) => backNeck(on) + neckToBust(on),
  napeToFrontWaist: (on) => backNeck(on) + neckToBust(on) + bustToWaist(on),
  bustSpan: ({ f }) => 2 * f.halfSpan,
  napeToUnderarm: ({ f }) => f.nape - f.underarm,
  sideWaist: (on) => side(on, on.f.underarm, on.f.waist),
  upperArm: ({ f }) => 2 * Math.PI * f.armRadius,
};

/** The body measurements that a form of the torso shows. */
export const SHOWN = Object.keys(TAPES) as readonly MeasurementKey[];

/** Of a form with legs: read like the others. */
const LEG_TAPES: Readonly<Partial<Record<MeasurementKey, (on: Laid, legs: Legs) => number>>> = {
  crotchDepth: ({ f }, legs) => f.waist - crotchAt(f, legs) + f.seated,
  crotchLength: underneath,
  thigh: (on, legs) => legGirth(on, legs, thighLevel(on.f, legs)),
  knee: (on, legs) => legGirth(on, legs, kneeLevel(on.f, legs)),
  waistToKnee: (on, legs) => downLeg(on, legs, kneeLevel(on.f, legs)),
  outsideLeg: (on, legs) => downLeg(on, legs, on.f.waist - legs.ankle),
};
export const LEGS_SHOWN = Object.keys(LEG_TAPES) as readonly MeasurementKey[];

/** What a tape reads on the form of a figure, for each measurement asked for, mm. */
export function tapesOn(f: Figure, keys: readonly MeasurementKey[]): readonly number[] {
  const shape = shapeOf(f);
  const on: Laid = { f, shape, at: sectionOf(shape) };
  return keys.map((key) => TAPES[key]?.(on) ?? (f.legs && LEG_TAPES[key]?.(on, f.legs)) ?? NaN);
}
