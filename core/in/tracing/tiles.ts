import { boundsOf, endOf, flatten, spansOf, type Box, type Point } from '../../geometry/index.ts';
import { TOL, nth } from '../../units/index.ts';
import { sizeOf } from './likeness.ts';
import { boxOf, type Lines, type Stroke } from './lines.ts';
import { byShared } from './sharedTiles.ts';
import { gridOf, placedBy } from './tileGrid.ts';
import type { Laid, Placing } from './together.ts';

export interface TileProposal extends Laid {
  /** How far neighbouring pages run over each other, mm, and how many stand in a row, where they stand in rows. */
  readonly overlap: number;
  readonly columns: number;
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

function byOrder(pages: readonly number[], n: number, columns: number, step: Point): (Point | null)[] {
  const out: (Point | null)[] = Array.from({ length: n }, () => null);
  pages.forEach((p, i) => {
    out[p] = { x: (i % columns) * step.x, y: Math.floor(i / columns) * step.y };
  });
  return out;
}

/** Lays pages in rows of so many, each running so far over the next, mm: what one does by hand when nothing else tells. */
export function inRows(
  lines: Lines,
  pages: readonly number[],
  columns: number,
  window: Box,
  overlap = 0,
): { readonly placing: Placing; readonly window: Box } {
  const step = { x: window.maxX - window.minX - overlap, y: window.maxY - window.minY - overlap };
  return {
    placing: byOrder(pages, lines.pages.length, Math.max(1, columns), step),
    window: { ...window, maxX: window.minX + step.x, maxY: window.minY + step.y },
  };
}

/** Pages that carry a part of the drawing: most of a page's lines leave its frame, or it is one of few. */
function drawingPages(lines: Lines, perPage: readonly (readonly Stroke[])[]): readonly number[] {
  const all = lines.pages.map((_, i) => i).filter((i) => (perPage[i]?.length ?? 0) > 0);
  if (all.length < 3) return all;
  // The first page of most files holds only words and a square to measure: no line of it is longer than its frame.
  const size = lines.pages.map((p) => Math.min(p.width, p.height));
  const telling = all.filter((i) => {
    const frame = frameOf(perPage[i] ?? [], nth(lines.pages, i));
    return (
      frame !== null ||
      (perPage[i] ?? []).some((s) => {
        const b = boxOf(s.path);
        const page = nth(lines.pages, i);
        return (
          sizeOf(b) > 0.9 * nth(size, i) || b.minX < 0 || b.minY < 0 || b.maxX > page.width || b.maxY > page.height
        );
      })
    );
  });
  return telling.length >= 2 ? telling : all;
}

/** What each page shows where no frame is drawn: all that its lines reach, on whichever page. */
function shownOn(lines: Lines, pages: readonly number[]): Box {
  const on = new Set(pages);
  const page = lines.pages[pages[0] ?? 0] ?? { width: 210, height: 297 };
  const all = boundsOf(lines.strokes.filter((s) => on.has(s.page)).flatMap((s) => flatten(s.path, TOL.meets)));
  return {
    minX: Math.max(0, all.minX),
    minY: Math.max(0, all.minY),
    maxX: Math.min(page.width, all.maxX),
    maxY: Math.min(page.height, all.maxY),
  };
}

/** The pages found, and those on which lines are cut off at the edge as well: the last of a drawing shows only a corner. */
function withCut(lines: Lines, pages: readonly number[], full: Box): readonly number[] {
  const out = new Set(pages);
  for (const s of lines.strokes) {
    if (out.has(s.page) || s.closed) continue;
    const cut = [s.path.start, endOf(s.path)].some(
      (p) =>
        [p.x - full.minX, full.maxX - p.x].some((d) => Math.abs(d) < TOL.meets) ||
        [p.y - full.minY, full.maxY - p.y].some((d) => Math.abs(d) < TOL.meets),
    );
    if (cut) out.add(s.page);
  }
  return [...out].sort((a, b) => a - b);
}

/** Pages lie in one column when they are shifted by less, mm. */
const COLUMN = 5;
const columnsOf = (placing: Placing): number =>
  new Set(placing.flatMap((p) => (p ? [Math.round(p.x / COLUMN)] : []))).size;

/** From the first page of a drawing to its last, the empty ones between them with them: they stand in the rows too. */
const withEmpty = (pages: readonly number[]): readonly number[] => {
  const [first, last] = [pages[0] ?? 0, pages.at(-1) ?? 0];
  return Array.from({ length: last - first + 1 }, (_, i) => first + i);
};

/**
 * How the pages of a tiled file lie together: by lines that two pages both show whole, else by lines that run on from
 * page to page, by the pages' labels or in rows of every likely width, with every overlap that houses print; else by
 * the order of the pages. A proposal to be looked at and dragged.
 */
export function proposeTiles(lines: Lines): TileProposal {
  const perPage = lines.pages.map((_, i) => lines.strokes.filter((s) => s.page === i));
  const pages = drawingPages(lines, perPage);
  const first = pages[0] ?? 0;
  const page = lines.pages[first] ?? { width: 210, height: 297 };
  if (lines.pages.length === 1)
    return { placing: [{ x: 0, y: 0 }], window: null, full: null, by: 'single', overlap: 0, columns: 1 };
  const frames = pages.map((i) => frameOf(perPage[i] ?? [], nth(lines.pages, i)));
  const drawn = frames.find((f) => f !== null);
  const frame = drawn ?? { minX: 0, minY: 0, maxX: page.width, maxY: page.height };
  const full = drawn ?? shownOn(lines, pages);
  const shared = byShared(lines, pages, frame);
  const byLines = shared && {
    placing: shared,
    window: frame,
    full,
    by: 'shared' as const,
    overlap: 0,
    columns: columnsOf(shared),
  };
  if (byLines && pages.every((p) => shared[p] !== null)) return byLines;
  const grid = gridOf(lines, withEmpty(withCut(lines, pages, full)), full);
  if (grid) {
    const { placing, window } = placedBy(grid, full);
    return { placing, window, full, by: 'runsOn', overlap: grid.overlap, columns: grid.columns };
  }
  if (byLines) return byLines;
  const columns = Math.ceil(Math.sqrt(pages.length));
  return { ...inRows(lines, pages, columns, full), full, by: 'order', overlap: 0, columns };
}
