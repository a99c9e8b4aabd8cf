import type { Figure } from './figure.ts';
import { closedTube, type Mesh } from './mesh.ts';
import {
  around,
  depthAt,
  pointOn,
  sectionOf,
  type Mound,
  type Ring,
  type Section,
  type Shape,
  type Vec3,
} from './shape.ts';
import { girthOf } from './tape.ts';

/** The legs of a form, mm: what a tape told of them, or is usual. Levels count down from the waist. */
export interface Legs {
  /** Down to the chair, seated. */
  readonly crotchDepth: number;
  readonly knee: number;
  readonly ankle: number;
  /** Girths: of the thigh where it is fullest, and of the knee. */
  readonly thigh: number;
  readonly kneeGirth: number;
}

/** The hip lies at least so far above the crotch, mm. */
const LEAST = 30;

/** The height of the crotch of a figure with these legs, mm above the floor. */
export const crotchAt = (f: Pick<Figure, 'waist' | 'hip' | 'scale' | 'seated'>, legs: Legs): number =>
  Math.min(f.waist - legs.crotchDepth + f.seated, f.hip - LEAST * f.scale);

/** How far the seat rises beside the centre back, where it is cleft; how much less deep than a torso’s the body is there, mm. */
const CLEFT = { rise: 32, less: 24 } as const;
/** How much less far forward the body reaches between its thighs than the belly above, mm. */
const RECEDES = 22;
/** A buttock: where its top lies as a share of half the hip’s width, how far below the hip, and how far it spreads, mm. */
const SEAT = { aside: 0.42, below: 12, across: 0.62, down: 70, up: 120 } as const;

/**
 * The lower end of a body with legs: from the crotch, where it runs out to nothing before and behind, to the hip, which is
 * cleft at the centre back.
 */
export function trunkRings(f: Figure, legs: Legs, hip: Ring): readonly Ring[] {
  const crotch = crotchAt(f, legs);
  const back = hip.back + f.seat - CLEFT.less * f.scale;
  const front = hip.front + IN_FRONT * f.seat - RECEDES * f.scale;
  const inner = INNER * hip.half;
  const low = BOTTOM.map(([up, share]): Ring => {
    const y = crotch + up * (f.hip - crotch);
    const half = inner + up * (hip.half - inner);
    return { ...hip, y, half, front: share * front, back: share * back };
  });
  return [...low, { ...hip, front, back }];
}
/** What reaches back at the seat reaches forward so much, as a share of it. */
const IN_FRONT = 0.25;
/** Half the width of the body’s lowest section as a share of the hip’s: inside the legs. */
const INNER = 0.6;
/** How round the body is between its legs: how far up to the hip, and which share of its depth there. */
const BOTTOM: readonly (readonly [up: number, share: number])[] = [
  [0, 0.12],
  [0.06, 0.28],
  [0.2, 0.48],
  [0.45, 0.72],
  [0.75, 0.91],
];

export const buttocksOf = (f: Figure, hip: Ring): readonly Mound[] =>
  ([1, -1] as const).map((way) => ({
    ...{ x: way * SEAT.aside * hip.half, y: f.hip - SEAT.below * f.scale, rise: CLEFT.rise * f.scale, side: -1 },
    ...{ across: SEAT.across * hip.half, below: SEAT.down * f.scale, above: SEAT.up * f.scale },
  }));

/** A leg as sections around an upright line: the left one’s, mm to the left of the middle of the body. */
export interface Leg {
  readonly section: Section;
  readonly middle: (y: number) => number;
  readonly from: number;
  readonly to: number;
}

/** How many times as deep as wide a thigh and a knee are; where the middle of the leg lies, to the front; where a thigh is fullest below the crotch; how far it keeps from the middle of the body, mm. */
const THIGH = { deep: 1.3, knee: 1.04, z: -8, below: 25, gap: 24 } as const;
/** Girths of the calf and the ankle as shares of the knee’s, and where the calf is fullest between the two. */
const CALF = { girth: 0.97, at: 0.3, z: -16 } as const;
const ANKLE = { girth: 0.64, z: -14, post: 60 } as const;
/** At the hip the leg is the body’s own surface, where that is a little slimmer than an ellipse; above it its top lies inside: how high, and how large. */
const TOP = { square: 1.8, above: 25, share: 0.72 } as const;

/** Half the width of an ellipse so many times as deep as wide, as a share of its girth. */
const halfOf = (deep: number): number =>
  1 / girthOf(around({ y: 0, half: 1, front: deep, back: deep, square: 2, z: 0 }, [], 96));
const HALF = new Map([1, THIGH.knee, THIGH.deep].map((deep) => [deep, halfOf(deep)]));

/** A section of so much girth. */
function round(y: number, girth: number, deep: number, z: number): Ring {
  const half = girth * (HALF.get(deep) ?? halfOf(deep));
  return { y, half, front: deep * half, back: deep * half, square: 2, z };
}

/** The left leg of a figure whose body is of this shape. */
export function legOf(f: Figure, legs: Legs, shape: Shape): Leg {
  const thighAt = thighLevel(f, legs);
  const knee = kneeLevel(f, legs);
  const ankle = Math.min(f.waist - legs.ankle, knee - APART * f.scale);
  const thigh = round(thighAt, legs.thigh, THIGH.deep, THIGH.z);
  const ankleGirth = ANKLE.girth * legs.kneeGirth;
  // Thighs hang below the outside of the hip, and clear of each other.
  const top = Math.max(thigh.half + THIGH.gap, 0.96 * f.hipHalf - thigh.half);
  const low = Math.max(legs.kneeGirth / (2 * Math.PI) + THIGH.gap, 0.84 * top);
  const out = sectionOf(shape)(f.hip).half;
  const hipMiddle = (out + THIGH.gap) / 2;
  const hip = hipOf(f, shape, hipMiddle);
  const within = TOP.share;
  const rings: readonly Ring[] = [
    round(Math.max(ankle - ANKLE.post * f.scale, 5), ankleGirth, 1, ANKLE.z),
    round(ankle, ankleGirth, 1, ANKLE.z),
    round(knee - CALF.at * (knee - ankle), CALF.girth * legs.kneeGirth, 1, CALF.z),
    round(knee, legs.kneeGirth, THIGH.knee, THIGH.z),
    thigh,
    hip,
    {
      ...{ ...hip, y: hip.y + TOP.above * f.scale, half: within * hip.half },
      ...{ front: within * hip.front, back: within * hip.back },
    },
  ];
  const share = (y: number, from: number, to: number): number => Math.min(1, Math.max(0, (y - from) / (to - from)));
  const middle = (y: number): number =>
    low + (top - low) * share(y, knee, thighAt) + (hipMiddle - top) * share(y, thighAt, f.hip);
  return { section: sectionOf({ rings }), middle, from: rings[0]?.y ?? 0, to: rings.at(-1)?.y ?? 0 };
}

/** The leg at the hip, its middle so far to the side: as far out, before and behind as the body there. */
function hipOf(f: Figure, shape: Shape, middle: number): Ring {
  const body = sectionOf(shape)(f.hip);
  const z = THIGH.z;
  const reach = (side: 1 | -1): number => Math.abs(depthAt(body, shape.mounds, side, middle).z - z);
  return { y: f.hip, half: body.half - middle, front: reach(1), back: reach(-1), square: TOP.square, z };
}

/** Where the thigh is fullest. */
export const thighLevel = (f: Figure, legs: Legs): number => crotchAt(f, legs) - THIGH.below * f.scale;

/** Levels of a leg lie at least so far apart, whatever was measured, mm. */
const APART = 60;
export const kneeLevel = (f: Figure, legs: Legs): number =>
  Math.min(f.waist - legs.knee, thighLevel(f, legs) - APART * f.scale);

/** A point of the left leg’s surface at a height and an angle from its outer side to the front, mm. */
export function onLeg(leg: Leg, y: number, angle: number): Vec3 {
  const p = pointOn(leg.section(y), [], Math.PI / 2 - angle);
  return { ...p, x: leg.middle(y) + p.x };
}

/** Whether a place lies inside the left leg. */
export function inLeg(leg: Leg, { x, y, z }: Vec3): boolean {
  if (y < leg.from || y > leg.to) return false;
  const ring = leg.section(y);
  const deep = z > ring.z ? ring.front : ring.back;
  return (Math.abs(x - leg.middle(y)) / ring.half) ** ring.square + (Math.abs(z - ring.z) / deep) ** ring.square < 1;
}

/** Points around a leg, and how far apart its sections lie, mm. */
const ROUND = 48;
const STEP = 12;

/** The left leg as a closed surface, mm; its top lies inside the body. */
export function legMesh(leg: Leg): Mesh {
  const count = Math.ceil((leg.to - leg.from) / STEP);
  const heights = Array.from({ length: count + 1 }, (_, i) => leg.from + ((leg.to - leg.from) * i) / count);
  const middle = (y: number): Vec3 => ({ x: leg.middle(y), y, z: leg.section(y).z });
  const rows = heights.map((y) =>
    Array.from({ length: ROUND }, (_, k) => onLeg(leg, y, Math.PI / 2 - (2 * Math.PI * k) / ROUND)),
  );
  return closedTube(rows, middle(leg.from), middle(leg.to));
}
