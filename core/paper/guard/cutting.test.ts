import { describe, expect, it } from 'vitest';
import { polyline } from '../../geometry/index.ts';
import { rectangle } from '../../testing/shapes.ts';
import { cuttingFaults } from './cutting.ts';

/** What is said of a box whose cutting line lies so far outside, which need not be its allowance of 15. */
const said = (out: number) => {
  const line = polyline([
    { x: -out, y: -out },
    { x: 200 + out, y: -out },
    { x: 200 + out, y: 100 + out },
    { x: -out, y: 100 + out },
    { x: -out, y: -out },
  ]);
  const faults: unknown[] = [];
  cuttingFaults(
    rectangle(200, 100),
    (code, data) => faults.push([code, Math.round((data?.['by'] as number) * 100) / 100]),
    line,
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
