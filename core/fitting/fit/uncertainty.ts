import type { MeasurementKey, Pattern } from '../../pattern/index.ts';
import type { MeasurementSet } from './body.ts';
import { newestFirst } from './body.ts';
import { MEASUREMENT_CATALOGUE } from './catalogue.ts';

/** Differences smaller than these are beyond what a tape can show, mm. */
const PAPER = 1;
/** Half a notch of ease: lengths are read closer than girths, which breathe. */
const LENGTH = 3;
const GIRTH = 5;
/** Added for a knit that stretches to twice its width; less in proportion. */
const GIVES = 20;

export type Uncertainty = Readonly<Record<MeasurementKey, number>>;

/**
 * How far a difference may lie from the truth, mm: the spread of the two readings, a millimetre of paper and half a
 * notch of ease. Within it nothing is proposed.
 */
export function uncertaintyOf(sets: readonly MeasurementSet[], { fabric }: Pick<Pattern, 'fabric'>): Uncertainty {
  const newest = newestFirst(sets);
  const gives = fabric.kind === 'knit' ? GIVES * fabric.stretch : 0;
  return Object.fromEntries(
    MEASUREMENT_CATALOGUE.map(({ key, kind }) => {
      const [first, second] = newest.find((s) => s.readings[key] !== undefined)?.readings[key] ?? [];
      const spread = first !== undefined && second !== undefined ? Math.abs(first - second) : 0;
      return [key, spread + PAPER + (kind === 'length' ? LENGTH : GIRTH + gives)];
    }),
  ) as Uncertainty;
}
