import { endOf, pathLength } from '../../geometry/index.ts';
import type { EdgeRole } from '../../pattern/index.ts';
import { isStraight } from './corners.ts';
import { looks, within, type Seen } from './roleSeen.ts';

/** The top of a back is wider than this where a yoke is sewn on, mm: no neckline of half a back is. */
const YOKE = 110;
/** The lower edge of a yoke looks down, give or take so much, degrees. */
const DOWN = 40;

/** The edges of a yoke, walked from the upper end of its centre: neck, shoulder, armhole and the seam to the back. */
export function yoke(way: readonly Seen[], roles: EdgeRole[]): void {
  const shoulder = way.findIndex((e) => !e.dart && isStraight(e.path) && within(looks(e.path), -90, 55));
  const last = way.findLastIndex((e) => !within(looks(e.path), 90, DOWN));
  way.forEach((e, i) => {
    roles[e.index] = i > last ? 'yoke' : i < shoulder ? 'neck' : i === shoulder ? 'shoulder' : 'armhole';
  });
}

/** A back whose upper edge runs from its centre to the armhole without a neckline is sewn to a yoke. */
export function belowYoke(edges: readonly Seen[], roles: EdgeRole[]): void {
  if (roles.includes('neck')) return;
  const top = edges.filter((e) => roles[e.index] === 'shoulder');
  const [only] = top;
  const centre = edges.find((e) => roles[e.index] === 'centreBack');
  if (!only || !centre || top.length > 1 || pathLength(only.path) < YOKE) return;
  const meets = [only.path.start, endOf(only.path)].some((p) =>
    [centre.path.start, endOf(centre.path)].some((q) => Math.hypot(p.x - q.x, p.y - q.y) < 1),
  );
  if (meets && roles.includes('armhole')) roles[only.index] = 'yoke';
}
