import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatShare, roundToUnit, shownSum, stepOf, type InchFraction, type LengthUnit } from './index.ts';

const INCH = 25.4;
const lengths = fc.double({ min: -1200, max: 1200, noNaN: true });
const units = fc.constantFrom<readonly [LengthUnit, InchFraction]>(['cm', 8], ['in', 8], ['in', 16], ['in', 32]);
const terms = fc.array(fc.record({ value: lengths, keep: fc.boolean() }), { minLength: 1, maxLength: 4 });

describe('a sum as it is shown', () => {
  it('adds up where rounding each length by itself would not: 15¼″ − 15⅜″ was −¼″', () => {
    const [nape, flat] = [15.19 * INCH, 15.43 * INCH];
    const { terms: shown, result } = shownSum([{ value: nape, keep: true }, { value: -flat }], nape - flat, 'in');
    expect(roundToUnit(-flat, 'in')).toBeCloseTo(-15.375 * INCH, 9);
    expect([...shown, result].map((v) => v / INCH)).toEqual([15.25, -15.5, -0.25]);
  });
  it('gives way where every length was typed', () => {
    const { terms: shown, result } = shownSum(
      [
        { value: 10.4, keep: true },
        { value: 10.4, keep: true },
      ],
      20.8,
      'cm',
    );
    expect([...shown, result]).toEqual([10, 10, 20]);
  });
  it('adds up always, keeps what is kept, and takes the true result where anything is free', () => {
    fc.assert(
      fc.property(terms, units, (given, [unit, fraction]) => {
        const whole = given.reduce((n, t) => n + t.value, 0);
        const { terms: shown, result } = shownSum(given, whole, unit, fraction);
        const step = stepOf(unit, fraction);
        expect(shown.reduce((n, v) => n + v, 0)).toBeCloseTo(result, 9);
        given.forEach((t, i) => {
          if (t.keep) expect(shown[i]).toBeCloseTo(roundToUnit(t.value, unit, fraction), 9);
          // Never farther off than all the others' rounding together.
          expect(Math.abs((shown[i] ?? NaN) - t.value)).toBeLessThanOrEqual(
            step * (given.length + 1) * 0.5 + step * 0.5,
          );
        });
        if (given.some((t) => !t.keep)) expect(result).toBeCloseTo(roundToUnit(whole, unit, fraction), 9);
      }),
      { seed: 20261129, numRuns: 500 },
    );
  });
  it('is left alone where the result is no sum of the terms', () => {
    expect(shownSum([{ value: 100 }, { value: -20 }], 60, 'cm')).toEqual({ terms: [100, -20], result: 60 });
  });
});

describe('a share as it is shown', () => {
  it.each([
    [3, 2, 'cm', '+0.15 cm'],
    [4, 2, 'cm', '+0.2 cm'],
    [3.4, 4, 'cm', '+0.07 cm'],
    [0.375 * INCH, 2, 'in', '+3/16″'],
    [0.375 * INCH, 4, 'in', '+3/32″'],
    [-0.5 * INCH, 2, 'in', '−1/4″'],
  ] as const)('of %f by %i, in %s: %s', (value, parts, unit, text) => {
    expect(formatShare(value, parts, unit, { sign: true })).toBe(text);
  });
});
