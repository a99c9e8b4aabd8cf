import type { Box, Point } from '../../geometry/index.ts';
import { likeness, sizeOf } from './likeness.ts';
import { boxOf, type Lines, type Stroke } from './lines.ts';

/** A line that two pages share must be at least this long for its place to count, mm. */
const TELLING = 60;
type Shapes = ReadonlyMap<string, readonly Stroke[]>;
interface Vote {
  readonly by: Point;
  /** Length of line that agrees on it, mm. */
  weight: number;
}
/** Pages that show no more than this many shifts to one another are worth looking at more than once. */
const VOTES = 4;

/** How far page b may lie from page a by the lines both show: the shifts most length of line agrees on, the best first. */
function shiftsBetween(a: Shapes, b: Shapes): readonly Vote[] {
  const votes = new Map<string, Vote>();
  for (const [like, mine] of a)
    for (const s of mine)
      for (const t of (b.get(like) ?? []).slice(0, 12)) {
        const by = { x: s.path.start.x - t.path.start.x, y: s.path.start.y - t.path.start.y };
        // Frames and marks stand at the same place of every page, and tell nothing.
        if (Math.abs(by.x) < 1 && Math.abs(by.y) < 1) continue;
        const k = `${Math.round(by.x * 2)} ${Math.round(by.y * 2)}`;
        const vote = votes.get(k) ?? { by, weight: 0 };
        vote.weight += sizeOf(boxOf(s.path));
        votes.set(k, vote);
      }
  return [...votes.values()]
    .filter((v) => v.weight >= TELLING)
    .sort((p, q) => q.weight - p.weight)
    .slice(0, VOTES);
}

/** Share of a page by which two pages may lie over each other: tiles share a strip, never a half. */
const OVER = 0.3;

/**
 * Pages laid by the lines that two of them show, the surest first. Pieces that look alike (a skirt's front and back)
 * also agree on shifts; such a page would come to lie over another, and goes where the next best line leads.
 */
export function byShared(lines: Lines, pages: readonly number[], frame: Box): (Point | null)[] | null {
  const shapes = new Map<number, Map<string, Stroke[]>>();
  for (const n of pages) shapes.set(n, new Map());
  for (const s of lines.strokes) {
    if (sizeOf(boxOf(s.path)) < TELLING / 2) continue;
    const page = shapes.get(s.page);
    if (!page) continue;
    const like = likeness(s.path);
    const list = page.get(like);
    if (list) list.push(s);
    else page.set(like, [s]);
  }
  const out: (Point | null)[] = lines.pages.map(() => null);
  const first = pages[0];
  if (first === undefined) return null;
  out[first] = { x: 0, y: 0 };
  const [wide, high] = [frame.maxX - frame.minX, frame.maxY - frame.minY];
  const free = (at: Point): boolean =>
    out.every((o) => {
      if (!o) return true;
      const x = Math.max(0, wide - Math.abs(o.x - at.x));
      const y = Math.max(0, high - Math.abs(o.y - at.y));
      return x * y < OVER * wide * high;
    });
  const left = new Set(pages.filter((p) => p !== first));
  const ways: { readonly to: number; readonly at: Point; readonly weight: number }[] = [];
  let last = first;
  for (;;) {
    const origin = out[last] as Point;
    for (const to of left)
      for (const { by, weight } of shiftsBetween(shapes.get(last) as Shapes, shapes.get(to) as Shapes))
        ways.push({ to, at: { x: origin.x + by.x, y: origin.y + by.y }, weight });
    let best = -1;
    ways.forEach((w, i) => {
      if (left.has(w.to) && (best < 0 || w.weight > (ways[best]?.weight ?? 0)) && free(w.at)) best = i;
    });
    const way = ways[best];
    if (!way) break;
    out[way.to] = way.at;
    left.delete(way.to);
    last = way.to;
  }
  const placed = pages.length - left.size;
  return placed >= Math.max(2, pages.length * 0.5) ? out : null;
}
