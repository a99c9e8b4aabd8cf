import { formOf, UNTOLD, type Body, type Untold } from '../form/index.ts';
import type { Garment } from '../sew/index.ts';
import { read, READINGS, type ReadingId, type Readings } from './readings.ts';
import { standOf, worn, type Worn } from './wear.ts';

/** How much each reading moves with what no tape tells of a body: as if all lay off the usual at once, each as it may. */
export type PlusMinus = Readonly<Record<ReadingId, number>>;

/**
 * Puts a garment on the same body with each untold thing a little otherwise, from where it lies already, and adds up what
 * that moves (the root of the sum of squares). What was measured is left out.
 */
export function plusMinusOf(garment: Garment, body: Body, on: Worn): PlusMinus {
  const base = read(on);
  const sums = Object.fromEntries(READINGS.map((id) => [id, 0])) as Record<ReadingId, number>;
  for (const key of Object.keys(UNTOLD) as Untold[]) {
    if (key === 'shoulderDrop' && body.shoulderSlope !== undefined) continue;
    const otherwise = worn(garment, standOf(formOf(body, { [key]: UNTOLD[key] }).figure), on.cloth, 'coarse', on);
    if (otherwise.ok) add(sums, read(otherwise.value), base);
  }
  return Object.fromEntries(READINGS.map((id) => [id, Math.sqrt(sums[id])])) as Record<ReadingId, number>;
}

function add(sums: Record<ReadingId, number>, other: Readings, base: Readings): void {
  for (const id of READINGS) sums[id] += ((other[id] ?? 0) - (base[id] ?? 0)) ** 2;
}
