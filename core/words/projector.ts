import { CONTRADICTION_MOST, SKEW_MOST, type Calibrated, type CalibrateError } from '../out/projector/index.ts';
import type { Refusal } from '../units/index.ts';
import { sentence } from './refusal.ts';
import type { Sentence, Units } from '../speech/index.ts';
import { en } from '../speech/index.ts';

export const CALIBRATE_WORDS: Readonly<Record<CalibrateError, Sentence>> = {
  'square-unread': () => 'Measure the square both ways on the table and type both readings.',
  'square-unlikely': (s) =>
    en`No projector throws this square ${s.len('across')} by ${s.len('down')} large. Is it centimetres or inches? Measure again and type the readings with their unit.`,
  'square-uneven': (s) =>
    `${s.len('across')} across and ${s.len('down')} down differ by more than a projector stretches. Measure both sides again.`,
};
export const sayCalibrate = (r: Refusal<CalibrateError>, units: Units): string =>
  sentence(CALIBRATE_WORDS, r.code, r.data, units);

/** What the readings tell of how the projector stands; empty where it stands well. */
export function sayStand({ skew, contradiction }: Calibrated): readonly string[] {
  const out: string[] = [];
  if (contradiction !== null && contradiction > CONTRADICTION_MOST)
    out.push(
      `Sides and diagonals do not belong to one square (${contradiction.toFixed(0)} mm apart). Measure again; if it stays so, one side is thrown larger than the other: set the projector level over the table, or take its keystone correction.`,
    );
  else if (skew !== null && Math.abs(skew) > SKEW_MOST)
    out.push(
      en`The picture leans ${Math.abs(skew).toFixed(1)}° from square. Turn the projector until both diagonals are the same, then measure again; pieces cut now would be ${(1000 * Math.tan((Math.abs(skew) * Math.PI) / 180)).toFixed(0)} mm out on a metre.`,
    );
  return out;
}
