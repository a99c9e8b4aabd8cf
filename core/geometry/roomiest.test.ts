import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { insidePolygon } from './polygon.ts';
import { roomiest } from './roomiest.ts';
import { type Point } from './vec.ts';

const rect = (w: number, h: number): Point[] => [
  { x: 0, y: 0 },
  { x: w, y: 0 },
  { x: w, y: h },
  { x: 0, y: h },
];

describe('roomiest', () => {
  it('is the middle of a square, by half its side', () => {
    const { at, room } = roomiest(rect(80, 80));
    expect(room).toBeCloseTo(40, 0);
    expect(Math.hypot(at.x - 40, at.y - 40)).toBeLessThan(1);
  });

  it('lies in the wide end of a shape whose middle is a narrow neck', () => {
    // A dumb-bell: 100 by 100, a neck of 10, 60 by 60.
    const ring = [
      [0, 0],
      [100, 0],
      [100, 45],
      [200, 45],
      [200, 20],
      [260, 20],
      [260, 80],
      [200, 80],
      [200, 55],
      [100, 55],
      [100, 100],
      [0, 100],
    ].map(([x, y]) => ({ x: x as number, y: y as number }));
    const { at, room } = roomiest(ring);
    expect(at.x).toBeLessThan(100);
    expect(room).toBeGreaterThan(45);
  });

  it('is inside, and no room is promised that is not there', () => {
    const corner = fc.record({
      x: fc.double({ min: 0, max: 400, noNaN: true }),
      y: fc.double({ min: 0, max: 400, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(corner, { minLength: 3, maxLength: 8 }), (points) => {
        // Sorted about their middle the corners make a simple ring.
        const m = {
          x: points.reduce((s, p) => s + p.x, 0) / points.length,
          y: points.reduce((s, p) => s + p.y, 0) / points.length,
        };
        const ring = [...points].sort((a, b) => Math.atan2(a.y - m.y, a.x - m.x) - Math.atan2(b.y - m.y, b.x - m.x));
        const { at, room } = roomiest(ring);
        if (room < 0.01) return;
        expect(insidePolygon(at, ring)).toBe(true);
        for (const angle of [0, 1, 2, 3, 4, 5, 6])
          expect(
            insidePolygon({ x: at.x + 0.98 * room * Math.cos(angle), y: at.y + 0.98 * room * Math.sin(angle) }, ring),
          ).toBe(true);
      }),
      { seed: 17, numRuns: 80 },
    );
  });
});
