import {
  boundsOf,
  distance,
  endOf,
  flatten,
  insidePolygon,
  midpoint,
  nearestOnPath,
  pathLength,
  spansOf,
  sub,
  turnBetween,
  type Box,
  type LineSpan,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { degrees, TOL } from '../../units/index.ts';
import { curvedDartsAmong } from './curvedDarts.ts';
import { doubleDartsAmong, type FoundDouble } from './doubleDarts.ts';
import { boxOf, type Stroke } from './lines.ts';

/** A notch is no larger than this, and two of a pair lie no farther apart, mm. */
const NOTCH_SIZE = 16;
const PAIR = 9;
/** A grain line is at least this long, mm. */
const GRAIN_SHORTEST = 50;
/** Drill holes and crosses are no larger than this, mm. */
const DOT_SIZE = 11;

/** Marks inside or on an outline, by kind. */
export interface FoundMarks {
  /** Short lines that may be notches: they are if they reach the outline or the seam line. */
  readonly small: readonly Stroke[];
  readonly grain: { readonly from: Point; readonly to: Point } | null;
  readonly dots: readonly Point[];
  /** Lines from which darts are read: straight, inside, not the grain. */
  readonly straights: readonly LineSpan[];
  readonly doubleDarts: readonly FoundDouble[];
  /** A line along an edge that says the piece goes on as its mirror image there. */
  readonly mirror: { readonly from: Point; readonly to: Point } | null;
}

const sizeOf = (b: Box): number => Math.hypot(b.maxX - b.minX, b.maxY - b.minY);
const middleOf = (b: Box): Point => ({ x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 });

/** Lines that share ends are one drawn sign: a triangle in three strokes is one notch. */
function signs(strokes: readonly Stroke[]): readonly (readonly Stroke[])[] {
  const out: Stroke[][] = [];
  const ends = (s: Stroke): readonly Point[] => [s.path.start, ...s.path.segments.map((g) => g.to)];
  for (const s of strokes) {
    const mine = ends(s);
    const joined = out.find((group) => group.some((g) => ends(g).some((p) => mine.some((q) => distance(p, q) < 0.3))));
    if (joined) joined.push(s);
    else out.push([s]);
  }
  return out;
}

export interface FoundNotch {
  readonly at: Point;
  /** How many lines or triangles it has. */
  readonly count: number;
}

/** Each notch as met along a line: small signs that reach it, those close together taken as one of two or three. */
export function notchesOn(ring: Path, small: readonly Stroke[]): readonly FoundNotch[] {
  const hits = signs(small).flatMap((group) => {
    const points = group.flatMap((s) => [s.path.start, ...s.path.segments.map((g) => g.to)]);
    const on = points.map((p) => ({ p, near: nearestOnPath(ring, p) })).filter((c) => c.near.distance <= TOL.touches);
    const said = group.some((s) => s.kind === 'notch');
    if (on.length === 0 && !said) return [];
    const [first] = on;
    const last = on.at(-1);
    const at = first && last ? midpoint(first.near.point, last.near.point) : middleOf(boundsOf(points));
    return [at];
  });
  const groups: Point[][] = [];
  for (const p of hits) {
    const near = groups.find((g) => g.some((q) => distance(p, q) <= PAIR));
    if (near) near.push(p);
    else groups.push([p]);
  }
  return groups.map((g) => ({
    at: {
      x: g.reduce((sum, p) => sum + p.x, 0) / g.length,
      y: g.reduce((sum, p) => sum + p.y, 0) / g.length,
    },
    count: Math.min(3, g.length),
  }));
}

const straightsOf = (s: Stroke): readonly LineSpan[] => spansOf(s.path).filter((x): x is LineSpan => x.kind === 'line');

function longest(spans: readonly LineSpan[]): LineSpan | null {
  return spans.reduce<LineSpan | null>(
    (best, s) => (!best || distance(s.a, s.b) > distance(best.a, best.b) ? s : best),
    null,
  );
}

/** The line with an arrowhead at an end, or said to be the grain; the longest where there are several. */
function grainAmong(inside: readonly Stroke[], ring: Path): FoundMarks['grain'] {
  const said = inside.filter((s) => s.kind === 'grain').flatMap(straightsOf);
  const best = longest(said);
  if (best) return { from: best.a, to: best.b };
  const long = inside.filter((s) => s.kind === null || s.kind === 'internal');
  const bits = long.flatMap(straightsOf).filter((l) => distance(l.a, l.b) < 15);
  const headed = long
    .flatMap(straightsOf)
    .filter((l) => distance(l.a, l.b) >= GRAIN_SHORTEST)
    .filter((l) => [l.a, l.b].every((p) => nearestOnPath(ring, p).distance > TOL.touches))
    .filter((l) =>
      [
        [l.a, l.b],
        [l.b, l.a],
      ].some(([tip, other]) => {
        const along = sub(other as Point, tip as Point);
        const heads = bits.filter((b) => {
          const [near, far] = distance(b.a, tip as Point) < distance(b.b, tip as Point) ? [b.a, b.b] : [b.b, b.a];
          if (distance(near, tip as Point) > TOL.touches) return false;
          const angle = Math.abs(degrees(turnBetween(along, sub(far, near))));
          return angle > 8 && angle < 60;
        });
        return heads.length >= 2;
      }),
    );
  const line = longest(headed);
  return line ? { from: line.a, to: line.b } : null;
}

/** Small round or crossed signs well inside: drill holes, bust points. */
function dotsAmong(inside: readonly Stroke[], ring: Path): readonly Point[] {
  const small = inside.filter(
    (s) => s.kind === 'drill' || ((s.kind === null || s.kind === 'internal') && sizeOf(boxOf(s.path)) <= DOT_SIZE),
  );
  const centres: Point[] = [];
  small.forEach((s, i) => {
    const middle = middleOf(boxOf(s.path));
    if (nearestOnPath(ring, middle).distance < 4 && s.kind !== 'drill') return;
    const line = straightsOf(s).length === s.path.segments.length && !s.closed && pathLength(s.path) > 0;
    // Two lines that cross in their middles, or one round line.
    const crossed = small.some((o, k) => k !== i && distance(middleOf(boxOf(o.path)), middle) < 0.5);
    if (s.kind !== 'drill' && line && !crossed) return;
    if (!centres.some((c) => distance(c, middle) < 2)) centres.push(middle);
  });
  return centres;
}

/** A hole punched at a tip is the dart, not a mark of its own. */
/** Drawn with a curve, or with so many short lines that one is meant. */
const isCurved = (path: Path): boolean => path.segments.length > 8 || path.segments.some((s) => s.kind === 'cubic');

const isTip = (f: FoundDouble, p: Point): boolean => [f.upper, f.lower].some((tip) => distance(tip, p) < TIP);
const TIP = 5;

/** Tells apart what is drawn on and inside an outline. `others` are lines that are not part of it. */
export function findMarks(ring: Path, others: readonly Stroke[], reach: number): FoundMarks {
  const box = boxOf(ring);
  const polygon = flatten(ring, 0.5);
  const around = others.filter((s) => {
    const b = boxOf(s.path);
    return (
      b.maxX >= box.minX - reach &&
      b.minX <= box.maxX + reach &&
      b.maxY >= box.minY - reach &&
      b.minY <= box.maxY + reach
    );
  });
  const inside = around.filter((s) => insidePolygon(middleOf(boxOf(s.path)), polygon));
  const grain = grainAmong(inside, ring);
  // The head of an arrow that points at an edge is not a notch there.
  const isHead = (s: Stroke): boolean =>
    grain !== null &&
    [s.path.start, endOf(s.path)].some((p) => [grain.from, grain.to].some((g) => distance(p, g) < TOL.touches));
  const small = around.filter(
    (s) => s.kind === 'notch' || (s.kind === null && sizeOf(boxOf(s.path)) <= NOTCH_SIZE && !isHead(s)),
  );
  const isGrain = (l: LineSpan): boolean =>
    grain !== null && distance(l.a, grain.from) < TOL.touches && distance(l.b, grain.to) < TOL.touches;
  const mirror = longest(around.filter((s) => s.kind === 'mirror').flatMap(straightsOf));
  const drawn = inside.filter((s) => s.kind === null || s.kind === 'internal');
  const curved = curvedDartsAmong(drawn.map((s) => s.path).filter(isCurved));
  const straights = drawn
    .filter((s) => !curved.of.has(s.path) && s.path.segments.length <= 8)
    .flatMap(straightsOf)
    .filter((l) => distance(l.a, l.b) >= 25 && !isGrain(l));
  const found = doubleDartsAmong(straights);
  const doubles = {
    darts: [...found.darts, ...curved.darts],
    // The line from tip to tip is drawn to fold along; it is no leg of another dart.
    others: found.others.filter((l) => !curved.darts.some((d) => isTip(d, l.a) && isTip(d, l.b))),
  };
  return {
    small,
    grain,
    dots: dotsAmong(inside, ring).filter((d) => !doubles.darts.some((f) => isTip(f, d))),
    straights: doubles.others,
    doubleDarts: doubles.darts,
    mirror: mirror ? { from: mirror.a, to: mirror.b } : null,
  };
}
