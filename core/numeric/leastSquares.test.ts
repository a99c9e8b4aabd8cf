import { describe, expect, it } from 'vitest';
import { leastSquares } from './index.ts';

const FREE = { min: -1e6, max: 1e6 };
const options = { h: 0.01, close: 1e-6, still: 1e-9, rounds: 40 };

describe('least squares', () => {
  it('solves what is straight in one step', () => {
    const found = leastSquares(([x = 0, y = 0]) => [2 * x + y - 5, x - y - 1], [0, 0], {
      ...options,
      bounds: [FREE, FREE],
    });
    expect(found?.x[0]).toBeCloseTo(2, 5);
    expect(found?.x[1]).toBeCloseTo(1, 5);
  });
  it('keeps its slopes up as it goes: two bent equations in a dozen evaluations, not one set of slopes a step', () => {
    // x² + y = 11 and x + y² = 7 meet at (3, 2).
    const found = leastSquares(([x = 0, y = 0]) => [x * x + y - 11, x + y * y - 7], [4, 3], {
      ...options,
      bounds: [FREE, FREE],
    });
    expect(found?.x[0]).toBeCloseTo(3, 5);
    expect(found?.x[1]).toBeCloseTo(2, 5);
    expect(found?.evaluations).toBeLessThanOrEqual(13);
  });
  it('stops at a bound, and does not go where nothing can be computed', () => {
    const held = leastSquares(([x = 0]) => [x - 10], [0], { ...options, bounds: [{ min: 0, max: 4 }] });
    expect(held?.x).toEqual([4]);
    const walled = leastSquares(([x = 0]) => (x > 3 ? null : [x - 10]), [0], { ...options, bounds: [FREE] });
    expect(walled?.x[0]).toBeLessThanOrEqual(3);
    expect(walled?.blocked).toBe(true);
    expect(leastSquares(() => null, [0], { ...options, bounds: [FREE] })).toBeNull();
  });
});
