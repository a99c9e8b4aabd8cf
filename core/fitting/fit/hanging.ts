import type { MeasurementKey } from '../../pattern/index.ts';

/** The weight hanging from a stretch bodice, and how it stretched on the toile. */
export interface Hanging {
  /** What hangs from the waist: the skirt, grams. */
  readonly grams: number;
  /** How much longer the bodice gets when `TRIED_WITH` hang from its waist, mm. */
  readonly stretch: number;
}

/** The weight used for the trial, grams: about one newton. */
export const TRIED_WITH = 100;

/** How far the waist will be pulled down, mm: the weight times the stretch per weight, as knits give evenly while little is asked of them. */
export const dropBy = (hanging: Hanging | null | undefined): number =>
  hanging ? (hanging.grams / TRIED_WITH) * hanging.stretch : 0;

/** Lengths that are cut shorter, so that the waist hangs where the body has it. */
export const HUNG: readonly MeasurementKey[] = [
  'napeToWaist',
  'napeToFrontWaist',
  'frontWaistLength',
  'bustPointToWaist',
  'sideWaist',
];
