import {
  distance,
  flatten,
  insidePolygon,
  midpoint,
  nearestOnPath,
  pathLength,
  type Point,
} from '../../../geometry/index.ts';
import { lookOf } from '../apart.ts';
import { linesIn } from '../drawable.ts';
import { boxOf, type Stroke } from '../lines.ts';
import type { Nest, NestedOutline } from './nests.ts';

/** The same mark of two sizes lies no farther apart than this, mm, and its length differs by no more than this share. */
const SAME_MARK = 45;
const ALIKE = 0.3;
/** A line reaches an outline when one of its ends lies so near to it, mm: well below what sizes differ by. */
const REACHES = 0.6;

/** A closed sign no larger than this, mm, is a notch drawn as a shape; larger, it is an outline. */
const SIGN = 16;

const endsOf = (s: Stroke): readonly Point[] => {
  if (s.closed && pathLength(s.path) > 3 * SIGN) return [];
  return [s.path.start, ...s.path.segments.map((g) => g.to)];
};
const middleOf = (s: Stroke): Point => {
  const b = boxOf(s.path);
  return midpoint({ x: b.minX, y: b.minY }, { x: b.maxX, y: b.maxY });
};
const alike = (a: Stroke, b: Stroke): boolean => {
  const [p, q] = [pathLength(a.path), pathLength(b.path)];
  return (
    a.closed === b.closed &&
    Math.abs(p - q) <= ALIKE * Math.max(p, q) + 1 &&
    distance(middleOf(a), middleOf(b)) < SAME_MARK
  );
};

/** Whether a line ends on an outline with the rest of it inside, ends on it at all, or not. */
type Contact = 'inside' | 'outside' | null;

/** How each outline of a nest is met by lines; polygons are made once. */
function meeting(nest: Nest) {
  const polygons = new Map(nest.map((o) => [o, flatten(o.ring.path, 0.2)] as const));
  const isIn = (p: Point, o: NestedOutline): boolean => insidePolygon(p, polygons.get(o) ?? []);
  return {
    /** By an end that lies on the outline itself. */
    onLine: (s: Stroke, o: NestedOutline): Contact =>
      endsOf(s).some((p) => nearestOnPath(o.ring.path, p).distance <= REACHES)
        ? isIn(middleOf(s), o)
          ? 'inside'
          : 'outside'
        : null,
    /** By an end that lies on the line so far inside it. */
    onSeam: (s: Stroke, o: NestedOutline, allowance: number): Contact =>
      allowance > 0 &&
      endsOf(s).some((p) => isIn(p, o) && Math.abs(nearestOnPath(o.ring.path, p).distance - allowance) <= REACHES)
        ? 'inside'
        : null,
  };
}

/**
 * The lines on a piece that belong to each of its sizes, worked out once for the nest. A notch or a dart's leg is that
 * size's whose outline (or seam line, `allowance` inside) it ends on, a line in another size's look is the other's, and of
 * marks that come once for each size inside the piece each takes the one in its place, counted from the corner the sizes
 * share. What is drawn once is for all.
 */
export function marksBySize(
  nest: Nest,
  strokes: readonly Stroke[],
  allowance: number,
): (of: NestedOutline) => readonly Stroke[] {
  const drawn = new Set(nest.flatMap((o) => [...o.own, ...(o.seam?.outline.own ?? [])]));
  const largest = nest.at(-1);
  const marks = largest ? linesIn(largest.ring, strokes).filter((s) => !drawn.has(s)) : [];
  if (nest.length < 2) return (of) => linesIn(of.ring, marks);
  const anchor = anchorOf(nest);
  const { onLine, onSeam } = meeting(nest);
  const contacts = new Map(
    marks.map((s) => {
      const line = nest.map((o) => onLine(s, o));
      return [s, line.some((c) => c !== null) ? line : nest.map((o) => onSeam(s, o, allowance))] as const;
    }),
  );
  const touches = (s: Stroke): readonly Contact[] => contacts.get(s) ?? [];
  const loose = marks.filter((m) => touches(m).every((c) => c === null));
  return (of) => {
    const k = nest.indexOf(of);
    const rivals = new Set(nest.filter((o) => o !== of && o.look !== of.look).map((o) => o.look));
    return linesIn(of.ring, marks).filter((s) => {
      const rival = rivals.has(lookOf(s));
      const met = touches(s);
      if (met.some((c) => c !== null)) {
        if (rival) return false;
        // A notch drawn inward from the next size may end on this outline: it is that of the line it lies inside of.
        return met[k] === 'inside' || (met[k] === 'outside' && !met.includes('inside'));
      }
      const family = loose.filter((m) => alike(m, s));
      if (rival) return !family.some((m) => lookOf(m) === of.look);
      const same = family.filter((m) => lookOf(m) === lookOf(s));
      if (same.length !== nest.length) return true;
      const order = [...same].sort((p, q) => distance(middleOf(p), anchor) - distance(middleOf(q), anchor));
      return order.indexOf(s) === k;
    });
  };
}

/** The place the sizes of a nest have most nearly in common: the corner of their boxes that moves least. */
function anchorOf(nest: Nest): Point {
  const boxes = nest.map((o) => boxOf(o.ring.path));
  const spread = (v: readonly number[]): number => Math.max(...v) - Math.min(...v);
  const pick = (low: readonly number[], high: readonly number[]): number =>
    (spread(low) <= spread(high) ? low[0] : high[0]) ?? 0;
  return {
    x: pick(
      boxes.map((b) => b.minX),
      boxes.map((b) => b.maxX),
    ),
    y: pick(
      boxes.map((b) => b.minY),
      boxes.map((b) => b.maxY),
    ),
  };
}
