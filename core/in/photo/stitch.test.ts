import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, flatten, nearestOnPath, polyline, type Point } from '../../geometry/index.ts';
import type { TypedPoint } from '../tracing/index.ts';
import { expectOk, TOL } from '../../units/index.ts';
import {
  findHomography,
  findJoint,
  joinFlat,
  layFlat,
  takePhoto,
  through,
  traceOver,
  turned,
  USUAL_CAMERA,
  type Flat,
  type Turn,
} from './index.ts';

const turn = (degrees: number, by: Point): Turn => ({
  cos: Math.cos((degrees * Math.PI) / 180),
  sin: Math.sin((degrees * Math.PI) / 180),
  by,
});
const crosses: readonly Point[] = [
  { x: 60, y: 540 },
  { x: 330, y: 560 },
  { x: 200, y: 480 },
];

describe('findJoint', () => {
  it('finds how a picture was turned and moved again, whatever the turn, and no mark is off', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.integer({ min: -900, max: 900 }),
        fc.integer({ min: -900, max: 900 }),
        (degrees, x, y) => {
          const t = turn(degrees, { x, y });
          const joint = expectOk(findJoint(crosses.map((next) => ({ next, base: turned(t, next) }))), 'joint');
          expect(joint.worst).toBeLessThan(1e-9);
          expect(joint.stretch).toBeCloseTo(1, 9);
          for (const p of [
            { x: 0, y: 0 },
            { x: 400, y: 1000 },
          ])
            expect(distance(turned(joint, p), turned(t, p))).toBeLessThan(1e-6);
        },
      ),
      { seed: 7, numRuns: 60 },
    );
  });

  it('shares what does not agree between the marks, by hand: 2 mm too long over two marks is 1 mm each', () => {
    const joint = expectOk(
      findJoint([
        { base: { x: 0, y: 0 }, next: { x: 100, y: 50 } },
        { base: { x: 200, y: 0 }, next: { x: 302, y: 50 } },
      ]),
      'joint',
    );
    expect(joint.mean).toBeCloseTo(1, 9);
    expect(joint.worst).toBeCloseTo(1, 9);
    expect(joint.stretch).toBeCloseTo(1.01, 9);
  });

  it('refuses one mark, marks close together, and marks clicked in another order', () => {
    const at = (list: readonly Point[]) => list.map((p) => ({ base: p, next: p }));
    const code = (marks: Parameters<typeof findJoint>[0]) => {
      const found = findJoint(marks);
      return found.ok ? '' : found.error.code;
    };
    expect(code(at(crosses.slice(0, 1)))).toBe('stitch-too-few');
    expect(code(at([crosses[0]!, { x: 100, y: 560 }]))).toBe('stitch-too-close');
    expect(code(crosses.map((base, i) => ({ base, next: crosses[(i + 1) % 3]! })))).toBe('stitch-differs');
  });
});

/** A long piece whose hem the first picture does not show, and what a hand clicks around it. */
const long = polyline([
  { x: 0, y: 0 },
  { x: 260, y: 0 },
  { x: 400, y: 1150 },
  { x: 20, y: 1150 },
  { x: 0, y: 0 },
]);
const clicks: readonly TypedPoint[] = flatten(long)
  .slice(0, 4)
  .map((p, i) => ({ x: p.x + Math.sin(i * 3), y: p.y - Math.cos(i * 2), curve: false }));

/** One picture of it, laid flat by the sheet that lies beside the part it shows; and where its crosses are in it. */
function shot(from: number, to: number, seed: number): { readonly flat: Flat; readonly at: readonly Point[] } {
  const sheetAt = { x: 440, y: from + 150 };
  const view = { minX: -40, minY: from, maxX: 690, maxY: to };
  const photo = takePhoto(long, { ...USUAL_CAMERA, seed }, { crosses, sheetAt, view });
  const h = expectOk(findHomography(photo.marks), 'marks');
  const marks = photo.marks.map((m) => m.true);
  // Where the crosses lie by the camera's own truth, brought to the sheet's corner.
  const at = crosses.map((c) => ({ x: c.x - sheetAt.x, y: c.y - sheetAt.y }));
  expect(distance(through(h, photo.marks[0]!.seen), { x: 0, y: 0 })).toBeLessThan(1e-6);
  return { flat: layFlat(photo.picture, h, marks, 2), at };
}

describe('joinFlat', () => {
  it('joins two photos of a long piece, so that it is traced within 1.5 mm over both', () => {
    const [upper, lower] = [shot(-40, 640, 3), shot(430, 1200, 11)];
    const joint = expectOk(findJoint(upper.at.map((base, i) => ({ base, next: lower.at[i]! }))), 'joint');
    expect(joint.worst).toBeLessThan(1e-6);
    const whole = joinFlat(upper.flat, lower.flat, joint);
    expect(whole.height / whole.perMm).toBeGreaterThan(1150);
    const by = { x: 440, y: 110 };
    const traced = traceOver(
      whole,
      clicks.map((c) => ({ ...c, x: c.x - by.x, y: c.y - by.y })),
    );
    const off = flatten(traced, 0.2).map((p) => nearestOnPath(long, { x: p.x + by.x, y: p.y + by.y }).distance);
    expect(Math.max(...off)).toBeLessThan(TOL.touches);
  });

  it('makes the second picture as light as the first, and leaves white what neither shows', () => {
    const grey = (shade: number, x: number): Flat => ({
      width: 200,
      height: 100,
      data: new Uint8ClampedArray(20_000).fill(shade),
      perMm: 1,
      origin: { x, y: 0 },
    });
    const joined = joinFlat(grey(120, 0), grey(80, 0), turn(0, { x: 100, y: 50 }));
    expect([joined.width, joined.height]).toEqual([300, 150]);
    const at = (x: number, y: number) => joined.data[y * joined.width + x];
    expect(at(20, 20)).toBe(120);
    expect(at(150, 75)).toBe(120);
    // By hand: 80 made lighter by 120/80.
    expect(at(280, 120)).toBe(120);
    expect(at(280, 20)).toBe(255);
    expect(at(20, 120)).toBe(255);
  });
});
