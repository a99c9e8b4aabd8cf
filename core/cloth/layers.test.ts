import { describe, expect, it } from 'vitest';
import { rectangle } from '../testing/cloth.ts';
import { CLOTHS, hang, PACE, prepare, step, type Layers, type OnItsWay, type Sheet } from './index.ts';

const TOUCH = { off: 0.0015, push: 300, friction: 0.3 } as const;
const APART = 0.003;
const [LOW, UP] = [rectangle(0.3, 0.3, 0.03), rectangle(0.15, 0.15, 0.023)];
const [POINTS, TRIANGLES] = [LOW.sheet.points, LOW.sheet.area.length];

/** 1 where the corners of a sheet laid level run against the clock seen from above. */
function upward({ flat }: Sheet): 1 | -1 {
  const [a, b, c] = [0, 1, 2].map((k) => [flat[2 * k]!, flat[2 * k + 1]!] as const) as [Flat, Flat, Flat];
  // Across, and along the grain to the front: their normal points down.
  return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) > 0 ? -1 : 1;
}
type Flat = readonly [number, number];

/** Two level sheets of calico, the upper one smaller and so far above the lower, which is held all over. */
function twoSheets(above: number, meet: 'not' | 'as one tube' | 'as two'): OnItsWay {
  const count = TRIANGLES + UP.sheet.area.length;
  const sheet = prepare({
    points: POINTS + UP.sheet.points,
    triangles: Int32Array.from([...LOW.sheet.triangles, ...UP.sheet.triangles.map((i) => i + POINTS)]),
    flat: Float64Array.from([...LOW.sheet.flat, ...UP.sheet.flat]),
    layers: new Float64Array(count).fill(1),
  });
  const x = Float64Array.from([
    ...LOW.places.flatMap(([u, v]) => [u, 0, v]),
    ...UP.places.flatMap(([u, v]) => [u + 0.071, above, v + 0.068]),
  ]);
  // The outside of the lower one is above, that of the upper one below.
  const outward = new Int8Array(count).fill(upward(LOW.sheet));
  outward.fill(-upward(UP.sheet), TRIANGLES);
  const tube = new Uint8Array(count);
  if (meet === 'as two') tube.fill(1, TRIANGLES);
  const layers: Layers | null =
    meet === 'not' ? null : { apart: APART, push: 300, outward, tube, itself: meet !== 'as two' };
  const held = new Uint8Array(x.length).fill(1, 0, 3 * POINTS);
  const on = hang({ sheet, cloth: CLOTHS.calico, solid: null, touch: TOUCH, layers, held }, x);
  for (let i = 0; i < 30; i++) step(on, PACE);
  return on;
}
/** The heights of the upper sheet, mm. */
const heights = ({ x }: OnItsWay): readonly number[] =>
  [...x.subarray(3 * POINTS)].filter((_, k) => k % 3 === 1).map((y) => 1000 * y);

describe('cloth on cloth', () => {
  it('falls through without layers', () => {
    expect(Math.max(...heights(twoSheets(0.004, 'not')))).toBeLessThan(-100);
  });

  it('comes to lie on it, as far off as layers keep but for what its weight presses in', () => {
    for (const y of heights(twoSheets(0.004, 'as one tube'))) {
      expect(y).toBeLessThan(3.1);
      // 150 g/m² · 9.81 · 2.25 dm² over more than eighty points, each pushed back by 300 N/m: hundredths of a millimetre.
      expect(y).toBeGreaterThan(2.5);
    }
  });

  it('stays on the side of its own tube where it came near', () => {
    // Begun below, it falls away instead of being pushed up.
    expect(Math.max(...heights(twoSheets(-0.004, 'as one tube')))).toBeLessThan(-100);
  });

  it('is pushed out where it began inside another tube', () => {
    for (const y of heights(twoSheets(-0.008, 'as two'))) {
      expect(y).toBeLessThan(4);
      expect(y).toBeGreaterThan(2.5);
    }
  });
});
