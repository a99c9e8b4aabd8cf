import fc from 'fast-check';
import { expect, it } from 'vitest';
import { SAMPLE_CHART } from '../blocks/chart.ts';
import type { MeasurementKey } from '../pattern/index.ts';
import { formOf, type Body } from './index.ts';

/** How far a body may differ from a chart row, as a share of the measurement. */
const APART: Readonly<Partial<Record<MeasurementKey, number>>> = {
  fullBust: 0.06,
  highBust: 0.03,
  underbust: 0.04,
  waist: 0.08,
  hip: 0.06,
  neck: 0.04,
  shoulder: 0.08,
  crossBack: 0.05,
  crossFront: 0.05,
  napeToWaist: 0.05,
  sideWaist: 0.05,
  neckPointToBustPoint: 0.06,
  bustSpan: 0.08,
  upperArm: 0.1,
};
const KEYS = Object.keys(APART) as readonly MeasurementKey[];

const bodies = fc
  .record({
    size: fc.integer({ min: 0, max: 7 }),
    by: fc.array(fc.integer({ min: -100, max: 100 }), { minLength: KEYS.length, maxLength: KEYS.length }),
    height: fc.integer({ min: 1520, max: 1800 }),
  })
  .map(({ size, by, height }): Body => {
    const row = SAMPLE_CHART[size]?.body ?? {};
    const of = (key: MeasurementKey, i: number): number =>
      (row[key] ?? 0) * (1 + ((APART[key] ?? 0) * (by[i] ?? 0)) / 100);
    return { ...Object.fromEntries(KEYS.map((key, i) => [key, of(key, i)])), height };
  });

it('finds no contradiction in bodies of all kinds', () => {
  fc.assert(
    fc.property(bodies, (body) => {
      expect(formOf(body).conflicts.map((c) => [c.key, c.body, c.form])).toEqual([]);
    }),
    { numRuns: 24, seed: 21 },
  );
});
