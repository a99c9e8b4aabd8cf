import { boundsOf, flatten, nearestOnPath, signedArea, spansOf, type Box } from '../../../geometry/index.ts';
import { lineInside } from '../inner.ts';
import { boxOf } from '../lines.ts';
import type { Outline } from './outlines.ts';
import { nth } from '../../../units/index.ts';

/** One piece in one size: what is cut along, and the seam line where the file draws it too. */
export interface NestedOutline extends Outline {
  readonly area: number;
  readonly seam: { readonly outline: Outline; readonly allowance: number } | null;
}
/** One piece in all the sizes it is drawn in, from small to large. */
export type Nest = readonly NestedOutline[];

/** Two sizes of a piece share so much of the box around both; whose area differs more are two pieces. */
const SHARED = 0.55;
const GROWTH = 2.2;
/** Boxes that differ by less on every side belong to one outline drawn twice, mm. */
const TWICE = 0.5;
/** An outline inside another, so much smaller, is drawn on it: a pocket's place, a window in a table. */
const INSIDE = 0.5;

const areaOf = (o: Outline): number => Math.abs(signedArea(spansOf(o.ring.path)));
const sides = (b: Box): readonly number[] => [b.minX, b.minY, b.maxX, b.maxY];
const areaOfBox = (b: Box): number => Math.max(0, b.maxX - b.minX) * Math.max(0, b.maxY - b.minY);
const overlap = (a: Box, b: Box): number =>
  areaOfBox({
    minX: Math.max(a.minX, b.minX),
    minY: Math.max(a.minY, b.minY),
    maxX: Math.min(a.maxX, b.maxX),
    maxY: Math.min(a.maxY, b.maxY),
  });

function nested(a: NestedOutline, b: NestedOutline): boolean {
  const [p, q] = [boxOf(a.ring.path), boxOf(b.ring.path)];
  const share = a.area / b.area;
  const both = overlap(p, q);
  return share < GROWTH && share > 1 / GROWTH && both > SHARED * (areaOfBox(p) + areaOfBox(q) - both);
}

const sameTwice = (a: Outline, b: Outline): boolean => {
  const [p, q] = [sides(boxOf(a.ring.path)), sides(boxOf(b.ring.path))];
  return p.every((v, i) => Math.abs(v - (q[i] ?? 0)) < TWICE);
};

const tight = (o: Outline): Box => boundsOf(flatten(o.ring.path, 0.2));

/** How far one box lies inside the other on the four sides, where that may be an allowance: two sides at least agree. */
function maybeSeam(outer: Outline, inner: Outline): boolean {
  const [p, q] = [tight(outer), tight(inner)];
  const gaps = [q.minX - p.minX, q.minY - p.minY, p.maxX - q.maxX, p.maxY - q.maxY];
  if (gaps.some((g) => g < -1)) return false;
  return gaps.some((g, i) => g > 3 && gaps.some((h, k) => k !== i && Math.abs(g - h) < 1));
}

const within = (outer: Outline, inner: Outline): boolean => {
  const [p, q] = [tight(outer), tight(inner)];
  return q.minX > p.minX - 1 && q.minY > p.minY - 1 && q.maxX < p.maxX + 1 && q.maxY < p.maxY + 1;
};
/** How far a seam line mostly lies inside its cutting line, mm; a fold, where they meet, left out. */
function usualGap(outer: Outline, inner: Outline): number {
  const gaps = flatten(inner.ring.path, 0.5)
    .map((p) => nearestOnPath(outer.ring.path, p).distance)
    .filter((d) => d > 1)
    .sort((a, b) => a - b);
  return Math.round((gaps[Math.floor(gaps.length / 2)] ?? 0) * 10) / 10;
}

/** Outlines put together to pieces in all their sizes. What is drawn on a piece, or twice, is left out. */
export function nestsIn(outlines: readonly Outline[]): readonly Nest[] {
  const once: NestedOutline[] = [];
  const byArea = outlines.map((o) => ({ ...o, area: areaOf(o), seam: null })).sort((a, b) => b.area - a.area);
  for (const o of byArea) if (!once.some((other) => other.isSeam === o.isSeam && sameTwice(o, other))) once.push(o);
  const groups: NestedOutline[][] = [];
  for (const o of once) {
    const mine = groups.find((g) => g.some((other) => nested(o, other)));
    if (mine) mine.push(o);
    else groups.push([o]);
  }
  const pieces = groups.filter(
    (g) =>
      !groups.some(
        (other) =>
          other !== g &&
          g.every((o) => {
            const holds = other[0];
            const box = boxOf(o.ring.path);
            return (
              holds !== undefined &&
              o.area < INSIDE * holds.area &&
              overlap(box, boxOf(holds.ring.path)) > 0.98 * areaOfBox(box)
            );
          }),
      ),
  );
  return pieces.map(withSeams);
}

/** Seam lines laid to the cutting lines they run in; what is left are the sizes, the smallest first. */
function withSeams(group: readonly NestedOutline[]): Nest {
  const inner = new Set<NestedOutline>();
  const out = group.map((o): NestedOutline => {
    if (o.isSeam) return o;
    const told = group.filter((s) => s.isSeam && s.area <= o.area && !inner.has(s) && within(o, s));
    const own = told.reduce<NestedOutline | null>((best, s) => (!best || s.area > best.area ? s : best), null);
    if (own) {
      inner.add(own);
      return { ...o, seam: { outline: own, allowance: usualGap(o, own) } };
    }
    const may = group.filter((s) => s !== o && s.area < o.area && !inner.has(s) && maybeSeam(o, s));
    const found =
      may.length > 0
        ? lineInside(
            o.ring,
            may.map((s) => s.ring),
          )
        : null;
    const seam = may.find((s) => s.ring === found?.ring);
    if (!found || !seam) return o;
    inner.add(seam);
    return { ...o, seam: { outline: seam, allowance: found.allowance } };
  });
  const seams = new Set(out.flatMap((o) => (o.seam ? [o.seam.outline] : [])));
  return out.filter((_, i) => !seams.has(nth(group, i))).sort((a, b) => a.area - b.area);
}
