import {
  distance,
  dot,
  endOf,
  flatten,
  joinPaths,
  lerp,
  reversePath,
  sub,
  unit,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { TOL, nth } from '../../units/index.ts';
import type { FoundDouble } from './doubleDarts.ts';

/** A dart takes in at least and at most so much, mm, and is longer than it is wide. */
const WIDTHS = [4, 150] as const;
/** A dart is so long, mm; other closed lines are something else. */
const LENGTHS = [60, 900] as const;
/** More lines than this inside one outline are a print or a hatching, and more points than this no leg. */
const MOST = { lines: 400, points: 3000 } as const;
/** How far a leg may lie from the curve of a dart, and one leg from the other turned over, mm. */
const NEAR = 0.6;
/** Places along it that are looked at, tips left out. */
const PLACES = 24;
/** Legs curved less than this are straight. */
const STRAIGHT = 0.04;

/** Closed lines among those drawn: whole ones, and two that meet at both their ends. */
function loopsAmong(paths: readonly Path[]): readonly { readonly ring: Path; readonly of: readonly Path[] }[] {
  const meet = (a: Point, b: Point): boolean => distance(a, b) <= TOL.touches;
  const whole = paths.filter((p) => meet(p.start, endOf(p)));
  const open = paths.filter((p) => !whole.includes(p));
  const pairs = open.flatMap((one, i) =>
    open.slice(i + 1).flatMap((two) => {
      const back = meet(endOf(one), two.start) ? two : meet(endOf(one), endOf(two)) ? reversePath(two) : null;
      return back && meet(endOf(back), one.start) ? [{ ring: joinPaths([one, back]), of: [one, two] }] : [];
    }),
  );
  return [...whole.map((ring) => ({ ring, of: [ring] })), ...pairs];
}

/** The two points of a ring that lie farthest apart. */
function tipsOf(points: readonly Point[]): readonly [number, number] {
  let best: readonly [number, number] = [0, 0];
  let far = 0;
  for (let i = 0; i < points.length; i++)
    for (let k = i + 1; k < points.length; k++) {
      const d = distance(nth(points, i), nth(points, k));
      if (d > far) [best, far] = [[i, k], d];
    }
  return best;
}

/** How far a chain of points from tip to tip lies beside the line between them, at a share of the way. */
function besideAt(chain: readonly Point[], upper: Point, down: Point, size: number, share: number): number | null {
  const along = (p: Point): number => dot(sub(p, upper), down);
  const at = share * size;
  for (let i = 0; i + 1 < chain.length; i++) {
    const [a, b] = [nth(chain, i), nth(chain, i + 1)];
    const [from, to] = [along(a), along(b)];
    if (from > at || to < at || to - from < TOL.zero) continue;
    const p = lerp(a, b, (at - from) / (to - from));
    return dot(sub(p, upper), { x: -down.y, y: down.x });
  }
  return null;
}

/** Half widths of a dart of width 1 at a share of its length, straight, and what a curve of 1 adds. */
function shapeAt(share: number, widest: number): readonly [number, number] {
  const t = share < widest ? share / widest : (1 - share) / (1 - widest);
  return [t / 2, (t * (1 - t)) / 2];
}

/** Width and curve that lie nearest to the half widths, for a widest line at one place; and by how much they miss. */
function fitted(halves: readonly (readonly [share: number, half: number])[], widest: number) {
  let [aa, ab, bb, ah, bh] = [0, 0, 0, 0, 0];
  for (const [share, half] of halves) {
    const [a, b] = shapeAt(share, widest);
    [aa, ab, bb, ah, bh] = [aa + a * a, ab + a * b, bb + b * b, ah + a * half, bh + b * half];
  }
  const det = aa * bb - ab * ab;
  const width = (ah * bb - bh * ab) / det;
  const curved = (bh * aa - ah * ab) / det;
  const off = halves.map(([share, half]) => {
    const [a, b] = shapeAt(share, widest);
    return Math.abs(width * a + curved * b - half);
  });
  return { widest, width, curve: curved / width, off: Math.max(...off) };
}

function dartIn(ring: Path): FoundDouble | null {
  const points = flatten(ring, TOL.flat).slice(0, -1);
  if (points.length < 8 || points.length > MOST.points) return null;
  const [i, k] = tipsOf(points);
  const [one, other] = [points.slice(i, k + 1), [...points.slice(k), ...points.slice(0, i + 1)]];
  const [a, b] = [nth(points, i), nth(points, k)];
  const [upper, lower] = a.y <= b.y ? [a, b] : [b, a];
  const size = distance(upper, lower);
  if (size < LENGTHS[0] || size > LENGTHS[1]) return null;
  const down = unit(sub(lower, upper));
  const fromTop = (chain: readonly Point[]): readonly Point[] => (chain[0] === upper ? chain : [...chain].reverse());
  const chains = [fromTop(one), fromTop(other)] as const;
  const halves: (readonly [number, number])[] = [];
  for (let n = 1; n < PLACES; n++) {
    const share = n / PLACES;
    const [p, q] = [besideAt(chains[0], upper, down, size, share), besideAt(chains[1], upper, down, size, share)];
    // On either side of the line from tip to tip, and alike.
    if (p === null || q === null || p * q >= 0 || Math.abs(p + q) > NEAR) return null;
    halves.push([share, Math.abs(p - q) / 2]);
  }
  const fits = Array.from({ length: 181 }, (_, n) => fitted(halves, 0.05 + n * 0.005));
  const { widest, width, curve, off } = fits.reduce((best, f) => (f.off < best.off ? f : best));
  const sound = width > WIDTHS[0] && width < Math.min(WIDTHS[1], size) && off < NEAR && Math.abs(curve) < 1.15;
  if (!sound) return null;
  return { upper, lower, widest, width, curve: Math.abs(curve) < STRAIGHT ? 0 : Math.max(-1, Math.min(1, curve)) };
}

/** Darts without a mouth whose legs are drawn in curves: lines that close, pointed at both ends and alike on both sides. */
export function curvedDartsAmong(paths: readonly Path[]): {
  readonly darts: readonly FoundDouble[];
  readonly of: ReadonlySet<Path>;
} {
  const darts: FoundDouble[] = [];
  if (paths.length > MOST.lines) return { darts, of: new Set() };
  const of = new Set<Path>();
  for (const loop of loopsAmong(paths)) {
    if (loop.of.some((p) => of.has(p))) continue;
    const dart = dartIn(loop.ring);
    if (!dart) continue;
    darts.push(dart);
    for (const p of loop.of) of.add(p);
  }
  return { darts, of };
}
