import { mapPath, type Point } from '../../geometry/index.ts';
import { paperEdge } from '../drawing.ts';
import { nameOnMap } from '../mapNames.ts';
import { placedAt, type PageMap, type PaperSize } from '../pages.ts';
import { BLUE, GREY, INK, POINT, type MmCanvas } from './canvas.ts';
import type { PdfInput } from './input.ts';
import { en } from '../../speech/index.ts';

/** Side of the test squares, mm. */
export const TEST_SQUARE = 100;
export const TEST_SQUARE_INCH = 4 * 25.4;

const LEFT = 15;
const TOP = 34;

/** Map, test squares, and what was changed. */
export function firstPage(c: MmCanvas, input: PdfInput, paper: PaperSize): void {
  const { map, label } = input;
  c.text(`${label.pattern}, size ${label.size}`, LEFT, 14, 7, { bold: true });
  c.text(`${label.wearer} · ${label.date} · Ample Draft`, LEFT, 24, 4.2);
  c.rect(LEFT, TOP, TEST_SQUARE, TEST_SQUARE).stroke(INK, 0.3);
  c.text('This square measures 100 mm.', LEFT + 4, TOP + 4, 4.2, { bold: true });
  c.text(
    'Print at 100 %, without fitting to the page. Measure it both ways before you cut or tape anything; if it is not 100 mm, change the printer’s scaling and print this page again.',
    LEFT + 4,
    TOP + 12,
    4.2,
    { width: 90 },
  );
  changes(c, input, LEFT + TEST_SQUARE + 6, paper);
  // The inch square shares the lower part of the page with the map.
  const side = TEST_SQUARE_INCH;
  const top = 146;
  c.rect(LEFT, top, side, side).stroke(INK, 0.3);
  c.text('This square measures 4 in.', LEFT + 4, top + 4, 4.2, { bold: true });
  drawMap(c, map, { x: LEFT + 6, y: top + 14 }, side - 12, side - 22);
  const beside = { x: LEFT + side + 6, width: paper.width - LEFT - side - 16 };
  c.text(pagesToJoin(map), beside.x, top + 4, 4.2, {
    width: beside.width,
    bold: true,
  });
  c.text(
    en`Trim or fold each page along its thin frame at the right and the bottom, lay it over its neighbour so that the joining marks meet, and tape. Close the blade of a rotary cutter when you put it down.`,
    beside.x,
    top + 18,
    3.9,
    { width: beside.width },
  );
}

const pagesToJoin = (map: PageMap): string =>
  map.apart
    ? `${map.tiles.length} pages; each piece is joined by itself`
    : `${map.tiles.length} pages to join, ${map.rows} rows of ${map.columns}`;

/** What was changed on each piece; the untouched ones in one sentence. Set smaller where there is much to tell. */
function changes(c: MmCanvas, { map, label, notes }: PdfInput, x: number, paper: PaperSize): void {
  const pieces = [...new Map(map.placed.map((p) => [p.drawing.piece.id, p.drawing.piece])).values()];
  const changed = pieces.filter((p) => label.changes[p.id] !== undefined);
  const rest = pieces.filter((p) => label.changes[p.id] === undefined).map((p) => p.name);
  const lines = [
    ...changed.map((p) => `${p.name}: ${label.changes[p.id] ?? ''}.`),
    ...(rest.length > 0 ? [`As drafted: ${rest.join(', ')}.`] : []),
    ...notes,
  ];
  const width = paper.width - x - 12;
  c.text('What was changed', x, TOP + 4, 4.2, { bold: true });
  const room = TEST_SQUARE + 4;
  const high = (size: number): number => lines.reduce((sum, line) => sum + c.height(line, size, width) + 2, 0);
  const size = [4.2, 3.6, 3.1].find((s) => high(s) <= room) ?? 2.8;
  let y = TOP + 12;
  for (const line of lines) {
    c.text(line, x, y, size, { width });
    y += c.height(line, size, width) + 2;
  }
}

/** Lettering of the map, mm. */
const NAME = { least: 2.5, most: 3.6 } as const;

function drawMap(c: MmCanvas, map: PageMap, at: Point, w: number, h: number): void {
  const k = Math.min(w / map.extent.width, h / map.extent.height);
  const [wide, high] = [map.step.width * k, map.step.height * k];
  const shrink = (q: Point): Point => ({ x: at.x + q.x * k, y: at.y + q.y * k });
  for (const p of map.placed)
    c.path(
      mapPath(paperEdge(p.drawing), (q) => shrink(placedAt(p, q))),
      true,
    ).stroke(BLUE, 0.3);
  for (const tile of map.tiles) {
    const { x, y } = shrink(tile.at);
    c.rect(x, y, wide, high).stroke(GREY, 0.2);
    c.text(tile.label, x + 0.8, y + 0.6, Math.min(3.6, wide / 3.4), { color: GREY });
  }
  for (const p of map.placed) {
    const name = nameOnMap(p, NAME.least / k, NAME.most / k);
    const size = name.size * k;
    const middle = shrink(name.at);
    c.doc.save();
    c.doc.translate(middle.x * POINT, middle.y * POINT);
    if (name.upright) c.doc.rotate(-90, { origin: [0, 0] });
    name.lines.forEach((line, i) => {
      c.text(line, -60, (i - name.lines.length / 2) * size * 1.1, size, { width: 120, align: 'center', bold: true });
    });
    c.doc.restore();
  }
}
