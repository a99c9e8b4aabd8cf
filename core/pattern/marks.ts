import {
  add,
  distance,
  lerp,
  midpoint,
  scale,
  sub,
  unit,
  type Path,
  type Point,
  type Span,
} from '../geometry/index.ts';
import { dartShape, type DartShape } from './access.ts';
import type { Mark, Piece } from './types.ts';

/** A mark with a place of its own on the paper; a notch has its place on an edge. */
export type PlacedMark = Exclude<Mark, { readonly kind: 'notch' }>;
export type DoubleDart = Extract<Mark, { readonly kind: 'doubleDart' }>;

/** The corners of a dart without a mouth, mm: its tips, the middle of its widest line, and the ends of that line. */
export interface DoubleDartShape {
  readonly upper: Point;
  readonly lower: Point;
  readonly middle: Point;
  /** Seen from the upper tip down: on the right hand and on the left. */
  readonly ends: readonly [Point, Point];
}

export function doubleDartShape(dart: Pick<DoubleDart, 'upper' | 'lower' | 'widest' | 'width'>): DoubleDartShape {
  const { upper, lower } = dart;
  const middle = lerp(upper, lower, dart.widest);
  const aside = scale(asideOf(dart), dart.width / 2);
  return { upper, lower, middle, ends: [add(middle, aside), sub(middle, aside)] };
}

/** Square to the line from tip to tip, towards the first end. */
const asideOf = ({ upper, lower }: Pick<DoubleDart, 'upper' | 'lower'>): Point => {
  const down = unit(sub(lower, upper));
  return { x: -down.y, y: down.x };
};

/** How far the legs lie outside their straight lines half-way between a tip and the widest line, mm; below nothing inside. */
export const bowOf = ({ width, curve }: Pick<DoubleDart, 'width' | 'curve'>): number => (curve * width) / 8;
/** The most a leg of so wide a dart can be curved, mm: farther out it would be wider elsewhere, farther in nothing at its tip. */
export const mostBow = (width: number): number => width / 8;

/** The two legs to one tip, each from the tip, the first to the first end of the widest line. */
export function legsTo(dart: DoubleDart, tip: 'upper' | 'lower'): readonly [Span, Span] {
  const { ends, [tip]: from } = doubleDartShape(dart);
  const leg = (end: Point, out: 1 | -1): Span => {
    if (dart.curve === 0) return { kind: 'line', a: from, b: end };
    // A parabola, as a cubic: its one control point lies twice as far out as the curve does half-way.
    const control = add(midpoint(from, end), scale(asideOf(dart), out * 2 * bowOf(dart)));
    return { kind: 'cubic', a: from, c1: lerp(from, control, 2 / 3), c2: lerp(end, control, 2 / 3), b: end };
  };
  return [leg(ends[0], 1), leg(ends[1], -1)];
}

/** All around a dart without a mouth: from its upper tip by the first end to the lower tip, and back by the second. */
export function aroundDoubleDart(dart: DoubleDart): readonly [Span, Span, Span, Span] {
  const [[one, other], [first, second]] = [legsTo(dart, 'upper'), legsTo(dart, 'lower')];
  return [one, reverseSpan(first), second, reverseSpan(other)];
}
const reverseSpan = (s: Span): Span =>
  s.kind === 'line' ? { ...s, a: s.b, b: s.a } : { ...s, a: s.b, c1: s.c2, c2: s.c1, b: s.a };

/** The same dart about other corners: its tips where they are, its widest line square between them, as wide as asked. */
export function doubleDartAbout(
  dart: DoubleDart,
  upper: Point,
  lower: Point,
  middle: Point,
  width: number,
): DoubleDart {
  const long = sub(lower, upper);
  const along = sub(middle, upper);
  const share = (along.x * long.x + along.y * long.y) / (long.x ** 2 + long.y ** 2);
  return { ...dart, upper, lower, widest: Math.min(MOST, Math.max(1 - MOST, share)), width };
}
/** The widest line stays clear of both tips, as a share of the length. */
const MOST = 0.95;

/** The places a mark is drawn at. */
export function placesOfMark(mark: PlacedMark): readonly Point[] {
  if (mark.kind === 'grain') return [mark.from, mark.to];
  if (mark.kind === 'yokeLine') return yokeLinePlaces(mark);
  if (mark.kind !== 'doubleDart') return [mark.at];
  const { upper, lower, ends } = doubleDartShape(mark);
  return [upper, ends[0], lower, ends[1]];
}

type YokeLine = Extract<Mark, { readonly kind: 'yokeLine' }>;
/** The line and its handles, and the grain line of the yoke, always in this order. */
const yokeLinePlaces = ({ path, lower, pinned: { grain } }: YokeLine): readonly Point[] => [
  ...pointsOf(path),
  ...(lower ? pointsOf(lower) : []),
  ...(grain ? [grain.from, grain.to] : []),
];
const pointsOf = (path: Path): readonly Point[] => [
  path.start,
  ...path.segments.flatMap((s) => (s.kind === 'line' ? [s.to] : [s.c1, s.c2, s.to])),
];
/** Each of those places carried by itself, in the same order. */
function yokeLineBetween(mark: YokeLine, to: (p: Point) => Point): YokeLine {
  const { grain } = mark.pinned;
  const carried = (path: Path): Path => {
    const start = to(path.start);
    const segments = path.segments.map((s) =>
      s.kind === 'line' ? { ...s, to: to(s.to) } : { ...s, c1: to(s.c1), c2: to(s.c2), to: to(s.to) },
    );
    return { start, segments };
  };
  return {
    ...mark,
    path: carried(mark.path),
    lower: mark.lower && carried(mark.lower),
    pinned: { ...mark.pinned, grain: grain && { from: to(grain.from), to: to(grain.to) } },
  };
}

/** The places that say on which paper a mark lies: the grain line's middle stands for all of it. */
export const anchorsOfMark = (mark: PlacedMark): readonly Point[] =>
  mark.kind === 'grain' ? [midpoint(mark.from, mark.to)] : placesOfMark(mark);

/** A mark carried by a map that keeps lengths. */
export const mapMark = <M extends PlacedMark>(mark: M, to: (p: Point) => Point): M => mapped(mark, to) as M;
function mapped(mark: PlacedMark, to: (p: Point) => Point): PlacedMark {
  if (mark.kind === 'grain') return { ...mark, from: to(mark.from), to: to(mark.to) };
  if (mark.kind === 'yokeLine') return yokeLineBetween(mark, to);
  if (mark.kind === 'doubleDart') return { ...mark, upper: to(mark.upper), lower: to(mark.lower) };
  return { ...mark, at: to(mark.at) };
}

/** A mark whose anchors have each gone to a place of their own; a dart without a mouth is drawn anew between them. */
export function markBetween(mark: PlacedMark, to: (p: Point, anchor: number) => Point): PlacedMark {
  if (mark.kind === 'yokeLine') {
    let anchor = 0;
    return yokeLineBetween(mark, (p) => to(p, anchor++));
  }
  if (mark.kind !== 'doubleDart') return mapMark(mark, (p) => to(p, 0));
  const was = placesOfMark(mark) as readonly [Point, Point, Point, Point];
  const [upper, one, lower, other] = was.map(to) as [Point, Point, Point, Point];
  return doubleDartAbout(mark, upper, lower, midpoint(one, other), widthBetween(upper, lower, one, other));
}

/** How far apart the ends of the widest line are; nothing where they have passed each other. */
function widthBetween(upper: Point, lower: Point, one: Point, other: Point): number {
  const down = sub(lower, upper);
  const apart = sub(one, other);
  return apart.y * down.x - apart.x * down.y > 0 ? distance(one, other) : 0;
}

/** What a sentence calls a dart without a mouth. */
export const DOUBLE_POINTED = 'double-pointed';
export const doubleDartsOf = (piece: Piece): readonly DoubleDart[] =>
  piece.marks.filter((m): m is DoubleDart => m.kind === 'doubleDart');

/** What a dart folds away, towards one tip; with curved legs from the tip to the two ends of its mouth. */
export interface Wedge extends DartShape {
  readonly curved: readonly [Span, Span] | null;
}

/** What the darts of a piece fold away: one without a mouth as two that share a mouth, one towards each tip. */
export const wedgesOf = (piece: Piece): readonly Wedge[] => [
  ...piece.darts.map((d) => ({ ...dartShape(piece, d), curved: null })),
  ...doubleDartsOf(piece).flatMap((d) => {
    const { ends } = doubleDartShape(d);
    return (['upper', 'lower'] as const).map((tip) => ({
      ...{ start: ends[0], end: ends[1], tip: d[tip] },
      curved: d.curve === 0 ? null : legsTo(d, tip),
    }));
  }),
];
