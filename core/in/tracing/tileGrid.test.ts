import { describe, expect, it } from 'vitest';
import { clipPath, polyline, type Box, type Path } from '../../geometry/index.ts';
import type { Lettering, Lines, Stroke } from './lines.ts';
import { gridOf, labelled, placedBy } from './tileGrid.ts';
import { proposeTiles } from './tiles.ts';

const PAGE = { width: 210, height: 297 };
/** What each page shows: its frame, 10 mm inside the paper. */
const FRAME: Box = { minX: 10, minY: 10, maxX: 200, maxY: 287 };
const W = FRAME.maxX - FRAME.minX;
const H = FRAME.maxY - FRAME.minY;

/** Lines that cross a sheet at odd places, so that no two pages are alike. */
const drawing = (wide: number, high: number): readonly Path[] => [
  ...[37, 121, 214, 333, 470, 521].map((y, i) =>
    polyline([
      { x: 5, y },
      { x: wide - 5, y: y + 17 * (i + 1) },
    ]),
  ),
  ...[63, 168, 255, 402, 511].map((x, i) =>
    polyline([
      { x, y: 5 },
      { x: x + 23 * (i + 1), y: high - 5 },
    ]),
  ),
];

const stroke = (path: Path, page: number): Stroke => ({
  path,
  closed: false,
  layer: '',
  style: 'line',
  page,
  kind: null,
  block: '',
});
const shifted = (path: Path, dx: number, dy: number): Path =>
  polyline([path.start, ...path.segments.map((s) => s.to)].map((p) => ({ x: p.x + dx, y: p.y + dy })));

/** A sheet cut into rows and columns whose pages show a strip of each other; `order` is that of the file. */
function cut(rows: number, columns: number, overlap: number, order = (cells: readonly number[][]) => cells): Lines {
  const step = { x: W - overlap, y: H - overlap };
  const lines = drawing(columns * step.x + overlap, rows * step.y + overlap);
  const cells = Array.from({ length: rows * columns }, (_, i) => [Math.floor(i / columns), i % columns]);
  const strokes = order(cells).flatMap(([row = 0, column = 0], page) => {
    const [x, y] = [column * step.x, row * step.y];
    const window = { minX: x, minY: y, maxX: x + W, maxY: y + H };
    return lines.flatMap((l) => clipPath(l, window).map((p) => stroke(shifted(p, 10 - x, 10 - y), page)));
  });
  return sheet(strokes, rows * columns);
}
const sheet = (strokes: readonly Stroke[], pages: number, letters: readonly Lettering[] = []): Lines => ({
  source: 'pdf',
  strokes,
  letters,
  layers: [],
  styles: [],
  pages: Array.from({ length: pages }, () => PAGE),
  unit: { name: 'mm', stated: true },
  repairs: [],
  pieces: [],
});
const all = (n: number): readonly number[] => Array.from({ length: n }, (_, i) => i);

describe('pages that were cut apart', () => {
  it.each([
    [2, 3, 0],
    [3, 2, 10],
    [2, 2, 12.7],
    [3, 4, 25.4],
  ])('%i rows of %i, %d mm over each other, are found by the lines that run on', (rows, columns, overlap) => {
    const grid = gridOf(cut(rows, columns, overlap), all(rows * columns), FRAME);
    expect(grid).toMatchObject({ overlap, columns });
    expect(grid?.cells.at(-1)).toEqual({ row: rows - 1, column: columns - 1 });
    const { placing, window } = placedBy(grid!, FRAME);
    // Laid so, each page begins where the strip it shares with the one before ends.
    expect(placing[columns]).toEqual({ x: 0, y: H - overlap });
    expect(window.maxX - window.minX).toBe(W - overlap);
  });

  it('may stand in columns: down first, then across', () => {
    const down = (cells: readonly number[][]) => [...cells].sort((a, b) => a[1]! - b[1]! || a[0]! - b[0]!);
    const grid = gridOf(cut(3, 2, 10, down), all(6), FRAME);
    expect(grid?.cells[1]).toEqual({ row: 1, column: 0 });
    expect(grid?.cells[3]).toEqual({ row: 0, column: 1 });
  });

  it('count an empty page among them, which stands in its row like any other', () => {
    const lines = cut(2, 3, 10);
    const without = { ...lines, strokes: lines.strokes.filter((s) => s.page !== 1) };
    expect(gridOf(without, all(6), FRAME)).toMatchObject({ overlap: 10, columns: 3 });
    expect(proposeTiles(without).placing[5]).toEqual({ x: 2 * (W - 10), y: H - 10 });
  });

  it('are no grid where no line runs on', () => {
    const apart = all(4).map((page) =>
      stroke(
        polyline([
          { x: 40, y: 60 + 31 * page },
          { x: 150, y: 90 + 17 * page },
        ]),
        page,
      ),
    );
    expect(gridOf(sheet(apart, 4), all(4), FRAME)).toBeNull();
    expect(proposeTiles(sheet(apart, 4)).by).toBe('order');
  });

  it('may be four hundred', () => {
    const many = cut(20, 20, 10);
    expect(gridOf(many, all(400), FRAME)).toMatchObject({ overlap: 10, columns: 20 });
  });
});

describe('a page’s label', () => {
  const label = (text: string) => labelled([{ text, at: { x: 0, y: 0 }, page: 0, layer: '', block: '' }]);
  it.each([
    ['A1', 0, 0],
    ['3B', 1, 2],
    ['c-4', 2, 3],
    ['Page 2C', 2, 1],
    ['row 2, column 4', 1, 3],
    ['Reihe 3, Spalte 1', 2, 0],
  ])('“%s”', (text, row, column) => {
    expect(label(text)).toEqual({ row, column });
  });
  it.each(['Front', 'Size 38', '10 cm', 'AB1', '2026'])('is none: “%s”', (text) => {
    expect(label(text)).toBeNull();
  });
});
