import { boundsOf, flatten } from '../../geometry/index.ts';
import type { EdgeRole } from '../../pattern/index.ts';
import { isStraight } from './corners.ts';
import { sewnLength, looks, middleOf, sharp, SIDE_LONGEST, within, type Seen } from './roleSeen.ts';

/**
 * A panel beside the one with the centre: waist or hem below; of the two seams that rise from it the shorter is the side,
 * which ends at the underarm; then armhole, a piece of shoulder where there is one, and the seam to the other panel.
 */
export function sidePanel(edges: readonly Seen[], roles: EdgeRole[]): void {
  const all = boundsOf(edges.flatMap((e) => flatten(e.path, 1)));
  const low = all.minY + (all.maxY - all.minY) * 0.6;
  const isBottom = (e: Seen): boolean => within(looks(e.path), 90, 45) && middleOf(e.path).y > low;
  const first = edges.findIndex((e, i) => !isBottom(e) && isBottom(edges[(i + edges.length - 1) % edges.length] ?? e));
  if (first < 0) return;
  const round = [...edges.slice(first), ...edges.slice(0, first)];
  const upper = round.slice(0, round.findIndex(isBottom));
  const bottom = round.slice(upper.length);
  const rising = (way: readonly Seen[]): number => {
    const end = way.findIndex((e, i) => i > 0 && sharp(way[i - 1], e));
    return sewnLength(end < 0 ? way : way.slice(0, end));
  };
  const way = rising(upper) <= rising([...upper].reverse()) ? upper : [...upper].reverse();
  const side = way.findIndex((e, i) => i > 0 && sharp(way[i - 1], e));
  if (side < 0) return;
  const role: EdgeRole = sewnLength(way.slice(0, side)) > SIDE_LONGEST ? 'hem' : 'waist';
  for (const e of bottom) roles[e.index] = role;
  let now: EdgeRole = 'side';
  way.forEach((e, i) => {
    if (i === side) now = 'armhole';
    else if (i > side && sharp(way[i - 1], e)) now = now === 'armhole' && isTop(e) ? 'shoulder' : 'princess';
    roles[e.index] = now;
  });
}

/** A straight piece on top, as a shoulder is. */
const isTop = (e: Seen): boolean => isStraight(e.path) && within(looks(e.path), -90, 55);
