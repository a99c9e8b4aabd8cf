import { add } from '../../geometry/index.ts';
import { MARGIN, type PageMap, type Tile } from '../pages.ts';
import { GREY, INK, POINT, type MmCanvas } from './canvas.ts';
import { drawPlaced } from './drawPlaced.ts';
import type { Layers } from './layers.ts';
import type { PdfInput } from './input.ts';
import { nth } from '../../units/index.ts';

/** One page of the drawing: its part of every piece, frame, joining marks and names. */
export function tilePage(c: MmCanvas, input: PdfInput, tile: Tile, layers: Layers): void {
  const { map, label } = input;
  const { x: ox, y: oy } = tile.at;
  c.doc.save();
  c.rect(MARGIN, MARGIN, map.area.width, map.area.height);
  c.doc.clip();
  for (const placed of map.placed) {
    c.doc.save();
    c.doc.translate((MARGIN - ox + placed.dx) * POINT, (MARGIN - oy + placed.dy) * POINT);
    if (placed.turned) c.doc.rotate(90, { origin: [0, 0] });
    drawPlaced(c, placed, input, layers);
    c.doc.restore();
  }
  c.doc.restore();
  c.rect(MARGIN, MARGIN, map.area.width, map.area.height).stroke(GREY, 0.15);
  joinMarks(c, map, tile);
  c.text(tile.label, MARGIN + 3, MARGIN + 2.5, 6, { bold: true, color: GREY });
  c.text(
    `${label.pattern} ${label.size} · ${label.wearer} · page ${tile.page} of ${map.pageCount}`,
    MARGIN + 2,
    map.size.height - MARGIN + 2.5,
    3.2,
    { color: INK },
  );
}

/** Half lozenges on the middle of each shared overlap; they become whole when two pages lie right. */
function joinMarks(c: MmCanvas, map: PageMap, tile: Tile): void {
  const has = (row: number, column: number): string | null =>
    map.tiles.find((t) => t.row === row && t.column === column)?.label ?? null;
  const { width, height } = map.area;
  const half = (map.area.width - map.step.width) / 2;
  const mark = (x: number, y: number, horizontal: boolean, name: string) => {
    const p = { x: MARGIN + x, y: MARGIN + y };
    const d = 3.5;
    const points = [add(p, { x: -d, y: 0 }), add(p, { x: 0, y: -d }), add(p, { x: d, y: 0 }), add(p, { x: 0, y: d })];
    c.path({ start: nth(points, 0), segments: points.slice(1).map((to) => ({ kind: 'line', to })) }, true).stroke(
      INK,
      0.25,
    );
    c.line(
      add(p, horizontal ? { x: 0, y: -d } : { x: -d, y: 0 }),
      add(p, horizontal ? { x: 0, y: d } : { x: d, y: 0 }),
    ).stroke(INK, 0.15);
    c.text(name, p.x + 4.4, p.y - 1.6, 3.2, { color: GREY });
  };
  const rightName = has(tile.row, tile.column + 1);
  const leftName = has(tile.row, tile.column - 1);
  const below = has(tile.row + 1, tile.column);
  const above = has(tile.row - 1, tile.column);
  for (const k of [0.25, 0.75]) {
    if (rightName) mark(width - half, height * k, true, '');
    if (leftName) mark(half, height * k, true, '');
    if (below) mark(width * k, height - half, false, '');
    if (above) mark(width * k, half, false, '');
  }
  if (rightName) c.text(`joins ${rightName}`, MARGIN + width - 24, MARGIN + height / 2, 3.2, { color: GREY });
  if (below) c.text(`joins ${below}`, MARGIN + width / 2 - 6, MARGIN + height - 6, 3.2, { color: GREY });
}
