import { UNTOLD, untoldOf, type Body } from '../form/index.ts';
import { haveLegs, type Garment } from '../sew/index.ts';
import { telling } from '../units/index.ts';
import { read, READINGS, type ReadingId, type Readings } from './readings.ts';
import { formUnder, standFor, wear, type Worn } from './wear.ts';

/** How much each reading moves with what no tape tells of a body: as if all lay off the usual at once, each as it may. */
export type PlusMinus = Readonly<Record<ReadingId, number>>;

/**
 * Puts a garment on the same body with each untold thing a little otherwise, from where it lies already, and adds up what
 * that moves (the root of the sum of squares). What was measured is left out. Hung with the coarse mesh throughout, so
 * that no change of mesh counts as one of the body. Tells on the way what share is done.
 */
export function* plusMinus(garment: Garment, body: Body, on: Worn): Generator<number, PlusMinus> {
  const untold = untoldOf(body, haveLegs(garment.pieces));
  const shifts = [{}, ...untold.map((key) => ({ [key]: UNTOLD[key] }))];
  const seen: Readings[] = [];
  let from = on;
  for (const [i, shift] of shifts.entries()) {
    const work = wear(garment, standFor(formUnder(garment, body, shift).figure, garment), on.cloth, 'coarse', from);
    const hung = yield* telling(work, (p) => (i + p.steps / p.most) / shifts.length);
    if (!hung.ok) continue;
    seen.push(read(hung.value));
    // The others begin where the usual body wears it.
    if (i === 0) from = hung.value;
  }
  const [base, ...others] = seen;
  const moved = (id: ReadingId): number =>
    Math.sqrt(others.reduce((sum, r) => sum + ((r[id] ?? 0) - (base?.[id] ?? 0)) ** 2, 0));
  return Object.fromEntries(READINGS.map((id) => [id, moved(id)])) as Record<ReadingId, number>;
}
