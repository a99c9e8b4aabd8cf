import type { ChartRow, MeasurementKey } from '../pattern/index.ts';

/** The chart of the child’s patterns: invented, mm; each size has its own height, and no cup. */
const HEIGHT = [980, 1040, 1100, 1160, 1220, 1280, 1340, 1400];
const chest = [540, 560, 580, 600, 625, 650, 680, 710];
const waist = [520, 530, 540, 550, 565, 580, 600, 620];
const hip = [565, 585, 605, 630, 655, 685, 715, 750];

export const CHILD_CHART: readonly ChartRow[] = HEIGHT.map((height, i) => ({
  size: String(i + 1),
  body: {
    highBust: chest[i] ?? 0,
    fullBust: chest[i] ?? 0,
    waist: waist[i] ?? 0,
    hip: hip[i] ?? 0,
    neck: 264 + 6 * i,
    shoulder: 84 + 3 * i,
    crossBack: 228 + 8 * i,
    crossFront: 220 + 8 * i,
    napeToWaist: 238 + 11 * i,
    sideWaist: 114 + 6 * i,
    neckPointToBustPoint: 148 + 6 * i,
    bustSpan: 116 + 4 * i,
    upperArm: 166 + 7 * i,
    wrist: 120 + 3 * i,
    shoulderToElbow: 184 + 13 * i,
    shoulderToWrist: 330 + 25 * i,
    height,
    crotchDepth: 180 + 6 * i,
    knee: 235 + 9 * i,
    waistToKnee: 330 + 25 * i,
    outsideLeg: 575 + 45 * i,
  },
}));

/** Drafted for, but not printed on the envelope of a top. */
const UNPRINTED: readonly MeasurementKey[] = [
  'crotchDepth',
  'knee',
  'waistToKnee',
  'outsideLeg',
  'neckPointToBustPoint',
];
export const PRINTED_CHILD: readonly ChartRow[] = CHILD_CHART.map((row) => ({
  ...row,
  body: Object.fromEntries(Object.entries(row.body).filter(([key]) => !UNPRINTED.includes(key as MeasurementKey))),
}));
