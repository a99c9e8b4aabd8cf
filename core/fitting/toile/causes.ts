import type { MeasurementKey } from '../../pattern/index.ts';
import type { SymptomId } from '../fit/index.ts';

/** What would put a cause right. */
export type Remedy =
  /** A step of the plan; the first alteration that suits the pieces. `bust` is whichever bust adjustment does. */
  | {
      readonly kind: 'step';
      readonly alterations: readonly string[];
      /** Which way its amount goes. */
      readonly way: 1 | -1;
      /** What an amount pinned at a sign becomes in the step; signs left out tell no amount. */
      readonly per: Readonly<Partial<Record<SymptomId, number>>>;
      /** The value that is set, where it is not the step's own amount. */
      readonly key?: 'setback';
      readonly values?: Readonly<Record<string, string>>;
    }
  /** Another station decides. */
  | { readonly kind: 'station'; readonly station: 'size' | 'body' }
  /** Not a step of a plan: explained in words. */
  | { readonly kind: 'advice' };

/** A likely reason for what a fitting shows. */
export interface Cause {
  readonly id: string;
  /** How strongly each sign by itself speaks for it, 0 to 1. */
  readonly signs: Readonly<Partial<Record<SymptomId, number>>>;
  /** Signs that speak against it. */
  readonly against?: readonly SymptomId[];
  /** Measurements that tell: positive, the pattern would still have to grow there. */
  readonly reads: readonly { readonly key: MeasurementKey; readonly way: 1 | -1 }[];
  /** Measurements that must be right for it: one that is short as well points elsewhere. */
  readonly level?: readonly MeasurementKey[];
  /** The size was chosen so: makes it likelier. */
  readonly sizedBy?: 'fullBust';
  readonly remedy: Remedy;
  /** Alterations in the plan that would have caused it themselves. */
  readonly overdone?: readonly string[];
}

const BUST = ['bust'];
const SHOULDER = ['shoulder-slash', 'shoulder-slide', 'shoulder-redraw'];
const SWAY = ['swayback-waist-seam', 'swayback-fold', 'swayback-lower'];
const HIP = ['hip-slash', 'side-add'];

const step = (
  alterations: readonly string[],
  way: 1 | -1,
  per: Readonly<Partial<Record<SymptomId, number>>>,
  more: { readonly key?: 'setback'; readonly values?: Readonly<Record<string, string>> } = {},
): Remedy => ({ kind: 'step', alterations, way, per, ...more });

/** Every cause the app can tell apart, from the bust outward; the words beside it say by which test. */
export const CAUSES: readonly Cause[] = [
  {
    id: 'fuller-bust',
    signs: {
      'pull-bust-side': 0.5,
      'tight-bust': 0.55,
      'hem-rises-front': 0.4,
      'armhole-gapes': 0.35,
      'side-forward': 0.3,
      'neck-gapes': 0.12,
    },
    against: ['folds-over-bust', 'centre-too-far'],
    reads: [{ key: 'fullBust', way: 1 }],
    remedy: step(BUST, 1, { 'tight-bust': 1 }),
  },
  {
    id: 'smaller-bust',
    signs: { 'folds-over-bust': 0.55, 'centre-too-far': 0.5 },
    against: ['tight-bust', 'pull-bust-side'],
    reads: [{ key: 'fullBust', way: -1 }],
    remedy: step(BUST, -1, { 'folds-over-bust': 1, 'centre-too-far': 2 }),
  },
  {
    id: 'dart-too-high',
    signs: { 'fullness-above-bust': 0.65 },
    reads: [{ key: 'neckPointToBustPoint', way: 1 }],
    remedy: step(['princess-apex', 'dart-raise'], -1, { 'fullness-above-bust': 1 }),
  },
  {
    id: 'dart-too-low',
    signs: { 'fullness-below-bust': 0.65 },
    reads: [{ key: 'neckPointToBustPoint', way: -1 }],
    remedy: step(['princess-apex', 'dart-raise'], 1, { 'fullness-below-bust': 1 }),
  },
  {
    id: 'dart-too-long',
    signs: { 'dart-pointed': 0.8 },
    reads: [],
    remedy: step(['dart-setback'], 1, { 'dart-pointed': 1 }, { key: 'setback' }),
  },
  {
    id: 'swayback',
    signs: { 'cloth-above-seat': 0.5 },
    against: ['waist-low', 'hip-wrinkles'],
    reads: [{ key: 'napeToWaist', way: -1 }],
    level: ['sideWaist'],
    remedy: step(SWAY, 1, { 'cloth-above-seat': 1 }),
  },
  {
    id: 'bodice-long',
    signs: { 'waist-low': 0.6, 'cloth-above-seat': 0.3 },
    against: ['waist-high'],
    reads: [
      { key: 'sideWaist', way: -1 },
      { key: 'frontWaistLength', way: -1 },
    ],
    remedy: step(['length-line'], -1, { 'waist-low': 1, 'cloth-above-seat': 1 }, { values: { where: 'belowBust' } }),
  },
  {
    id: 'bodice-short',
    signs: { 'waist-high': 0.6 },
    against: ['waist-low', 'cloth-above-seat'],
    reads: [
      { key: 'sideWaist', way: 1 },
      { key: 'napeToWaist', way: 1 },
    ],
    remedy: step(['length-line'], 1, { 'waist-high': 1 }, { values: { where: 'belowBust' } }),
  },
  {
    id: 'sway-overdone',
    signs: { 'hem-rises-back': 0.5, 'waist-high': 0.25 },
    against: ['cloth-above-seat'],
    reads: [{ key: 'napeToWaist', way: 1 }],
    remedy: { kind: 'advice' },
    overdone: SWAY,
  },
  {
    id: 'full-seat',
    signs: { 'hem-rises-back': 0.5 },
    reads: [{ key: 'hip', way: 1 }],
    remedy: step(['full-seat'], 1, { 'hem-rises-back': 1 }),
  },
  {
    id: 'hip-narrow',
    signs: { 'hip-wrinkles': 0.6, 'cloth-above-seat': 0.25 },
    against: ['loose-hip'],
    reads: [{ key: 'hip', way: 1 }],
    remedy: step(HIP, 1, { 'hip-wrinkles': 1 }, { values: { level: 'hip' } }),
  },
  {
    id: 'hip-wide',
    signs: { 'loose-hip': 0.65 },
    reads: [{ key: 'hip', way: -1 }],
    remedy: step(HIP, -1, { 'loose-hip': 2 }, { values: { level: 'hip' } }),
  },
  {
    id: 'waist-narrow',
    signs: { 'tight-waist': 0.65, 'waist-high': 0.15 },
    reads: [{ key: 'waist', way: 1 }],
    remedy: step(['side-add', 'dart-waist-width'], 1, { 'tight-waist': 1 }, { values: { level: 'waist' } }),
  },
  {
    id: 'waist-wide',
    signs: { 'loose-waist': 0.65 },
    reads: [{ key: 'waist', way: -1 }],
    remedy: step(['side-add', 'dart-waist-width'], -1, { 'loose-waist': 2 }, { values: { level: 'waist' } }),
  },
  {
    id: 'narrow-shoulder',
    signs: { 'shoulder-hangs': 0.6, 'armhole-gapes': 0.12 },
    against: ['shoulder-strain'],
    reads: [{ key: 'shoulder', way: -1 }],
    remedy: step(SHOULDER, -1, { 'shoulder-hangs': 1 }),
  },
  {
    id: 'size-from-bust',
    signs: { 'shoulder-hangs': 0.25, 'neck-gapes': 0.2, 'loose-across-back': 0.2 },
    reads: [{ key: 'highBust', way: -1 }],
    sizedBy: 'fullBust',
    remedy: { kind: 'station', station: 'size' },
  },
  {
    id: 'broad-shoulder',
    signs: { 'shoulder-strain': 0.5 },
    against: ['shoulder-hangs'],
    reads: [{ key: 'shoulder', way: 1 }],
    remedy: step(SHOULDER, 1, { 'shoulder-strain': 1 }),
  },
  {
    id: 'square-shoulder',
    signs: { 'shoulder-strain': 0.4 },
    against: ['folds-neck-armhole'],
    reads: [{ key: 'shoulderSlope', way: -1 }],
    remedy: step(['shoulder-slope'], -1, { 'shoulder-strain': 1 }),
  },
  {
    id: 'sloping-shoulder',
    signs: { 'folds-neck-armhole': 0.65 },
    against: ['shoulder-strain'],
    reads: [{ key: 'shoulderSlope', way: 1 }],
    remedy: step(['shoulder-slope'], 1, { 'folds-neck-armhole': 1 }),
  },
  {
    id: 'forward-shoulder',
    signs: { 'drag-neck-shoulder': 0.55, 'neck-pulls-back': 0.4 },
    reads: [],
    remedy: step(['forward-shoulder'], 1, { 'drag-neck-shoulder': 1, 'neck-pulls-back': 1 }),
  },
  {
    id: 'round-back',
    signs: { 'neck-pulls-back': 0.4, 'neck-stands-away': 0.4, 'hem-rises-back': 0.2, 'drag-neck-shoulder': 0.2 },
    against: ['bubble-below-neck'],
    reads: [{ key: 'napeToWaist', way: 1 }],
    remedy: step(['round-back'], 1, { 'neck-pulls-back': 1, 'hem-rises-back': 1 }),
    overdone: ['flat-upper-back'],
  },
  {
    id: 'flat-upper-back',
    signs: { 'bubble-below-neck': 0.65 },
    against: ['neck-pulls-back'],
    reads: [{ key: 'napeToWaist', way: -1 }],
    remedy: step(['flat-upper-back'], 1, { 'bubble-below-neck': 1 }),
    overdone: ['round-back'],
  },
  {
    id: 'back-narrow',
    signs: { 'tight-across-back': 0.6, 'sleeve-binds': 0.35 },
    against: ['loose-across-back'],
    reads: [{ key: 'crossBack', way: 1 }],
    remedy: step(['back-width'], 1, { 'tight-across-back': 1 }),
  },
  {
    id: 'back-wide',
    signs: { 'loose-across-back': 0.6 },
    against: ['tight-across-back'],
    reads: [{ key: 'crossBack', way: -1 }],
    remedy: step(['back-width'], -1, { 'loose-across-back': 2 }),
  },
  {
    id: 'sleeve-narrow',
    signs: { 'sleeve-tight': 0.65, 'sleeve-binds': 0.25 },
    reads: [{ key: 'upperArm', way: 1 }],
    remedy: step(['upper-arm'], 1, { 'sleeve-tight': 1 }),
  },
  {
    id: 'sleeve-wide',
    signs: { 'sleeve-loose': 0.65 },
    against: ['sleeve-binds', 'sleeve-tight'],
    reads: [{ key: 'upperArm', way: -1 }],
    remedy: step(['upper-arm'], -1, { 'sleeve-loose': 1 }),
  },
  {
    id: 'arm-longer',
    signs: { 'sleeve-short': 0.65 },
    against: ['sleeve-long'],
    reads: [{ key: 'shoulderToWrist', way: 1 }],
    remedy: step(['sleeve-length'], 1, { 'sleeve-short': 1 }),
  },
  {
    id: 'arm-shorter',
    signs: { 'sleeve-long': 0.65 },
    against: ['sleeve-short'],
    reads: [{ key: 'shoulderToWrist', way: -1 }],
    remedy: step(['sleeve-length'], -1, { 'sleeve-long': 1 }),
  },
  {
    id: 'wrist-fuller',
    signs: { 'wrist-tight': 0.65 },
    against: ['wrist-loose'],
    reads: [{ key: 'wrist', way: 1 }],
    remedy: step(['cuff-width', 'wrist-width'], 1, { 'wrist-tight': 1 }),
  },
  {
    id: 'wrist-slimmer',
    signs: { 'wrist-loose': 0.65 },
    against: ['wrist-tight'],
    reads: [{ key: 'wrist', way: -1 }],
    remedy: step(['cuff-width', 'wrist-width'], -1, { 'wrist-loose': 1 }),
  },
  {
    id: 'armhole-low',
    signs: { 'sleeve-binds': 0.35 },
    against: ['armhole-cuts-in'],
    reads: [{ key: 'napeToUnderarm', way: -1 }],
    remedy: step(['armhole-depth'], 1, {}),
  },
  {
    id: 'armhole-high',
    signs: { 'armhole-cuts-in': 0.65 },
    reads: [{ key: 'napeToUnderarm', way: 1 }],
    remedy: step(['armhole-depth'], -1, { 'armhole-cuts-in': 1 }),
  },
  {
    id: 'neck-gape',
    signs: { 'neck-gapes': 0.5 },
    reads: [],
    remedy: step(['neck-gape-dart', 'neck-gape-seam'], 1, { 'neck-gapes': 1 }),
  },
  {
    id: 'neck-close',
    signs: { 'neck-tight': 0.65 },
    reads: [{ key: 'neck', way: 1 }],
    remedy: step(['neckline'], 1, {}),
  },
];
