import { boxAround, clipPath, distance, endOf, spansOf, type Box, type Path, type Point } from '../geometry/index.ts';
import { TOL } from '../units/index.ts';
import { boxOf, type Lettering, type Lines, type Stroke } from './lines.ts';

/** Where each page lies on the table, mm; null for a page that carries no part of the drawing. */
export type Placing = readonly (Point | null)[];
export interface TileProposal {
  readonly placing: Placing;
  /** The window of a page that is kept when pages are laid together: inside its frame. */
  readonly window: Box | null;
  /** By lines that two pages share, by lines that run on over the frames, or only by the order of the pages. */
  readonly by: 'shared' | 'runsOn' | 'order' | 'single';
}

/** A line that two pages share must be at least this long for its place to count, mm. */
const TELLING = 60;
/** Frames take at least this share of the page. */
const FRAME_SHARE = 0.55;

const sizeOf = (b: Box): number => Math.hypot(b.maxX - b.minX, b.maxY - b.minY);
const key = (n: number): number => Math.round(n * 20);

/** What a line looks like wherever it lies: its number of bits, its size, and its first steps. */
function likeness(path: Path): string {
  const spans = spansOf(path).slice(0, 4);
  const b = boxOf(path);
  const steps = spans.map((s) => `${key(s.b.x - s.a.x)},${key(s.b.y - s.a.y)}`);
  return `${path.segments.length} ${key(b.maxX - b.minX)} ${key(b.maxY - b.minY)} ${steps.join(' ')}`;
}

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
function byShared(lines: Lines, pages: readonly number[], frame: Box): (Point | null)[] | null {
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

/** The frame drawn on a page: its largest upright rectangle, if that takes most of the page. */
export function frameOf(
  strokes: readonly Stroke[],
  page: { readonly width: number; readonly height: number },
): Box | null {
  let best: Box | null = null;
  for (const s of strokes) {
    const spans = spansOf(s.path);
    if (!s.closed || spans.length < 4 || spans.length > 5) continue;
    const upright = spans.every(
      (x) => x.kind === 'line' && (Math.abs(x.a.x - x.b.x) < 0.1 || Math.abs(x.a.y - x.b.y) < 0.1),
    );
    const b = boxOf(s.path);
    const area = (b.maxX - b.minX) * (b.maxY - b.minY);
    const fits = b.minX >= -1 && b.minY >= -1 && b.maxX <= page.width + 1 && b.maxY <= page.height + 1;
    if (!upright || !fits || area < FRAME_SHARE * page.width * page.height) continue;
    if (!best || area > (best.maxX - best.minX) * (best.maxY - best.minY)) best = b;
  }
  return best;
}

/** Row and column from a label like "B3", "3B", "2-4" or "row 2 column 4". */
function labelled(letters: readonly Lettering[]): { readonly row: number; readonly column: number } | null {
  for (const l of letters) {
    const t = l.text.trim();
    const lettered = /^([A-Z])\s*[-/]?\s*(\d{1,2})$/i.exec(t);
    if (lettered)
      return { row: (lettered[1] as string).toUpperCase().charCodeAt(0) - 65, column: Number(lettered[2]) - 1 };
    const rowColumn = /row\s*(\d{1,2})\D+col\w*\s*(\d{1,2})/i.exec(t);
    if (rowColumn) return { row: Number(rowColumn[1]) - 1, column: Number(rowColumn[2]) - 1 };
  }
  return null;
}

interface Edges {
  readonly right: readonly number[];
  readonly left: readonly number[];
  readonly top: readonly number[];
  readonly bottom: readonly number[];
}
/** Where lines reach the four sides of a window. */
function reaches(strokes: readonly Stroke[], w: Box): Edges {
  const out = { right: [] as number[], left: [] as number[], top: [] as number[], bottom: [] as number[] };
  const meets = 1.5;
  for (const s of strokes)
    for (const part of clipPath(s.path, w))
      for (const p of [part.start, endOf(part)]) {
        if (Math.abs(p.x - w.maxX) < meets) out.right.push(p.y);
        if (Math.abs(p.x - w.minX) < meets) out.left.push(p.y);
        if (Math.abs(p.y - w.minY) < meets) out.top.push(p.x);
        if (Math.abs(p.y - w.maxY) < meets) out.bottom.push(p.x);
      }
  return out;
}
const agree = (a: readonly number[], b: readonly number[]): number =>
  a.filter((x) => b.some((y) => Math.abs(x - y) < TOL.heal)).length * 2 - a.length * 0.5 - b.length * 0.5;

function byOrder(pages: readonly number[], n: number, columns: number, step: Point): (Point | null)[] {
  const out: (Point | null)[] = Array.from({ length: n }, () => null);
  pages.forEach((p, i) => {
    out[p] = { x: (i % columns) * step.x, y: Math.floor(i / columns) * step.y };
  });
  return out;
}

/** Lays pages in rows of so many: what one does by hand when nothing else tells. */
export const inRows = (lines: Lines, pages: readonly number[], columns: number, window: Box): Placing =>
  byOrder(pages, lines.pages.length, Math.max(1, columns), {
    x: window.maxX - window.minX,
    y: window.maxY - window.minY,
  });

/** Pages that carry a part of the drawing: most of a page's lines leave its frame, or it is one of few. */
function drawingPages(lines: Lines, perPage: readonly (readonly Stroke[])[]): readonly number[] {
  const all = lines.pages.map((_, i) => i).filter((i) => (perPage[i]?.length ?? 0) > 0);
  if (all.length < 3) return all;
  // The first page of most files holds only words and a square to measure: no line of it is longer than its frame.
  const size = lines.pages.map((p) => Math.min(p.width, p.height));
  const telling = all.filter((i) => {
    const frame = frameOf(perPage[i] ?? [], lines.pages[i] as { width: number; height: number });
    return (
      frame !== null ||
      (perPage[i] ?? []).some((s) => {
        const b = boxOf(s.path);
        const page = lines.pages[i] as { width: number; height: number };
        return (
          sizeOf(b) > 0.9 * (size[i] as number) ||
          b.minX < 0 ||
          b.minY < 0 ||
          b.maxX > page.width ||
          b.maxY > page.height
        );
      })
    );
  });
  return telling.length >= 2 ? telling : all;
}

/**
 * How the pages of a tiled file lie together: by lines that two pages both show (a drawing repeated on each, or
 * overlapping tiles), else by lines that run on from frame to frame over rows of every likely width, else by labels
 * or the order of the pages. A proposal to be looked at and dragged.
 */
export function proposeTiles(lines: Lines): TileProposal {
  const perPage = lines.pages.map((_, i) => lines.strokes.filter((s) => s.page === i));
  const pages = drawingPages(lines, perPage);
  const first = pages[0] ?? 0;
  const page = lines.pages[first] ?? { width: 210, height: 297 };
  if (lines.pages.length === 1) return { placing: [{ x: 0, y: 0 }], window: null, by: 'single' };
  const frames = pages.map((i) => frameOf(perPage[i] ?? [], lines.pages[i] as typeof page));
  const frame = frames.find((f) => f !== null) ?? { minX: 0, minY: 0, maxX: page.width, maxY: page.height };
  const shared = byShared(lines, pages, frame);
  if (shared) return { placing: shared, window: frame, by: 'shared' };

  const step = { x: frame.maxX - frame.minX, y: frame.maxY - frame.minY };
  const labels = pages.map((i) => labelled(lines.letters.filter((l) => l.page === i)));
  const places = new Set(labels.map((l) => (l ? `${l.row} ${l.column}` : '')));
  if (labels.every((l) => l !== null) && places.size === pages.length) {
    const out: (Point | null)[] = lines.pages.map(() => null);
    pages.forEach((p, i) => {
      const l = labels[i] as { row: number; column: number };
      out[p] = { x: l.column * step.x, y: l.row * step.y };
    });
    return { placing: out, window: frame, by: 'runsOn' };
  }
  const edges = pages.map((i) =>
    reaches(
      (perPage[i] ?? []).filter((s) => !isFrame(s, frame)),
      frame,
    ),
  );
  let best = { columns: Math.ceil(Math.sqrt(pages.length)), score: 0 };
  for (let columns = 1; columns <= pages.length; columns++) {
    let score = 0;
    pages.forEach((_, i) => {
      const here = edges[i] as Edges;
      const right = (i + 1) % columns !== 0 ? edges[i + 1] : undefined;
      const below = edges[i + columns];
      if (right) score += agree(here.right, right.left);
      if (below) score += agree(here.bottom, below.top);
    });
    if (score > best.score) best = { columns, score };
  }
  return {
    placing: byOrder(pages, lines.pages.length, best.columns, step),
    window: frame,
    by: best.score > 0 ? 'runsOn' : 'order',
  };
}

const isFrame = (s: Stroke, frame: Box): boolean => {
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
 * The lines of all placed pages on one sheet. A line that several pages show is kept once and whole; of the others,
 * what lies outside its page's window is cut off, so that nothing is drawn twice where tiles overlap. The frames go.
 */
export function layTogether(lines: Lines, placing: Placing, window: Box | null): Lines {
  if (lines.pages.length === 1) return lines;
  const seen = new Map<string, { stroke: Stroke; pages: Set<number> }>();
  const printed = furniture(lines);
  const single: { stroke: Stroke; pages: Set<number>; from: Stroke }[] = [];
  for (const s of lines.strokes) {
    const at = placing[s.page];
    if (!at || printed.has(s) || (window && isFrame(s, window))) continue;
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
    if (pages.size > 1 || !window) return [stroke];
    const at = placing[from.page] as Point;
    const b = boxOf(from.path);
    const inside = b.minX >= window.minX && b.maxX <= window.maxX && b.minY >= window.minY && b.maxY <= window.maxY;
    if (inside) return [stroke];
    return clipPath(from.path, window).map((path) => ({ ...stroke, closed: false, path: moved(path, at) }));
  });
  const letters = lines.letters.flatMap((l) => {
    const at = placing[l.page];
    const shown =
      !window ||
      // "Fold" is written along an edge, and may begin just outside the frame it reads into.
      /\bfold\b/i.test(l.text) ||
      (l.at.x >= window.minX && l.at.x <= window.maxX && l.at.y >= window.minY && l.at.y <= window.maxY);
    return at && shown ? [{ ...l, at: { x: l.at.x + at.x, y: l.at.y + at.y } }] : [];
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
