import { NECK, type ChartRow } from '../pattern/index.ts';

/** What the block drafter takes from a chart row, mm. */
export interface Body {
  readonly bust: number;
  readonly waist: number;
  readonly neck: number;
  readonly shoulder: number;
  readonly crossBack: number;
  readonly crossFront: number;
  readonly napeToWaist: number;
  readonly sideWaist: number;
  readonly bustHeight: number;
  readonly bustSpan: number;
  readonly upperArm: number;
  readonly wrist: number;
  readonly shoulderToElbow: number;
  readonly shoulderToWrist: number;
  readonly hip: number;
  readonly crotchDepth: number;
  readonly knee: number;
  readonly waistToKnee: number;
  readonly outsideLeg: number;
}

export function bodyOf(row: ChartRow): Body {
  const need = (key: keyof ChartRow['body']): number => {
    const value = row.body[key];
    if (value === undefined) throw new Error(`drafting: expected ${key} in size ${row.size}`);
    return value;
  };
  return {
    bust: need('fullBust'),
    waist: need('waist'),
    neck: need('neck'),
    shoulder: need('shoulder'),
    crossBack: need('crossBack'),
    crossFront: need('crossFront'),
    napeToWaist: need('napeToWaist'),
    sideWaist: need('sideWaist'),
    bustHeight: need('neckPointToBustPoint'),
    bustSpan: need('bustSpan'),
    upperArm: need('upperArm'),
    wrist: need('wrist'),
    shoulderToElbow: need('shoulderToElbow'),
    shoulderToWrist: need('shoulderToWrist'),
    hip: need('hip'),
    crotchDepth: need('crotchDepth'),
    knee: need('knee'),
    waistToKnee: need('waistToKnee'),
    outsideLeg: need('outsideLeg'),
  };
}

/** How far the nape lies below the level of the neck points. */
export const NAPE_DROP = NECK.nape;
export const neckWidth = (b: Body): number => b.neck * NECK.halfWidth;
export const neckDepth = (b: Body): number => b.neck * NECK.pit;
export const underarmBelowNeck = (b: Body): number => b.napeToWaist + NAPE_DROP - b.sideWaist - 22;
