import polylabel from 'polylabel';
import type { Point } from './vec.ts';

/** How near to the best place the search goes, mm: labels are laid by hand's breadths. */
const PRECISION = 0.25;

/** Where a closed ring of points has most room: the place farthest from its edge, and how far that is, mm. */
export function roomiest(ring: readonly Point[]): { readonly at: Point; readonly room: number } {
  const found = polylabel([ring.map((p) => [p.x, p.y])], PRECISION);
  return { at: { x: found[0] ?? 0, y: found[1] ?? 0 }, room: Math.max(0, found.distance) };
}
