import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { calibrate, squareOn, thrown, throwOf } from '@ample/core/out/projector';
import { expectOk } from '@ample/core/units';
import { tableOf, tapeReads, USUAL_STAND } from './stand.ts';

const size = { width: 1280, height: 800 };
const table = { width: 1500, height: 900 };
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('the stand-in table', () => {
  it('is made true by what its tape reads, however the projector hangs and stretches', () => {
    fc.assert(
      fc.property(
        between(0.6, 1.4),
        between(0.9, 1.1),
        between(-200, 200),
        between(0, 360),
        (height, stretch, x, turned) => {
          const stand = { height, stretch, lean: 0 };
          const first = expectOk(calibrate(squareOn(size, null), tapeReads(stand, squareOn(size, null))), 'first');
          const again = squareOn(size, first.calibration);
          const second = expectOk(calibrate(again, tapeReads(stand, again)), 'second');
          // Two places of a piece 400 mm apart, through the projector onto the table.
          const box = { minX: 0, minY: 0, maxX: 400, maxY: 0 };
          const t = throwOf(box, { turned, flipped: false, slid: { x, y: 0 } }, second.calibration, size);
          const [a, b, c, d, e, f] = tableOf(stand, size, table);
          const lands = (p: { x: number; y: number }) => {
            const q = thrown(t, p);
            return { x: a * q.x + c * q.y + e, y: b * q.x + d * q.y + f };
          };
          const [p, q] = [lands({ x: 0, y: 0 }), lands({ x: 400, y: 0 })];
          // The tape is read to half a millimetre on a square of 250 at least.
          expect(Math.abs(Math.hypot(p.x - q.x, p.y - q.y) - 400)).toBeLessThan(0.9);
        },
      ),
      { seed: 8, numRuns: 60 },
    );
  });

  it('leans as it is told, and the diagonals of its square tell by how much', () => {
    for (const lean of [-3, -1, 2, 4]) {
      const square = squareOn(size, null);
      const { skew } = expectOk(calibrate(square, tapeReads({ ...USUAL_STAND, lean }, square)), 'leaning');
      expect(Math.abs((skew ?? 0) - -lean) < 0.25 || Math.abs((skew ?? 0) - lean) < 0.25).toBe(true);
    }
    const straight = tapeReads(USUAL_STAND, squareOn(size, null));
    expect(straight.rising).toBe(straight.falling);
  });

  it('has the middle of the picture in its own', () => {
    const [a, b, c, d, e, f] = tableOf({ height: 0.8, stretch: 1.07, lean: 2 }, size, table);
    expect(a * 640 + c * 400 + e).toBeCloseTo(750, 9);
    expect(b * 640 + d * 400 + f).toBeCloseTo(450, 9);
  });
});
