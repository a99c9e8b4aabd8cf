import { expect, it } from 'vitest';
import type { LineSpan } from '../../geometry/index.ts';
import { doubleDartsAmong } from './doubleDarts.ts';

const line = (ax: number, ay: number, bx: number, by: number): LineSpan => ({
  kind: 'line',
  a: { x: ax, y: ay },
  b: { x: bx, y: by },
});
/** From (100, 200) to (100, 500), 30 wide at y = 320; drawn in any order and direction. */
const LEGS = [line(100, 200, 115, 320), line(115, 320, 100, 500), line(85, 320, 100, 200), line(100, 500, 85, 320)];

it('finds four legs that close, and leaves every other line', () => {
  const seam = line(0, 100, 80, 100);
  const { darts, others } = doubleDartsAmong([seam, ...LEGS, line(100, 500, 100, 200)]);
  expect(darts).toEqual([{ upper: { x: 100, y: 200 }, lower: { x: 100, y: 500 }, widest: 0.4, width: 30, curve: 0 }]);
  // The line from tip to tip is its own fold.
  expect(others).toEqual([seam]);
});

it('takes two tips of a rhombus to be where it is long, and nothing for a dart that is as wide as it is long', () => {
  const rhombus = (w: number, h: number) => [
    line(0, -h, w, 0),
    line(w, 0, 0, h),
    line(0, h, -w, 0),
    line(-w, 0, 0, -h),
  ];
  expect(doubleDartsAmong(rhombus(12, 90)).darts).toEqual([
    { upper: { x: 0, y: -90 }, lower: { x: 0, y: 90 }, widest: 0.5, width: 24, curve: 0 },
  ]);
  expect(doubleDartsAmong(rhombus(60, 60)).darts).toEqual([]);
});

it('makes no dart of legs that differ or do not close', () => {
  expect(doubleDartsAmong(LEGS.slice(0, 3)).darts).toEqual([]);
  expect(doubleDartsAmong([...LEGS.slice(0, 3), line(100, 500, 70, 320)]).darts).toEqual([]);
});
