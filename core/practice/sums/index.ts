import type { Sum } from './sum.ts';
import { startingSize } from './startingSize.ts';
import { bustAmount } from './bustAmount.ts';
import { halfOfFront } from './halfOfFront.ts';
import { quarterOfHip } from './quarterOfHip.ts';
import { dartLeg } from './dartLeg.ts';
import { bandLength } from './bandLength.ts';
import { crotchShare } from './crotchShare.ts';
import { easeLeft } from './easeLeft.ts';
export * from './sum.ts';

/** Every sum, in the order in which they are offered. */
export const SUMS: readonly Sum[] = [
  startingSize,
  bustAmount,
  halfOfFront,
  quarterOfHip,
  dartLeg,
  bandLength,
  crotchShare,
  easeLeft,
];
