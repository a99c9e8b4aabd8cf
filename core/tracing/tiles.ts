import { clipPath, endOf, spansOf, type Box, type Point } from '../geometry/index.ts';
import { TOL } from '../units/index.ts';
import { sizeOf } from './likeness.ts';
import { boxOf, type Lettering, type Lines, type Stroke } from './lines.ts';
import { byShared } from './sharedTiles.ts';
import { isFrame, type Placing } from './together.ts';

export interface TileProposal {
  readonly placing: Placing;
  /** The window of a page that is kept when pages are laid together: inside its frame. */
  readonly window: Box | null;
  /** By lines that two pages share, by lines that run on over the frames, or only by the order of the pages. */
  readonly by: 'shared' | 'runsOn' | 'order' | 'single';
}

/** Frames take at least this share of the page. */
const FRAME_SHARE = 0.55;

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
