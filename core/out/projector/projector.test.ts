import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { expectOk } from '../../units/index.ts';
import { calibrate, fieldOf, fitsField, SQUARE_STEPS, squareOn, throwOf, thrown, type ProjectorView } from './index.ts';

const sane = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('calibrate', () => {
  it('takes each direction by itself', () => {
    // 600 pixels measured 400 mm across and 375 mm down: 1.5 and 1.6 pixels a millimetre.
    const { calibration, stretch, skew } = expectOk(
      calibrate({ width: 600, height: 600 }, { across: 400, down: 375 }),
      'calibrated',
    );
    expect(calibration).toEqual({ across: 1.5, down: 1.6 });
    expect(stretch).toBeCloseTo(1.6 / 1.5 - 1, 12);
    expect(skew).toBeNull();
  });

  it('finds by the diagonals how far from square the picture lies', () => {
    fc.assert(
      fc.property(sane(200, 900), sane(0.85, 1.15), sane(-8, 8), (a, share, degrees) => {
        const b = a * share;
        const angle = ((90 - degrees) * Math.PI) / 180;
        const diagonal = (sign: number): number => Math.sqrt(a * a + b * b + sign * 2 * a * b * Math.cos(angle));
        const read = { across: a, down: b, rising: diagonal(1), falling: diagonal(-1) };
        const found = expectOk(calibrate({ width: a, height: b }, read), 'calibrated');
        expect(found.skew).toBeCloseTo(degrees, 6);
        expect(found.contradiction).toBeCloseTo(0, 6);
      }),
      { seed: 11, numRuns: 60 },
    );
  });

  it('notices readings that cannot be of one square', () => {
    // A square of 300 has diagonals of 424.3; a keystone or a slip of 2 cm shows.
    const right = expectOk(
      calibrate({ width: 600, height: 600 }, { across: 300, down: 300, rising: 424.3, falling: 424.3 }),
      'calibrated',
    );
    expect(right.contradiction).toBeLessThan(0.1);
    const slip = expectOk(
      calibrate({ width: 600, height: 600 }, { across: 300, down: 300, rising: 444, falling: 444 }),
      'calibrated',
    );
    expect(slip.contradiction).toBeGreaterThan(15);
  });

  it('refuses what no tape reads of a square', () => {
    const code = (across: number, down: number): string => {
      const r = calibrate({ width: 600, height: 600 }, { across, down });
      return r.ok ? 'ran' : r.error.code;
    };
    expect(code(0, 300)).toBe('square-unread');
    expect(code(Number.NaN, 300)).toBe('square-unread');
    // Inches typed as millimetres.
    expect(code(12, 12)).toBe('square-unlikely');
    expect(code(30_000, 30_000)).toBe('square-unlikely');
    expect(code(300, 410)).toBe('square-uneven');
  });
});

const BOX = { minX: -40, minY: 10, maxX: 260, maxY: 610 };
const SCREEN = { width: 1280, height: 720 };
const views = fc.record({
  turned: sane(0, 360),
  flipped: fc.boolean(),
  slid: fc.record({ x: sane(-500, 500), y: sane(-500, 500) }),
});

describe('throwOf', () => {
  it('lays every piece true on the table, however it is turned and however the projector stretches', () => {
    const places = fc.record({ x: sane(-900, 900), y: sane(-900, 900) });
    fc.assert(
      fc.property(views, sane(0.3, 3), sane(0.3, 3), places, places, (view: ProjectorView, across, down, p, q) => {
        const t = throwOf(BOX, view, { across, down }, SCREEN);
        const onTable = (r: typeof p) => ({ x: thrown(t, r).x / across, y: thrown(t, r).y / down });
        const [a, b] = [onTable(p), onTable(q)];
        expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeCloseTo(Math.hypot(p.x - q.x, p.y - q.y), 6);
      }),
      { seed: 5, numRuns: 80 },
    );
  });

  it('puts the middle of the piece into the middle of the picture, slid by true millimetres', () => {
    const t = throwOf(BOX, { turned: 33, flipped: true, slid: { x: 50, y: -20 } }, { across: 2, down: 1.9 }, SCREEN);
    const at = thrown(t, { x: 110, y: 310 });
    expect(at.x).toBeCloseTo(640 + 100, 9);
    expect(at.y).toBeCloseTo(360 - 38, 9);
  });

  it('turns clockwise as seen, and turns over left to right', () => {
    const upright = { turned: 0, flipped: false, slid: { x: 0, y: 0 } };
    const one = { across: 1, down: 1 };
    const quarter = throwOf(BOX, { ...upright, turned: 90 }, one, SCREEN);
    // What pointed up points to the right.
    const up = [thrown(quarter, { x: 110, y: 310 }), thrown(quarter, { x: 110, y: 210 })] as const;
    expect(up[1].x - up[0].x).toBeCloseTo(100, 9);
    expect(up[1].y - up[0].y).toBeCloseTo(0, 9);
    const over = throwOf(BOX, { ...upright, flipped: true }, one, SCREEN);
    expect(thrown(over, { x: 210, y: 310 }).x).toBeCloseTo(640 - 100, 9);
  });
});

it('says whether a piece fits into the picture', () => {
  const field = fieldOf(SCREEN, { across: 1, down: 1 });
  expect(field).toEqual({ width: 1280, height: 720 });
  expect(fitsField(BOX, field, 0)).toBe('fits');
  const tall = { ...BOX, maxY: 1010 };
  expect(fitsField(tall, field, 0)).toBe('fits-turned');
  expect(fitsField(tall, field, 90)).toBe('fits');
  expect(fitsField({ ...BOX, maxX: 1960, maxY: 1010 }, field, 0)).toBe('in-parts');
});

it('draws a square of pixels first, then one of a round true size that is in sight', () => {
  expect(squareOn(SCREEN, null)).toEqual({ width: 396, height: 396, side: null });
  // 396 pixels at 1.5 and 1.6 a millimetre: 264 and 247.5 mm of room, so 200 mm.
  const known = { across: 1.5, down: 1.6 };
  expect(squareOn(SCREEN, known)).toEqual({ width: 300, height: 320, side: 200 });
  // In inches: two at a time, so eight inches fit into 247.5 mm.
  expect(squareOn(SCREEN, known, SQUARE_STEPS.in).side).toBeCloseTo(8 * 25.4, 9);
  const again = expectOk(calibrate(squareOn(SCREEN, known), { across: 200, down: 200 }), 'calibrated');
  expect(again.calibration).toEqual(known);
});
