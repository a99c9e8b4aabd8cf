import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bernsteinRoots, solveBetween } from '../numeric/index.ts';
import { compose, inverse, move, rotationAbout } from './rigid.ts';
import { curvatureOn, pointOn, type CubicSpan, type Span } from './span.ts';
import { distance, lineMeet, mirror, type Point } from './vec.ts';
import {
  endOf,
  endTangent,
  pathFromSpans,
  pathLength,
  pointAt,
  polyline,
  reversePath,
  spansOf,
  splitAtLength,
  startTangent,
  subPath,
  tangentAt,
  type Path,
} from './path.ts';
import { fairAt, kinkAt } from './fair.ts';
import { insidePolygon, isSimplePolygon, signedArea } from './polygon.ts';
import { intersectPaths, intersectSpans } from './intersect.ts';
import { nearestOnPath } from './nearest.ts';
import { offsetEdges, offsetPath } from './offset.ts';
import { parameterAt, spanLength } from './length.ts';

const p = (x: number, y: number): Point => ({ x, y });
/** Thousandths: fine enough to be anywhere, never the subnormal numbers no pattern has. */
const number = (lo: number, hi: number) =>
  fc.integer({ min: Math.round(lo * 1000), max: Math.round(hi * 1000) }).map((v) => v / 1000);
const point = fc.record({ x: number(-200, 200), y: number(-200, 200) });
const cubic: fc.Arbitrary<CubicSpan> = fc
  .record({ kind: fc.constant('cubic' as const), a: point, c1: point, c2: point, b: point })
  .filter((s) =>
    [distance(s.a, s.c1), distance(s.c1, s.c2), distance(s.c2, s.b), distance(s.a, s.b)].every((d) => d > 8),
  );

/** Length by brute force: chords of many small steps, Richardson-extrapolated. */
function bruteLength(s: Span, n = 20_000): number {
  const chords = (m: number) => {
    let sum = 0;
    for (let i = 0; i < m; i++) sum += distance(pointOn(s, i / m), pointOn(s, (i + 1) / m));
    return sum;
  };
  return (4 * chords(n) - chords(n / 2)) / 3;
}

/** A quarter circle as the usual cubic: radius error below 0.03 %. */
const K = 0.5522847498;
const quarter = (r: number): CubicSpan => ({ kind: 'cubic', a: p(r, 0), c1: p(r, K * r), c2: p(K * r, r), b: p(0, r) });

describe('arc length', () => {
  it('agrees with brute force on sane cubics to a thousandth of a millimetre', () => {
    const sane: fc.Arbitrary<CubicSpan> = fc
      .record({ w: number(20, 300), h1: number(-80, 80), h2: number(-80, 80) })
      .map(({ w, h1, h2 }) => ({ kind: 'cubic', a: p(0, 0), c1: p(w / 3, h1), c2: p((2 * w) / 3, h2), b: p(w, 0) }));
    fc.assert(
      fc.property(sane, (s) => {
        expect(Math.abs(spanLength(s) - bruteLength(s))).toBeLessThan(0.001);
      }),
      { seed: 11, numRuns: 60 },
    );
  });

  it('stays within 0.05 mm at a cusp', () => {
    const cusp: CubicSpan = { kind: 'cubic', a: p(0, 0), c1: p(100, 100), c2: p(0, 100), b: p(100, 0) };
    expect(Math.abs(spanLength(cusp) - bruteLength(cusp, 400_000))).toBeLessThan(0.05);
    const doubled: CubicSpan = { kind: 'cubic', a: p(0, 0), c1: p(150, 0), c2: p(-50, 0), b: p(100, 0) };
    expect(Math.abs(spanLength(doubled) - bruteLength(doubled, 400_000))).toBeLessThan(0.05);
  });

  it('finds the parameter of a length again, anywhere', () => {
    fc.assert(
      fc.property(cubic, number(0, 1), (s, share) => {
        const total = spanLength(s);
        const t = parameterAt(s, share * total);
        expect(Math.abs(spanLength(s, t) - share * total)).toBeLessThan(0.001);
      }),
      { seed: 12, numRuns: 80 },
    );
  });
});

describe('paths', () => {
  it('split at a length keeps the points and the lengths', () => {
    fc.assert(
      fc.property(cubic, cubic, number(0.02, 0.98), (a, b, share) => {
        const path = pathFromSpans([a, { ...b, a: a.b }]);
        const total = pathLength(path);
        const [head, tail] = splitAtLength(path, share * total);
        expect(endOf(head)).toEqual(tail.start);
        expect(Math.abs(pathLength(head) - share * total)).toBeLessThan(0.002);
        expect(Math.abs(pathLength(head) + pathLength(tail) - total)).toBeLessThan(0.002);
      }),
      { seed: 13, numRuns: 60 },
    );
  });

  it('reverse twice is the same path, and runs the other way', () => {
    const path = pathFromSpans([quarter(50), { kind: 'line', a: p(0, 50), b: p(-30, 50) }]);
    expect(reversePath(reversePath(path))).toEqual(path);
    expect(startTangent(reversePath(path))).toEqual({ x: 1, y: 0 });
  });

  it('gives tangents in the direction of travel', () => {
    const path = polyline([p(0, 0), p(10, 0), p(10, 20)]);
    expect(tangentAt(path, 3)).toEqual(p(1, 0));
    expect(tangentAt(path, 17)).toEqual(p(0, 1));
    expect(pointAt(path, 17)).toEqual(p(10, 7));
    expect(pathLength(subPath(path, 4, 16))).toBeCloseTo(12, 9);
  });
});

describe('nearest point', () => {
  it('is never farther than any sampled point', () => {
    fc.assert(
      fc.property(cubic, point, (s, q) => {
        const near = nearestOnPath(pathFromSpans([s]), q);
        for (let i = 0; i <= 200; i++)
          expect(near.distance).toBeLessThanOrEqual(distance(pointOn(s, i / 200), q) + 1e-6);
      }),
      { seed: 14, numRuns: 60 },
    );
  });
});

describe('intersections', () => {
  it('finds all three of a line across a wave, with parameters on both', () => {
    const wave: CubicSpan = { kind: 'cubic', a: p(0, 0), c1: p(50, 120), c2: p(50, -120), b: p(100, 0) };
    const axis: Span = { kind: 'line', a: p(-10, 0), b: p(110, 0) };
    const hits = intersectSpans(axis, wave);
    expect(hits).toHaveLength(3);
    for (const h of hits) expect(distance(pointOn(axis, h.s), pointOn(wave, h.t))).toBeLessThan(1e-6);
    expect(intersectSpans(wave, axis)).toHaveLength(3);
  });

  it('finds all nine of two crossing waves, either way round', () => {
    const a: CubicSpan = { kind: 'cubic', a: p(0, 50), c1: p(250, 160), c2: p(-150, -60), b: p(100, 50) };
    const b: CubicSpan = { kind: 'cubic', a: p(50, 0), c1: p(160, 250), c2: p(-60, -150), b: p(50, 100) };
    expect(intersectSpans(a, b).length).toBe(intersectSpans(b, a).length);
    expect(intersectSpans(a, b)).toHaveLength(9);
  });

  it('counts a touch at an end, and a tangent touch', () => {
    const l: Span = { kind: 'line', a: p(0, 0), b: p(10, 0) };
    expect(intersectSpans(l, { kind: 'line', a: p(10, 0), b: p(10, 10) })).toHaveLength(1);
    expect(intersectSpans({ kind: 'line', a: p(10, 0), b: p(10, 10) }, l)).toHaveLength(1);
    const arch: CubicSpan = { kind: 'cubic', a: p(0, 30), c1: p(30, -10), c2: p(60, -10), b: p(90, 30) };
    expect(intersectSpans({ kind: 'line', a: p(0, 0), b: p(90, 0) }, arch)).toHaveLength(1);
  });

  it('is symmetric, and every hit lies on both, for random cubics', () => {
    fc.assert(
      fc.property(cubic, cubic, (a, b) => {
        const ab = intersectSpans(a, b);
        const ba = intersectSpans(b, a);
        expect(ab.length).toBe(ba.length);
        for (const h of ab) expect(distance(pointOn(a, h.s), pointOn(b, h.t))).toBeLessThan(1e-4);
      }),
      { seed: 15, numRuns: 150 },
    );
  });

  it('misses no crossing that a fine polyline sees', () => {
    const flat = (s: Span): Path => polyline(Array.from({ length: 161 }, (_, i) => pointOn(s, i / 160)));
    fc.assert(
      fc.property(cubic, cubic, (a, b) => {
        expect(intersectSpans(a, b).length).toBeGreaterThanOrEqual(intersectPaths(flat(a), flat(b)).length);
      }),
      { seed: 16, numRuns: 25 },
    );
  });

  it('solves between two signs, quickly and to the tolerance', () => {
    let calls = 0;
    const f = (x: number) => {
      calls += 1;
      return x ** 3 - 2;
    };
    expect(solveBetween(f, 0, 2, 1e-10)).toBeCloseTo(Math.cbrt(2), 9);
    expect(solveBetween((x) => 2 - x ** 3, 2, 0, 1e-10)).toBeCloseTo(Math.cbrt(2), 9);
    expect(calls).toBeLessThan(25);
  });

  it('isolates roots, double ones too', () => {
    expect(bernsteinRoots([1, -1])).toEqual([expect.closeTo(0.5, 9)]);
    expect(bernsteinRoots([0.25, -0.25, 0.25])).toEqual([expect.closeTo(0.5, 5)]);
    expect(bernsteinRoots([1, 2, 3])).toEqual([]);
  });
});

describe('offset', () => {
  it('keeps within 0.05 mm of the true distance on curves, both sides', () => {
    const curves: readonly CubicSpan[] = [
      quarter(80),
      { kind: 'cubic', a: p(0, 0), c1: p(10, 70), c2: p(60, 110), b: p(140, 115) },
      { kind: 'cubic', a: p(0, 0), c1: p(40, 40), c2: p(80, -40), b: p(120, 0) },
    ];
    for (const s of curves)
      for (const d of [15, -15, 6]) {
        const out = offsetPath(pathFromSpans([s]), d);
        const total = pathLength(out);
        for (let i = 0; i <= 100; i++)
          expect(
            Math.abs(nearestOnPath(pathFromSpans([s]), pointAt(out, (i / 100) * total)).distance - Math.abs(d)),
          ).toBeLessThan(0.05);
      }
  });

  it('mitres the corners of a rectangle with a distance for each edge', () => {
    const edges = [
      polyline([p(0, 0), p(100, 0)]),
      polyline([p(100, 0), p(100, 60)]),
      polyline([p(100, 60), p(0, 60)]),
      polyline([p(0, 60), p(0, 0)]),
    ];
    const out = offsetEdges(edges, [10, 15, 20, 0], true);
    expect(out[0]?.start).toEqual(p(0, -10));
    expect(endOf(out[0] as Path)).toEqual(p(115, -10));
    expect(endOf(out[1] as Path)).toEqual(p(115, 80));
    expect(endOf(out[2] as Path)).toEqual(p(0, 80));
  });

  it('lets a short span vanish where its neighbours cross beyond it', () => {
    // A step of 6 mm in a seam, too short for 15 mm of allowance inside the corner.
    const step = polyline([p(0, 0), p(50, 0), p(50, -6), p(100, -6)]);
    for (const d of [15, -15]) {
      const out = offsetPath(step, d);
      const ring = spansOf(out).map((s) => s.a);
      expect(isSimplePolygon([...ring, endOf(out), p(100, 60 * Math.sign(d)), p(0, 60 * Math.sign(d))])).toBe(true);
      expect(out.start).toEqual(p(0, -d));
      expect(endOf(out)).toEqual(p(100, -6 - d));
    }
  });

  it('cuts the loop off where a hollow is tighter than the offset', () => {
    const hollow: CubicSpan = { kind: 'cubic', a: p(0, 0), c1: p(0, 30), c2: p(10, 30), b: p(10, 0) };
    expect(Math.max(...[0.2, 0.5, 0.8].map((t) => Math.abs(curvatureOn(hollow, t))))).toBeGreaterThan(1 / 12);
    const out = offsetPath(pathFromSpans([hollow]), 12);
    const ring = Array.from({ length: 60 }, (_, i) => pointAt(out, (i / 59) * pathLength(out)));
    expect(isSimplePolygon([...ring, p(-200, -50), p(200, -50)])).toBe(true);
  });
});

describe('fairing', () => {
  it('smooths a kink: tangents matched at both ends of the window, length held', () => {
    fc.assert(
      fc.property(number(-0.3, 0.3), number(15, 40), (kink, reach) => {
        const bent = pathFromSpans([
          { kind: 'line', a: p(0, 0), b: p(100, 0) },
          { kind: 'line', a: p(100, 0), b: p(100 + 90 * Math.cos(kink), 90 * Math.sin(kink)) },
        ]);
        const fair = fairAt(bent, 100, reach);
        expect(Math.abs(pathLength(fair) - 190)).toBeLessThan(0.01);
        let at = 0;
        for (const s of spansOf(fair).slice(0, -1)) {
          at += spanLength(s);
          expect(Math.abs(kinkAt(fair, at))).toBeLessThan(1e-6);
        }
        expect(fair.start).toEqual(bent.start);
        expect(distance(endTangent(fair), endTangent(bent))).toBeLessThan(1e-9);
      }),
      { seed: 17 },
    );
  });
});

describe('areas and motions', () => {
  it('measures a circle made of four cubics, and its sign says the way round', () => {
    const r = 100;
    const turn = (s: CubicSpan, k: number): CubicSpan => {
      const f = (q: Point) => move(rotationAbout(p(0, 0), (k * Math.PI) / 2), q);
      return { kind: 'cubic', a: f(s.a), c1: f(s.c1), c2: f(s.c2), b: f(s.b) };
    };
    const circle = [0, 1, 2, 3].map((k) => turn(quarter(r), k));
    expect(signedArea(circle) / (Math.PI * r * r)).toBeCloseTo(1, 3);
    expect(signedArea(spansOf(reversePath(pathFromSpans(circle))))).toBeCloseTo(-signedArea(circle), 6);
  });

  it('rigid motions keep distances, compose and invert', () => {
    fc.assert(
      fc.property(point, point, point, number(-3, 3), number(-3, 3), (a, b, c, u, v) => {
        const m = compose(rotationAbout(a, u), rotationAbout(c, v));
        expect(distance(move(m, a), move(m, b))).toBeCloseTo(distance(a, b), 8);
        expect(distance(move(inverse(m), move(m, b)), b)).toBeLessThan(1e-8);
        expect(distance(move(rotationAbout(a, u), a), a)).toBeLessThan(1e-9);
      }),
      { seed: 18 },
    );
  });

  it('mirrors in a line and knows inside from outside', () => {
    expect(mirror(p(3, 4), p(0, 0), p(10, 0))).toEqual(p(3, -4));
    const square = [p(0, 0), p(10, 0), p(10, 10), p(0, 10)];
    expect([insidePolygon(p(5, 5), square), insidePolygon(p(15, 5), square)]).toEqual([true, false]);
    expect(isSimplePolygon([p(0, 0), p(10, 10), p(10, 0), p(0, 10)])).toBe(false);
    expect(lineMeet(p(0, 0), p(1, 0), p(0, 1), p(1, 0))).toBeNull();
  });
});
