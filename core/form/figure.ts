import { buttocksOf, trunkRings, type Legs } from './legs.ts';
import type { Mound, Ring, Shape, Vec3 } from './shape.ts';

/** What the form is drawn from: sizes and heights, mm. Each is solved for, measured or taken from the proportions of a body. */
export interface Figure {
  /** How tall beside a body of middling height: what has no measurement of its own grows with it. */
  readonly scale: number;
  /** Half the width at each level; the depth follows. */
  readonly neckHalf: number;
  readonly highBustHalf: number;
  readonly underbustHalf: number;
  readonly waistHalf: number;
  readonly highHipHalf: number;
  readonly hipHalf: number;
  /** Out from the chest at the bust point. */
  readonly bustRise: number;
  /** Heights above the floor. */
  readonly nape: number;
  readonly neckPoint: number;
  readonly neckPit: number;
  readonly underarm: number;
  readonly bust: number;
  readonly waist: number;
  /** How much higher the waist lies at the centre back than elsewhere. */
  readonly waistTilt: number;
  readonly hip: number;
  /** From the middle of the body to the shoulder bone, and how far that lies below the neck point. */
  readonly shoulder: number;
  readonly shoulderDrop: number;
  /** How far before the middle of the body the top of the shoulders lies; behind it below nothing. */
  readonly ridge: number;
  readonly halfSpan: number;
  /** The arm: its middle at the level of the cross widths, and its radius. */
  readonly armX: number;
  readonly armZ: number;
  readonly armRadius: number;
  /** From the shoulder bone to the wrist, and the radius there: an arm is only put on under a sleeve. */
  readonly armLength: number;
  readonly wristRadius: number;
  /** Under trousers the form has its legs on; null where it ends at the thigh. */
  readonly legs: Legs | null;
  /** On legs: how much farther the seat reaches back than is usual; how far the body lies above the chair it was measured on. */
  readonly seat: number;
  readonly seated: number;
  /** The right half where it was measured otherwise; null where the right mirrors the left. */
  readonly right: Figure | null;
  /** Of a right half the left, into which it runs at the middle; null of one that stands by itself. */
  readonly beside: Figure | null;
}

/** From the bust down to under it, and from the waist to the high hip, mm. */
export const BELOW = { bust: 75, waist: 75 } as const;

/** How far above the bust point the widest part of the upper chest lies, and the next section above it at least, mm. */
const ABOVE = { ring: 45, next: 20 } as const;

/** Width to depth of the torso by level, the share of the depth before its middle, and where that middle lies, mm. */
const DEPTHS = {
  thigh: { ratio: 1.3, front: 0.48, z: -4 },
  hip: { ratio: 1.36, front: 0.46, z: -2 },
  highHip: { ratio: 1.4, front: 0.5, z: 2 },
  waist: { ratio: 1.4, front: 0.52, z: 4 },
  underbust: { ratio: 1.38, front: 0.48, z: -6 },
  highBust: { ratio: 1.5, front: 0.39, z: -22 },
} as const;
const SQUARE = 2.25;

const torso = (y: number, half: number, { ratio, front, z }: { ratio: number; front: number; z: number }): Ring => {
  const depth = (2 * half) / ratio;
  return { y, half, front: depth * front, back: depth * (1 - front), square: SQUARE, z };
};

/** Shoulders and neck, as shares of half the width at the high bust and of the neck. */
const UPPER = {
  middle: { front: 0.55, back: 0.72, z: -20 },
  /** Of the shoulder’s half width: it slopes away from its ridge to both sides. */
  shoulder: { front: 0.25, back: 0.35, square: 1.4 },
  neck: { front: 1, back: 1.08, z: -6 },
  top: { half: 0.94, rise: 60, z: 10 },
} as const;

/** How far a breast spreads from its top: across as a share of half the width, down and up, mm. */
const BREAST = { across: 0.66, below: 85, above: 92 } as const;
/** How far below the waist the form ends, as a share of the way from the waist to the hip. */
const DOWN_TO = 1.45;

/** On a rounder body neck and shoulders sit farther back over it: so much for each millimetre of half its width, mm. */
const NECK_BACK = { share: 0.35, from: 150 } as const;
const neckZ = (f: Pick<Figure, 'highBustHalf' | 'scale'>): number =>
  -NECK_BACK.share * (f.highBustHalf - NECK_BACK.from * f.scale);

/** The height of the shoulder bone, and how far to the front it lies. */
export const shoulderTopOf = (f: Figure): { readonly y: number; readonly z: number } => ({
  y: f.neckPoint - f.shoulderDrop,
  z: f.ridge + neckZ(f),
});

export function shapeOf(f: Figure): Shape {
  const shoulderAt = f.neckPoint - f.shoulderDrop;
  const highBustAt = f.bust + ABOVE.ring * f.scale;
  const middleAt = Math.max(crossAt(f), highBustAt + ABOVE.next * f.scale);
  const { middle, shoulder, neck, top } = UPPER;
  const hip = torso(f.hip, f.hipHalf, DEPTHS.hip);
  const low = f.legs
    ? trunkRings(f, f.legs, hip)
    : [torso(f.waist - DOWN_TO * (f.waist - f.hip), 0.97 * f.hipHalf, DEPTHS.thigh), hip];
  const rings: readonly Ring[] = [
    ...low,
    torso(f.waist - BELOW.waist, f.highHipHalf, DEPTHS.highHip),
    torso(f.waist, f.waistHalf, DEPTHS.waist),
    torso(underbustAt(f), f.underbustHalf, DEPTHS.underbust),
    torso(highBustAt, f.highBustHalf, DEPTHS.highBust),
    {
      ...{ y: middleAt, half: (2 * f.highBustHalf + f.shoulder) / 3, square: 2.4, z: middle.z },
      ...{ front: middle.front * f.highBustHalf, back: middle.back * f.highBustHalf },
    },
    {
      ...{ y: shoulderAt, half: f.shoulder, square: shoulder.square, z: f.ridge + neckZ(f) },
      ...{ front: shoulder.front * f.shoulder, back: shoulder.back * f.shoulder },
    },
    {
      ...{ y: f.neckPoint, half: f.neckHalf, square: 2, z: neck.z + neckZ(f) },
      ...{ front: neck.front * f.neckHalf, back: neck.back * f.neckHalf },
    },
    {
      ...{ y: f.neckPoint + top.rise * f.scale, half: top.half * f.neckHalf, square: 2, z: top.z + neckZ(f) },
      ...{ front: top.half * neck.front * f.neckHalf, back: top.half * neck.back * f.neckHalf },
    },
  ];
  const mounds = [...breastsOf(f), ...(f.legs ? buttocksOf(f, hip) : [])];
  return { rings, mounds, arm: { x: f.armX, z: f.armZ, radius: f.armRadius } };
}

/** The base of the neck in a direction: lower at the pit in front and at the nape than beside the neck. */
export function neckBaseAt(f: Figure, direction: number): Vec3 {
  const [sin, cos] = [Math.sin(direction), Math.cos(direction)];
  const { front, back, z } = UPPER.neck;
  const depth = (cos > 0 ? front : back) * f.neckHalf;
  const y = f.neckPoint + (cos > 0 ? f.neckPit - f.neckPoint : f.nape - f.neckPoint) * cos * cos;
  return { x: f.neckHalf * sin, y, z: z + neckZ(f) + depth * cos };
}

/** The level under the bust. */
export const underbustAt = (f: Pick<Figure, 'bust' | 'scale'>): number => f.bust - BELOW.bust * f.scale;

/** The level of the cross widths: half-way down the armhole. */
export const crossAt = (f: Pick<Figure, 'neckPoint' | 'shoulderDrop' | 'underarm'>): number =>
  (f.neckPoint - f.shoulderDrop + f.underarm) / 2;

const breastsOf = (f: Figure): readonly Mound[] =>
  ([1, -1] as const).map((way) => ({
    ...{ x: way * f.halfSpan, y: f.bust, rise: f.bustRise, side: 1 },
    ...{ across: BREAST.across * f.highBustHalf, below: BREAST.below * f.scale, above: BREAST.above * f.scale },
  }));
