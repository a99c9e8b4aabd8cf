import type { MeasurementKey } from '../../pattern/index.ts';

/** How a measurement compares with a pattern: what share of a difference one half piece takes. */
export interface MeasurementDefinition {
  readonly key: MeasurementKey;
  readonly kind: 'girth' | 'width' | 'length';
  readonly share: number;
  /** Ease usually wanted in a fitted woven, mm; lengths take none. */
  readonly ease: number;
  /** Plausible for an adult body, mm; outside is asked about, never refused. */
  readonly range: readonly [number, number];
  /** Needed to choose a size and a bust amount. */
  readonly essential: boolean;
}

const m = (
  key: MeasurementKey,
  kind: MeasurementDefinition['kind'],
  share: number,
  ease: number,
  lo: number,
  hi: number,
  essential = false,
): MeasurementDefinition => ({
  key,
  kind,
  share,
  ease,
  range: [lo, hi],
  essential,
});

/** In measuring order: top down, girths before lengths at each level. */
export const MEASUREMENT_CATALOGUE: readonly MeasurementDefinition[] = [
  m('neck', 'girth', 1 / 4, 0, 280, 560),
  m('highBust', 'girth', 1 / 4, 30, 650, 1600, true),
  m('fullBust', 'girth', 1 / 4, 50, 650, 1900, true),
  m('underbust', 'girth', 1 / 4, 30, 550, 1600),
  m('waist', 'girth', 1 / 4, 30, 480, 1900, true),
  m('highHip', 'girth', 1 / 4, 40, 550, 1900),
  m('hip', 'girth', 1 / 4, 50, 650, 2000, true),
  m('hipDepth', 'length', 1, 0, 120, 320),
  m('shoulder', 'length', 1, 0, 80, 190),
  m('shoulderSlope', 'length', 1, 0, 10, 90),
  m('crossBack', 'width', 1 / 2, 20, 250, 560),
  m('crossFront', 'width', 1 / 2, 10, 230, 540),
  m('napeToWaist', 'length', 1, 0, 300, 560),
  m('napeToBustPoint', 'length', 1, 0, 250, 560),
  m('napeToFrontWaist', 'length', 1, 0, 400, 800),
  m('frontWaistLength', 'length', 1, 0, 240, 560),
  m('neckPointToBustPoint', 'length', 1, 0, 180, 430, true),
  m('bustPointToWaist', 'length', 1, 0, 100, 320),
  m('bustSpan', 'width', 1 / 2, 0, 120, 320, true),
  m('napeToUnderarm', 'length', 1, 10, 140, 340),
  m('sideWaist', 'length', 1, 0, 100, 330),
  m('armhole', 'girth', 1 / 2, 0, 300, 800),
  m('upperArm', 'girth', 1, 50, 200, 650),
  m('wrist', 'girth', 1, 20, 120, 280),
  m('shoulderToElbow', 'length', 1, 0, 250, 450),
  m('shoulderToWrist', 'length', 1, 0, 450, 800),
  m('crotchDepth', 'length', 1, 15, 180, 420),
  m('crotchLength', 'length', 1 / 2, 38, 450, 1100),
  m('thigh', 'girth', 1 / 2, 50, 380, 1000),
  m('knee', 'girth', 1 / 2, 30, 280, 700),
  m('waistToKnee', 'length', 1, 0, 400, 750),
  m('outsideLeg', 'length', 1, 0, 700, 1250),
  m('skirtLength', 'length', 1, 0, 300, 1200),
  m('height', 'length', 1, 0, 1200, 2200),
];
