import { boxAround, clipPath, distance, type Box, type Path, type Point } from '../../geometry/index.ts';
import { TOL } from '../../units/index.ts';
import { key, likeness, sizeOf } from './likeness.ts';
import { boxOf, type Lines, type Stroke } from './lines.ts';

/** Where each page lies on the table, mm; null for a page that carries no part of the drawing. */
export type Placing = readonly (Point | null)[];

/** How pages lie, and what of each is drawn. */
export interface Laid {
  readonly placing: Placing;
  /** What of a page its neighbours do not draw as well; null: all of it. */
  readonly window: Box | null;
  /** All that a page shows, its overlaps with it. */
  readonly full: Box | null;
}

/** The frame of a page, which is not part of the drawing. */
export const isFrame = (s: Stroke, frame: Box): boolean => {
  const b = boxOf(s.path);
  return (
    Math.abs(b.minX - frame.minX) < 0.2 &&
    Math.abs(b.maxX - frame.maxX) < 0.2 &&
    Math.abs(b.minY - frame.minY) < 0.2 &&
    Math.abs(b.maxY - frame.maxY) < 0.2
  );
};

const moved = (path: Path, by: Point): Path => {
  const go = (p: Point): Point => ({ x: p.x + by.x, y: p.y + by.y });
  return {
    start: go(path.start),
    segments: path.segments.map((g) =>
      g.kind === 'line' ? { kind: 'line', to: go(g.to) } : { kind: 'cubic', c1: go(g.c1), c2: go(g.c2), to: go(g.to) },
    ),
  };
};

/** Signs that stand at the same place of many pages (frames, marks to join by, headings) are the printer's, not the pattern's. */
function furniture(lines: Lines): ReadonlySet<Stroke> {
  const there = new Map<string, Stroke[]>();
  for (const s of lines.strokes) {
    const b = boxOf(s.path);
    const k = `${likeness(s.path)} ${key(b.minX)} ${key(b.minY)} ${s.style}`;
    const list = there.get(k);
    if (list) list.push(s);
    else there.set(k, [s]);
  }
  const many = Math.max(3, lines.pages.length * 0.2);
  return new Set([...there.values()].filter((l) => new Set(l.map((s) => s.page)).size >= many).flat());
}

/** Where a line lies, within what two pages may differ by. */
const placeKeys = (path: Path, style: string): readonly string[] => {
  const b = boxOf(path);
  const round = (n: number, shift: number): number => Math.floor(n / (4 * TOL.twice) + shift);
  return [0, 0.5].map(
    (shift) =>
      `${style} ${path.segments.length} ${round(b.minX, shift)} ${round(b.minY, shift)} ${round(b.maxX, shift)} ${round(b.maxY, shift)}`,
  );
};

/**
 * What of each page is drawn: its window, and its overlap too on sides where no other page lies, since nobody else draws
 * what stands there.
 */
function windowsOf({ placing, window, full }: Laid): readonly (Box | null)[] {
  if (!window || !full) return placing.map(() => window);
  const key = (x: number, y: number): string => `${Math.round(x)} ${Math.round(y)}`;
  const there = new Set(placing.flatMap((p) => (p ? [key(p.x, p.y)] : [])));
  const [w, h] = [window.maxX - window.minX, window.maxY - window.minY];
  return placing.map((p) => {
    if (!p) return window;
    const has = (dx: number, dy: number): boolean =>
      // Rounding may fall either way.
      [-1, 0, 1].some((i) => [-1, 0, 1].some((j) => there.has(key(p.x + dx + i, p.y + dy + j))));
    return {
      minX: has(-w, 0) ? window.minX : full.minX,
      maxX: has(w, 0) ? window.maxX : full.maxX,
      minY: has(0, -h) ? window.minY : full.minY,
      maxY: has(0, h) ? window.maxY : full.maxY,
    };
  });
}

/**
 * The lines of all placed pages on one drawing. A line that several pages show is kept once and whole; of the others,
 * what lies outside its page's window is cut off, so that nothing is drawn twice where tiles overlap. The frames go.
 */
export function layTogether(lines: Lines, laid: Laid): Lines {
  if (lines.pages.length === 1) return lines;
  const { placing, window, full } = laid;
  const windows = windowsOf(laid);
  const seen = new Map<string, { stroke: Stroke; pages: Set<number> }>();
  const printed = furniture(lines);
  const single: { stroke: Stroke; pages: Set<number>; from: Stroke }[] = [];
  for (const s of lines.strokes) {
    const at = placing[s.page];
    if (!at || printed.has(s) || [window, full].some((f) => f && isFrame(s, f))) continue;
    const stroke = { ...s, path: moved(s.path, at) };
    const keys = placeKeys(stroke.path, s.style);
    const there = keys.map((k) => seen.get(k)).find((k) => k !== undefined);
    if (there && distance(there.stroke.path.start, stroke.path.start) < 10) {
      there.pages.add(s.page);
      continue;
    }
    const entry = { stroke, pages: new Set([s.page]), from: s };
    for (const k of keys) seen.set(k, entry);
    single.push(entry);
  }
  const strokes = single.flatMap(({ stroke, pages, from }) => {
    const own = windows[from.page];
    if (pages.size > 1 || !own) return [stroke];
    const at = placing[from.page] as Point;
    const b = boxOf(from.path);
    const inside = b.minX >= own.minX && b.maxX <= own.maxX && b.minY >= own.minY && b.maxY <= own.maxY;
    if (inside) return [stroke];
    // A line that only touches the window leaves a speck of no length there, which would pass for a mark.
    return clipPath(from.path, own)
      .filter((path) => sizeOf(boxOf(path)) > TOL.meets)
      .map((path) => ({ ...stroke, closed: false, path: moved(path, at) }));
  });
  const letters = lines.letters.flatMap((l) => {
    const at = placing[l.page];
    const own = windows[l.page];
    const inside = (p: Point): boolean =>
      own !== null && own !== undefined && p.x >= own.minX && p.x <= own.maxX && p.y >= own.minY && p.y <= own.maxY;
    const shown =
      !own ||
      // "Fold" is written along an edge, and may begin just outside the frame it reads into.
      /\bfold\b/i.test(l.text) ||
      // A word cut off by the page before begins outside the frame, too.
      inside(l.at) ||
      (l.middle !== undefined && inside(l.middle));
    if (!at || !shown) return [];
    const go = (p: Point): Point => ({ x: p.x + at.x, y: p.y + at.y });
    return [{ ...l, at: go(l.at), ...(l.middle ? { middle: go(l.middle) } : {}) }];
  });
  const all = boxAround(strokes.map((s) => boxOf(s.path)));
  const width = Math.max(all.maxX, 0);
  const height = Math.max(all.maxY, 0);
  return { ...lines, strokes, letters, pages: [{ width, height }] };
}

/** How near a page must come to where it would fit to be drawn there, mm. */
const SNAP = 14;

/** Where a dragged page fits: frame to frame beside, above or below a page that lies there, or just where it is. */
export function snapPage(placing: Placing, page: number, to: Point, window: Box): Point {
  const step = { x: window.maxX - window.minX, y: window.maxY - window.minY };
  let best = to;
  let near = SNAP;
  placing.forEach((at, i) => {
    if (!at || i === page) return;
    for (const [dx, dy] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const) {
      const fits = { x: at.x + dx * step.x, y: at.y + dy * step.y };
      const d = distance(fits, to);
      if (d < near) [near, best] = [d, fits];
    }
  });
  return best;
}
