import type { ChartRow, MeasurementKey, Pattern } from '../pattern/index.ts';

/**
 * The size chart of the sample patterns: invented, in millimetres, sizes 1 to 8, for a draft cup of 50 and a
 * height of 166 cm. Steps widen in the upper sizes, as bodies do.
 */
const bust = [800, 840, 880, 920, 960, 1010, 1060, 1120];
const waist = [620, 660, 700, 740, 780, 835, 890, 955];
const hip = [870, 910, 950, 990, 1030, 1075, 1120, 1175];
const span = [168, 174, 180, 186, 192, 199, 206, 214];
const height = [245, 250, 255, 260, 266, 272, 279, 287];
const thigh = [505, 527, 549, 571, 594, 620, 646, 678];
const crotchLength = [622, 634, 648, 661, 675, 690, 706, 725];
const neck = [340, 348, 356, 364, 372, 382, 392, 404];

export const SAMPLE_CHART: readonly ChartRow[] = bust.map((fullBust, i) => ({
  size: String(i + 1),
  body: {
    highBust: fullBust - 50,
    fullBust,
    underbust: fullBust - 130,
    waist: waist[i] ?? 0,
    hip: hip[i] ?? 0,
    neck: neck[i] ?? 0,
    shoulder: 116 + 2 * i,
    crossBack: 322 + 11 * i,
    crossFront: 300 + 11 * i,
    napeToWaist: 392 + 4 * i,
    sideWaist: 190 + 2 * i,
    neckPointToBustPoint: height[i] ?? 0,
    bustSpan: span[i] ?? 0,
    upperArm: 262 + 12 * i,
    wrist: 150 + 4 * i,
    shoulderToElbow: 336 + 2 * i,
    shoulderToWrist: 576 + 3 * i,
    crotchDepth: 252 + 4 * i,
    crotchLength: crotchLength[i] ?? 0,
    thigh: thigh[i] ?? 0,
    knee: 345 + 11 * i,
    waistToKnee: 578 + 2 * i,
    outsideLeg: 966 + 3 * i,
  },
}));

/** Of trousers only, and what a garment that hangs from the waist is chosen by. */
const LEGS: readonly MeasurementKey[] = ['crotchDepth', 'crotchLength', 'thigh', 'knee', 'waistToKnee', 'outsideLeg'];
const BELOW: readonly MeasurementKey[] = ['waist', 'hip', ...LEGS];

const rowsWith = (tells: (key: MeasurementKey) => boolean): readonly ChartRow[] =>
  SAMPLE_CHART.map((row) => ({
    ...row,
    body: Object.fromEntries(Object.entries(row.body).filter(([key]) => tells(key as MeasurementKey))),
  }));

/** What of the chart a pattern prints: of a body above the waist and at the hip, or from the waist down. */
export const PRINTED_CHART: Readonly<Record<Pattern['garment'], readonly ChartRow[]>> = {
  top: rowsWith((key) => !LEGS.includes(key)),
  bottom: rowsWith((key) => BELOW.includes(key)),
};
