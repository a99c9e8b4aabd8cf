import {
  add,
  distance,
  insidePolygon,
  intersectPaths,
  lerp,
  midpoint,
  nearestOnPath,
  polyline,
  scale,
  sub,
  turnBetween,
  unit,
  type LineSpan,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { degrees, TOL, nth } from '../../units/index.ts';
import type { FoundMarks, FoundNotch } from './marks.ts';

/** How a dart was recognised. */
export type DartSign = 'legs' | 'notches' | 'cut';
/** A dart as found: its tip and where its legs reach (or point to) the outline, in no order. */
export interface FoundDart {
  readonly tip: Point;
  readonly one: Point;
  readonly two: Point;
  readonly sign: DartSign;
}

/** Legs differ by no more than this share, open no wider than this (degrees), and are no nearer at the outline (mm). */
const ALIKE = 0.25;
const WIDEST = 80;
const NARROWEST = 4;
/** A dart that only notches and a hole show is at least this deep, mm, and more alike. */
const DEEPEST_GUESS = 40;
const ALIKE_GUESS = 0.08;

interface Leg {
  readonly tip: Point;
  readonly foot: Point;
}

/** Straight lines that end on the outline (or within `reach` of it, where the legs stop at the seam line). */
function legsAmong(ring: Path, straights: readonly LineSpan[], reach: number): readonly Leg[] {
  return straights.flatMap((l) =>
    [
      { tip: l.a, foot: l.b },
      { tip: l.b, foot: l.a },
    ].filter(
      (c) =>
        nearestOnPath(ring, c.foot).distance <= reach + TOL.touches && nearestOnPath(ring, c.tip).distance > reach + 8,
    ),
  );
}

/**
 * Darts shown by two legs that meet, and by a pair of notches with a hole at their tip. `reach` is how far inside the
 * outline legs may stop: the seam allowance. Of several lines to one tip the outermost that agree are the legs.
 */
export function findDarts(
  ring: Path,
  marks: FoundMarks,
  notches: readonly FoundNotch[],
  reach: number,
  polygon: readonly Point[],
): readonly FoundDart[] {
  const legs = legsAmong(ring, marks.straights, reach);
  const found: FoundDart[] = [];
  const tips: Leg[][] = [];
  for (const leg of legs) {
    const group = tips.find((g) => distance(nth(g, 0).tip, leg.tip) <= TOL.touches);
    if (group) group.push(leg);
    else tips.push([leg]);
  }
  for (const group of tips) {
    let best: { readonly dart: FoundDart; readonly angle: number } | null = null;
    for (const p of group)
      for (const q of group) {
        if (p === q) continue;
        const [u, v] = [sub(p.foot, p.tip), sub(q.foot, q.tip)];
        const angle = Math.abs(degrees(turnBetween(u, v)));
        const [a, b] = [distance(p.foot, p.tip), distance(q.foot, q.tip)];
        if (angle > WIDEST || distance(p.foot, q.foot) < NARROWEST || Math.abs(a - b) > ALIKE * Math.max(a, b))
          continue;
        if (!best || angle > best.angle)
          best = { angle, dart: { tip: midpoint(p.tip, q.tip), one: p.foot, two: q.foot, sign: 'legs' } };
      }
    if (best) found.push(best.dart);
  }
  for (const tip of marks.dots) {
    if (found.some((d) => distance(d.tip, tip) < 15)) continue;
    const pairs = notches.flatMap((p, i) => notches.slice(i + 1).map((q) => [p.at, q.at] as const));
    const guess = pairs
      .filter(([p, q]) => distance(p, q) > 8 && distance(p, q) < 90)
      .filter(([p, q]) => {
        const [a, b] = [distance(p, tip), distance(q, tip)];
        if (Math.abs(a - b) > ALIKE_GUESS * Math.max(a, b) || Math.min(a, b) < DEEPEST_GUESS) return false;
        // The cloth between them must be whole: halfway to the tip lies inside.
        return (
          insidePolygon(lerp(midpoint(p, q), tip, 0.5), polygon) &&
          insidePolygon(lerp(midpoint(p, q), tip, 0.1), polygon)
        );
      })
      .sort((x, y) => distance(...x) - distance(...y))[0];
    if (guess) found.push({ tip, one: guess[0], two: guess[1], sign: 'notches' });
  }
  return found;
}

/** Where a leg, drawn on beyond its foot if it stops short, meets the seam line; null where it never does. */
export function legMeets(seam: Path, tip: Point, foot: Point, beyond: number): Point | null {
  const on = nearestOnPath(seam, foot);
  if (on.distance < TOL.meets) return on.point;
  const far = add(foot, scale(unit(sub(foot, tip)), beyond));
  const leg = polyline([tip, far]);
  const meets = intersectPaths(leg, seam).map((h) => h.point);
  return meets.sort((p, q) => distance(p, foot) - distance(q, foot))[0] ?? null;
}
