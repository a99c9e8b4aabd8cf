import type { MeasurementKey } from '../pattern/index.ts';
import { BELOW, type Figure } from './figure.ts';
import type { Legs } from './legs.ts';

/** Body measurements, mm. */
export type Body = Readonly<Partial<Record<MeasurementKey, number>>>;

/** Heights as shares of the whole: of a body standing easily. */
const NAPE = 0.855;
const WAIST = 0.631;
const HIP_DEPTH = 200;
/** A body of middling height, where it was not measured, mm. */
const HEIGHT = 1660;

/** The nape is this far below the neck point, the pit of the neck that far, mm: seldom measured, alike on most bodies. */
const NAPE_BELOW = 12;
const PIT_BELOW = 74;
/** The arm's girth as a share of the high bust, and how far its middle lies in from half the cross back, mm. */
const ARM = { girth: 0.33, in: 58, z: -24, length: 0.345, wrist: 0.55 } as const;
/** How far the body lies above the chair that its crotch depth is measured to, mm: sitting presses it. */
const SEATED = 20;
/** Where the top of the shoulders lies, from the middle of the body forward, mm. */
const RIDGE = -16;
/** A girth as so many times half the width of a section as deep as a torso's. */
const ROUND = 5.52;

/** What no tape tells, and how far it may well lie off what is usual, mm: readings are taken for what they are worth with it. */
export const UNTOLD = { shoulderDrop: 8, ridge: 10, neckPoint: 6, nape: 8, seat: 15, seated: 8 } as const;
export type Untold = keyof typeof UNTOLD;

/** What of it a body leaves open: around the shoulders, or on legs around the seat. */
export function untoldOf(body: Body, legs: boolean): readonly Untold[] {
  if (legs) return body.crotchLength === undefined ? ['seat', 'seated'] : ['seated'];
  return [...(body.shoulderSlope === undefined ? (['shoulderDrop'] as const) : []), 'ridge', 'neckPoint', 'nape'];
}

/**
 * Girths and cross widths that were not taken, from those that were: as they go together on the bodies of a usual size chart. What is told by none
 * of them is a middling body's.
 */
export function filledIn(body: Body): Required<Pick<Record<MeasurementKey, number>, Filled>> {
  const highBust = body.highBust ?? (body.fullBust === undefined ? (body.waist ?? 740) + 130 : body.fullBust - 50);
  const fullBust = body.fullBust ?? highBust + 50;
  // Little less than the chest where there is no breast.
  const underbust = body.underbust ?? highBust - Math.min(0.1 * highBust, 10 + 1.5 * Math.max(0, fullBust - highBust));
  const waist = body.waist ?? 0.85 * highBust;
  const crossBack = body.crossBack ?? 0.41 * highBust;
  const hip = body.hip ?? 1.33 * waist;
  const height = body.height ?? HEIGHT;
  const neckPointToBustPoint = body.neckPointToBustPoint ?? 0.157 * height;
  // The front from the neck point over the bust goes with the side; it is longer on a rounder body, and over a fuller bust.
  const front =
    (body.sideWaist === undefined
      ? (body.napeToWaist ?? 0.243 * height) + 22 + 0.04 * (highBust - 750)
      : body.sideWaist + 161 + 0.085 * highBust) +
    0.3 * (fullBust - highBust - 50);
  return {
    bustPointToWaist: body.bustPointToWaist ?? front - neckPointToBustPoint,
    ...{ highBust, fullBust, underbust, waist, hip },
    highHip: body.highHip ?? waist + 0.55 * (hip - waist),
    neck: body.neck ?? 185 + 0.205 * highBust,
    crossBack,
    crossFront: body.crossFront ?? 0.94 * crossBack,
  };
}
type Filled =
  | 'bustPointToWaist'
  | 'highBust'
  | 'fullBust'
  | 'underbust'
  | 'waist'
  | 'hip'
  | 'highHip'
  | 'neck'
  | 'crossBack'
  | 'crossFront';

/** How far breasts stand out, by how much more the full bust measures than the high bust, mm: next to nothing on a child. */
const riseFor = (cup: number): number => Math.max(2, Math.min(1.2 * cup, 28 + 0.45 * cup));

/** How far before the neck point the chest stands, as a share of half its width. */
const FORWARD = 0.53;

/** A first figure for a body: from its girths and height, everything else as on a body of middling proportions. */
export function firstFigure(body: Body, withLegs = false): Figure {
  const g = filledIn(body);
  const height = body.height ?? HEIGHT;
  const scale = height / HEIGHT;
  const nape = NAPE * height;
  const neckPoint = nape + NAPE_BELOW * scale;
  const waist = body.napeToWaist === undefined ? WAIST * height : nape - 0.92 * body.napeToWaist;
  const rise = riseFor(g.fullBust - g.highBust);
  const halfSpan = (body.bustSpan ?? 0.202 * g.fullBust) / 2;
  // From the neck point to the bust point the tape runs forward and outward as well as down.
  const along = body.neckPointToBustPoint ?? 0.157 * height;
  const forward = FORWARD * (g.highBust / ROUND) + rise;
  const down = Math.sqrt(Math.max((0.5 * along) ** 2, along ** 2 - forward ** 2 - (halfSpan - g.neck / 7.9) ** 2));
  const bust = Math.max(neckPoint - down, waist + (BELOW.bust + 30) * scale);
  const neckHalf = g.neck / 7.9;
  const shoulderDrop = body.shoulderSlope ?? 0.34 * (body.shoulder ?? 122 * scale);
  const shoulder =
    neckHalf + Math.sqrt(Math.max((60 * scale) ** 2, (body.shoulder ?? 122 * scale) ** 2 - shoulderDrop ** 2));
  const armRadius = (body.upperArm ?? ARM.girth * g.highBust) / (2 * Math.PI);
  return {
    scale,
    neckHalf,
    highBustHalf: g.highBust / ROUND,
    underbustHalf: g.underbust / ROUND,
    waistHalf: g.waist / ROUND,
    highHipHalf: g.highHip / ROUND,
    hipHalf: g.hip / ROUND,
    bustRise: rise,
    ...{ nape, neckPoint, neckPit: neckPoint - PIT_BELOW * scale, bust, waist, waistTilt: 0 },
    underarm:
      nape - (body.napeToUnderarm ?? (body.sideWaist === undefined ? 0.106 * height : nape - waist - body.sideWaist)),
    hip: waist - 0.98 * (body.hipDepth ?? HIP_DEPTH * scale),
    ...{ shoulder, shoulderDrop, ridge: RIDGE, halfSpan },
    ...{ armX: g.crossBack / 2 - ARM.in * scale, armZ: ARM.z, armRadius },
    armLength: body.shoulderToWrist ?? ARM.length * height,
    wristRadius: body.wrist === undefined ? ARM.wrist * armRadius : body.wrist / (2 * Math.PI),
    ...{
      legs: withLegs ? legsFor(body, g.hip, height, height * WAIST) : null,
      seat: 0,
      seated: SEATED,
      right: null,
      beside: null,
    },
  };
}

/** Levels of the leg as shares of the height of the waist, of its depth as one of the height, and its girths as shares of the hip. */
const LEG = { crotchDepth: 0.159, knee: 0.557, ankle: 0.93, thigh: 0.577, kneeGirth: 0.38 } as const;

const legsFor = (body: Body, hip: number, height: number, waist: number): Legs => ({
  crotchDepth: body.crotchDepth ?? LEG.crotchDepth * height,
  knee: body.waistToKnee ?? LEG.knee * waist,
  ankle: body.outsideLeg ?? LEG.ankle * waist,
  thigh: body.thigh ?? LEG.thigh * hip,
  kneeGirth: body.knee ?? LEG.kneeGirth * hip,
});
