import { describe, expect, it, vi } from 'vitest';
import { polyline } from '../../geometry/index.ts';
import { rectangle } from '../../testing/shapes.ts';
import { cuttingFaults } from './cutting.ts';

/** What the maker of cutting lines is made to say: the box drawn out by a distance that need not be its allowance. */
let out = 15;
vi.mock('../../pattern/index.ts', async (original) => ({
  ...(await original<object>()),
  cuttingLine: () =>
    polyline([
      { x: -out, y: -out },
      { x: 200 + out, y: -out },
      { x: 200 + out, y: 100 + out },
      { x: -out, y: 100 + out },
      { x: -out, y: -out },
    ]),
}));

const said = (by: number) => {
  out = by;
  const faults: unknown[] = [];
  cuttingFaults(rectangle(200, 100), (code, data) =>
    faults.push([code, Math.round((data?.['by'] as number) * 100) / 100]),
  );
  return faults;
};

describe('a cutting line', () => {
  it('passes within 0.3 mm of its allowance', () => {
    expect([15, 15.2, 14.8].flatMap(said)).toEqual([]);
  });
  it('is off from there, by as much as it is', () => {
    expect(said(13)).toEqual([['cutting-line-off', 2]]);
    expect(said(16)).toEqual([['cutting-line-off', 1]]);
    expect(said(8)).toEqual([['cutting-line-off', 7]]);
  });
});
