import { describe, expect, it } from 'vitest';
import { pathLength, polyline, type Point } from '../../geometry/index.ts';
import { outlineOf, validatePiece } from '../../pattern/index.ts';
import { closedStroke, rect } from '../../testing/drawn.ts';
import { expectOk } from '../../units/index.ts';
import { allRings, cornersOf, drawable, linesIn, plainChoices, ringThrough, tracePiece, type Stroke } from './index.ts';

describe('drawings of crumbs', () => {
  const line = (a: Point, b: Point): Stroke => ({ ...closedStroke(polyline([a, b])), closed: false });
  it('are searched only so far, and what is sound in them is found', () => {
    const star = Array.from({ length: 30_000 }, (_, i) =>
      line({ x: 0, y: 0 }, { x: 300 * Math.cos(i), y: 300 * Math.sin(i) }),
    );
    const chain = Array.from({ length: 30_000 }, (_, i) => line({ x: i, y: 900 }, { x: i + 1, y: 900 }));
    const sound = closedStroke(rect(200, 300));
    const begun = performance.now();
    const rings = allRings([...star, ...chain, sound]);
    expect(rings.map((r) => r.path)).toContainEqual(expectOk(ringThrough([sound], 0), 'sound').path);
    // Without an end to the search this takes hours, not seconds.
    expect(performance.now() - begun).toBeLessThan(60_000);
  });
  it('an outline in very many bits is thinned to within a hair, corners kept', () => {
    const side = (a: Point, b: Point, n: number): Point[] =>
      Array.from({ length: n }, (_, i) => ({ x: a.x + ((b.x - a.x) * i) / n, y: a.y + ((b.y - a.y) * i) / n }));
    const r = 100;
    const arc = Array.from({ length: 40_000 }, (_, i) => ({
      x: r * Math.cos((i * Math.PI) / 80_000),
      y: r * Math.sin((i * Math.PI) / 80_000),
    }));
    const fine = closedStroke(
      polyline([
        ...side({ x: 0, y: 0 }, { x: r, y: 0 }, 30_000),
        ...arc,
        ...side({ x: 0, y: r }, { x: 0, y: 0 }, 30_000),
      ]),
    );
    const ring = expectOk(ringThrough([fine], 0), 'fine');
    expect(ring.path.segments.length).toBeLessThan(6_000);
    // Two straights of 100 and a quarter of a circle, by hand; a corner may lose four thousandths.
    expect(Math.abs(pathLength(ring.path) - 200 - (Math.PI * r) / 2)).toBeLessThan(0.02);
    expect(cornersOf(ring.path, 20)).toHaveLength(3);
  });
  it('an outline that stays too fine is refused in a sentence', () => {
    const zigzag = Array.from({ length: 50_000 }, (_, i) => ({ x: i * 0.01, y: (i % 2) * 0.4 }));
    const found = ringThrough([closedStroke(polyline([...zigzag, { x: 500, y: 400 }, { x: 0, y: 400 }]))], 0);
    expect(found.ok ? '' : found.error.code).toBe('outline-too-fine');
  });
});

describe('linesIn', () => {
  it('are those that lie in an outline or stick out a little, as notches do, and no more than a piece has', () => {
    const ring = expectOk(ringThrough([closedStroke(rect(200, 300))], 0), 'ring');
    const line = (x: number, y: number, to: number): Stroke => ({
      ...closedStroke(
        polyline([
          { x, y },
          { x: to, y },
        ]),
      ),
      closed: false,
    });
    const grain = line(50, 100, 150);
    const notch = line(195, 150, 210);
    const next = line(150, 200, 900);
    expect(linesIn(ring, [grain, next, notch])).toEqual([grain, notch]);
    expect(
      linesIn(
        ring,
        Array.from({ length: 20_000 }, () => grain),
      ).length,
    ).toBeLessThan(10_000);
  });
});

describe('drawable', () => {
  it('is all of a pattern, and of crumbs what a screen can paint, closed lines first', () => {
    const piece = closedStroke(rect(300, 700));
    const nest = Array.from({ length: 100 }, () => piece);
    expect(drawable(nest)).toEqual({ drawn: nest, left: 0 });
    const crumb = {
      ...closedStroke(
        polyline([
          { x: 0, y: 0 },
          { x: 300, y: 0 },
        ]),
      ),
      closed: false,
    };
    const many = [...Array.from({ length: 50_000 }, () => crumb), piece];
    const { drawn, left } = drawable(many);
    expect(drawn[0]).toBe(piece);
    // Two kilometres of line: two metres round the piece, the rest in crumbs of 300 mm there and back.
    expect(drawn.length).toBeGreaterThan(3_300);
    expect(drawn.length).toBeLessThan(3_340);
    expect(left).toBe(many.length - drawn.length);
  });
});

describe('a piece without a corner', () => {
  it('keeps its shape when its allowance is taken off, however finely it was drawn', () => {
    for (const n of [60, 2_000, 5_000]) {
      const r = 150;
      const circle = polyline(
        Array.from({ length: n + 1 }, (_, i) => ({
          x: r * Math.cos((2 * Math.PI * i) / n),
          y: r * Math.sin((2 * Math.PI * i) / n),
        })),
      );
      const ring = expectOk(ringThrough([closedStroke(circle)], 0), 'circle');
      const { piece } = tracePiece(ring, [], { ...plainChoices('round', 'Round'), allowance: 15 });
      // Inside by its allowance: a circle of 135, give or take what chords of sixty bits leave out.
      expect(pathLength(outlineOf(piece))).toBeCloseTo(2 * Math.PI * (r - 15), n === 60 ? -1 : 0);
      expect(validatePiece(piece)).toEqual([]);
    }
  });
});
