import { distance, type Point } from './vec.ts';
import { boundsOf, insidePolygon } from './polygon.ts';
import { cyclic } from '../units/index.ts';

/** Places tried across and down; each time around the best so far, at a fifth of the distance. */
const GRID = 14;
const ROUNDS = 3;

/** Where a closed ring of points has most room: the place farthest from its edge, and how far that is, mm. */
export function roomiest(ring: readonly Point[]): { readonly at: Point; readonly room: number } {
  const b = boundsOf(ring);
  let best = { at: { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 }, room: 0 };
  let half = { x: (b.maxX - b.minX) / 2, y: (b.maxY - b.minY) / 2 };
  for (let round = 0; round < ROUNDS; round++) {
    const centre = best.at;
    for (let i = 0; i <= GRID; i++)
      for (let j = 0; j <= GRID; j++) {
        const at = { x: centre.x + half.x * ((2 * i) / GRID - 1), y: centre.y + half.y * ((2 * j) / GRID - 1) };
        if (!insidePolygon(at, ring)) continue;
        const room = Math.min(...ring.map((a, k) => toSegment(at, a, cyclic(ring, k + 1))));
        if (room > best.room) best = { at, room };
      }
    half = { x: half.x / 5, y: half.y / 5 };
  }
  return best;
}

function toSegment(p: Point, a: Point, b: Point): number {
  const size = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
  const t = size === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / size));
  return distance(p, { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) });
}
