import type { Point } from '../../geometry/index.ts';
import { TOL, ok, refuse, type Result, nth } from '../../units/index.ts';
import { solveSquare } from '../../numeric/index.ts';

/** A perspective of the plane, row by row; the last number is not always 1. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];
/** One place in the picture (pixels) and where it truly lies (mm). */
export interface KnownPoint {
  readonly seen: Point;
  readonly true: Point;
}
export type HomographyError = 'photo-too-few-points' | 'photo-points-in-line';

export function through(h: Homography, p: Point): Point {
  const w = h[6] * p.x + h[7] * p.y + h[8];
  return { x: (h[0] * p.x + h[1] * p.y + h[2]) / w, y: (h[3] * p.x + h[4] * p.y + h[5]) / w };
}

const multiply = (a: Homography, b: Homography): Homography =>
  Array.from({ length: 9 }, (_, i) => {
    const [r, c] = [Math.floor(i / 3) * 3, i % 3];
    return nth(a, r) * nth(b, c) + nth(a, r + 1) * nth(b, c + 3) + nth(a, r + 2) * nth(b, c + 6);
  }) as unknown as Homography;

export function inverse(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i, j] = h;
  const m: Homography = [
    e * j - f * i,
    c * i - b * j,
    b * f - c * e,
    f * g - d * j,
    a * j - c * g,
    c * d - a * f,
    d * i - e * g,
    b * g - a * i,
    a * e - b * d,
  ];
  return m;
}

/** A shift and scale that brings points about the origin, at a distance of about one: keeps the sums well behaved. */
function centred(points: readonly Point[]): { readonly to: Homography; readonly points: readonly Point[] } {
  const n = points.length;
  const x = points.reduce((s, p) => s + p.x, 0) / n;
  const y = points.reduce((s, p) => s + p.y, 0) / n;
  const far = points.reduce((s, p) => s + Math.hypot(p.x - x, p.y - y), 0) / n || 1;
  const k = Math.SQRT2 / far;
  return {
    to: [k, 0, -k * x, 0, k, -k * y, 0, 0, 1],
    points: points.map((p) => ({ x: (p.x - x) * k, y: (p.y - y) * k })),
  };
}

const inLine = (points: readonly Point[]): boolean =>
  points.some((a, i) =>
    points.some((b, j) =>
      points.some(
        (c, k) =>
          i < j &&
          j < k &&
          Math.abs((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)) <
            TOL.inLine * (Math.hypot(b.x - a.x, b.y - a.y) * Math.hypot(c.x - a.x, c.y - a.y) || 1),
      ),
    ),
  );

/**
 * The perspective that carries places seen in a picture to where they truly lie: least squares over four or more
 * points after both sets are brought about the origin (the normalised direct linear method). With four it is exact;
 * more make it better. Refuses fewer than four, or four of which three lie in a line.
 */
export function findHomography(known: readonly KnownPoint[]): Result<Homography, HomographyError> {
  if (known.length < 4) return refuse('photo-too-few-points', { count: known.length });
  if (known.length === 4 && (inLine(known.map((k) => k.seen)) || inLine(known.map((k) => k.true))))
    return refuse('photo-points-in-line');
  const seen = centred(known.map((k) => k.seen));
  const truth = centred(known.map((k) => k.true));
  const m = Array.from({ length: 8 }, () => new Array<number>(8).fill(0));
  const v = new Array<number>(8).fill(0);
  seen.points.forEach((p, i) => {
    const q = nth(truth.points, i);
    const rows: readonly (readonly [number[], number])[] = [
      [[p.x, p.y, 1, 0, 0, 0, -p.x * q.x, -p.y * q.x], q.x],
      [[0, 0, 0, p.x, p.y, 1, -p.x * q.y, -p.y * q.y], q.y],
    ];
    for (const [row, value] of rows)
      for (let a = 0; a < 8; a++) {
        v[a] = nth(v, a) + nth(row, a) * value;
        const line = nth(m, a);
        for (let b = 0; b < 8; b++) line[b] = nth(line, b) + nth(row, a) * nth(row, b);
      }
  });
  const found = solveSquare(m, v);
  if (!found) return refuse('photo-points-in-line');
  const plain = [...found, 1] as unknown as Homography;
  return ok(multiply(inverse(truth.to), multiply(plain, seen.to)));
}

/** How far the known points lie from where the perspective puts them, mm. */
export interface Residual {
  /** Root of the mean square, and the worst; both 0 for four points, which are always met. */
  readonly mean: number;
  readonly worst: number;
  /** How far a mark one pixel off moves a point in the middle of the marks, mm: the fineness of the picture. */
  readonly perPixel: number;
}
export function residualOf(h: Homography, known: readonly KnownPoint[]): Residual {
  const off = known.map((k) => {
    const p = through(h, k.seen);
    return Math.hypot(p.x - k.true.x, p.y - k.true.y);
  });
  const n = known.length;
  const middle = {
    x: known.reduce((s, k) => s + k.seen.x, 0) / n,
    y: known.reduce((s, k) => s + k.seen.y, 0) / n,
  };
  const at = through(h, middle);
  const beside = [through(h, { x: middle.x + 1, y: middle.y }), through(h, { x: middle.x, y: middle.y + 1 })];
  return {
    mean: Math.sqrt(off.reduce((s, d) => s + d * d, 0) / n),
    worst: Math.max(...off),
    perPixel: Math.max(...beside.map((p) => Math.hypot(p.x - at.x, p.y - at.y))),
  };
}
