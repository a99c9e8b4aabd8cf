import { distance, mapPath, nearestOnPath, spansOf, type Box, type Point } from '../../geometry/index.ts';
import { boundsOfStrokes, boxOf, MM_PER, type Lines, type Stroke, type UnitName } from './lines.ts';
import { moveMarked } from './places.ts';
import { nth } from '../../units/index.ts';

/** A square found in a drawing, as printers are checked by. */
export interface FoundSquare {
  readonly at: Point;
  readonly side: number;
  readonly page: number;
  /** The side it was most likely meant to have, mm; null where no usual one is near. */
  readonly meant: number | null;
}
/** Sides that such squares have, mm. */
const USUAL = [100, 101.6, 50, 50.8, 25.4, 76.2, 30, 40, 20, 150, 152.4] as const;
/** A square is one when its sides agree so well, and a usual one is meant when it is so near. */
const EQUAL = 0.01;
const NEAR = 0.06;

/** The usual side a square was most likely meant to have, mm. */
function meantSide(side: number): number | null {
  const meant = nth(
    [...USUAL].sort((p, q) => Math.abs(p - side) - Math.abs(q - side)),
    0,
  );
  return Math.abs(meant - side) <= NEAR * meant ? meant : null;
}
/** The usual side of a box as wide as high; null for any other. */
export function squareSide(b: Box): number | null {
  const [w, h] = [b.maxX - b.minX, b.maxY - b.minY];
  return Math.abs(w - h) > EQUAL * w ? null : meantSide((w + h) / 2);
}

/** Squares of a size that one measures, the largest first. */
export function findSquares(strokes: readonly Stroke[]): readonly FoundSquare[] {
  const out: FoundSquare[] = [];
  for (const s of strokes) {
    const spans = spansOf(s.path);
    if (!s.closed || spans.length !== 4 || spans.some((x) => x.kind !== 'line')) continue;
    const b = boxOf(s.path);
    const [w, h] = [b.maxX - b.minX, b.maxY - b.minY];
    if (w < 15 || w > 170 || Math.abs(w - h) > EQUAL * w) continue;
    const upright = spans.every((x) => Math.abs(x.a.x - x.b.x) < 0.2 || Math.abs(x.a.y - x.b.y) < 0.2);
    if (!upright) continue;
    const side = (w + h) / 2;
    out.push({ at: { x: b.minX, y: b.minY }, side, page: s.page, meant: meantSide(side) });
  }
  return out.sort((a, b) => b.side - a.side);
}

/** The drawing made larger or smaller about the origin; strokes widths are how it looks and stay. */
export function scaleLines(lines: Lines, factor: number): Lines {
  if (factor === 1) return lines;
  const to = (p: Point): Point => ({ x: p.x * factor, y: p.y * factor });
  return {
    ...lines,
    strokes: lines.strokes.map((s) => {
      const path = mapPath(s.path, to);
      return {
        ...s,
        path: path.segments.length > 0 ? path : { ...path, segments: [{ kind: 'line', to: path.start }] },
      };
    }),
    letters: lines.letters.map((l) => ({ ...l, at: to(l.at), ...(l.middle ? { middle: to(l.middle) } : {}) })),
    pages: lines.pages.map((p) => ({ width: p.width * factor, height: p.height * factor })),
    ...(lines.marked ? { marked: lines.marked.map((m) => moveMarked(m, to)) } : {}),
  };
}

/** What a drawing's size makes doubtful: pieces are a hand to a few arms long. */
export interface SizeDoubt {
  /** Its longest side, mm. */
  readonly longest: number;
  /** What its numbers were more likely meant in. */
  readonly likely: UnitName;
  readonly factor: number;
}
const LONGEST_PIECE = 3500;
const SHORTEST_PATTERN = 90;
/** Numbers up to this are likelier inches than centimetres: a bodice is 17 or 43. */
const LONGEST_INCHES = 32;

/** Doubt about the unit of a drawing on one drawing; null where its size is a pattern's. */
export function doubtSize(lines: Lines): SizeDoubt | null {
  const b = boundsOfStrokes(lines.strokes);
  if (!b) return null;
  // One long line proves nothing, and neither does a nest of many pieces side by side: the largest closed line counts.
  const closed = lines.strokes.filter((s) => s.closed).map((s) => boxOf(s.path));
  const sizes = closed.map((x) => Math.max(x.maxX - x.minX, x.maxY - x.minY));
  const longest =
    sizes.length > 0 ? sizes.reduce((most, n) => Math.max(most, n), 0) : Math.max(b.maxX - b.minX, b.maxY - b.minY);
  const now = MM_PER[lines.unit.name];
  const tries: readonly UnitName[] =
    longest > LONGEST_PIECE ? ['mm', 'pt', 'px', 'cm'] : longest < LONGEST_INCHES ? ['in', 'cm'] : ['cm', 'in'];
  if (longest <= LONGEST_PIECE && longest >= SHORTEST_PATTERN) return null;
  const likely = tries
    .map((name) => ({ name, factor: MM_PER[name] / now }))
    .find(({ factor }) => longest * factor >= SHORTEST_PATTERN && longest * factor <= LONGEST_PIECE);
  return likely ? { longest, likely: likely.name, factor: likely.factor } : null;
}

/** The line nearest to a place, no farther than `within` mm; −1 for none. A closed line counts when its edge is near. */
export function lineNear(strokes: readonly Stroke[], p: Point, within: number): number {
  let best = within;
  let found = -1;
  strokes.forEach((s, i) => {
    const b = boxOf(s.path);
    if (p.x < b.minX - best || p.x > b.maxX + best || p.y < b.minY - best || p.y > b.maxY + best) return;
    const d = Math.min(nearestOnPath(s.path, p).distance, distance(s.path.start, p));
    if (d < best) [best, found] = [d, i];
  });
  return found;
}
