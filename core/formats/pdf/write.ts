import { add, left, midpoint, scale, sub, unit, type Point } from '../../geometry/index.ts';
import { outlineOf, type Piece } from '../../pattern/index.ts';
import type { PieceDrawing } from '../drawing.ts';
import {
  MARGIN,
  PAPERS,
  placedAt,
  sheetPaper,
  type PageMap,
  type PaperId,
  type PaperSize,
  type Placed,
  type Tile,
} from '../pages.ts';
import type { PrintedRecord } from '../record.ts';
import { printRecord } from './record.ts';
import { printSheet, type PrintedSheet } from './sheet.ts';
import { Layers } from './layers.ts';
import { MmCanvas, POINT, type PdfConstructor, type PdfDoc } from './canvas.ts';

const INK = '#1E2A38';
const BLUE = '#2B4C9B';
const GREY = '#8A8577';

export interface PdfLabel {
  readonly wearer: string;
  readonly pattern: string;
  readonly size: string;
  readonly date: string;
  /** What was changed, by piece id; a piece without an entry says it is as drafted. */
  readonly changes: Readonly<Record<string, string>>;
  /** A word of one's own, by piece id. */
  readonly words?: Readonly<Record<string, string>> | undefined;
}

export interface PdfInput {
  readonly map: PageMap;
  readonly label: PdfLabel;
  /** Untouched pieces to draw thin behind the altered ones; empty for none. */
  readonly original: readonly Piece[];
  readonly notes: readonly string[];
  /** Hand sheets, printed after the tiles. */
  readonly sheets?: readonly PrintedSheet[];
  readonly fonts: { readonly text: Uint8Array; readonly bold: Uint8Array };
}

/** Side of the test squares, mm. */
export const TEST_SQUARE = 100;
export const TEST_SQUARE_INCH = 4 * 25.4;

type Fonts = PdfInput['fonts'];
interface Begun {
  readonly doc: PdfDoc;
  readonly canvas: MmCanvas;
  readonly page: (size?: PaperSize) => PdfDoc;
  readonly done: Promise<Uint8Array>;
}

/** An empty document in the shipped fonts; `done` comes true once it is ended. */
function begin(Constructor: PdfConstructor, title: string, date: string, paper: PaperSize, fonts: Fonts): Begun {
  const doc = new Constructor({
    autoFirstPage: false,
    font: null,
    pdfVersion: '1.7',
    compress: true,
    info: {
      Title: title,
      Producer: 'Ample Draft',
      Creator: 'Ample Draft',
      CreationDate: new Date(`${date}T12:00:00Z`),
    },
  }) as PdfDoc;
  const chunks: Uint8Array[] = [];
  const done = new Promise<Uint8Array>((resolve) => {
    doc.on('data', (chunk) => void chunks.push(chunk));
    doc.on('end', () => {
      const size = chunks.reduce((n, c) => n + c.length, 0);
      const out = new Uint8Array(size);
      let at = 0;
      for (const c of chunks) {
        out.set(c, at);
        at += c.length;
      }
      resolve(out);
    });
  });
  doc.registerFont('text', fonts.text);
  doc.registerFont('bold', fonts.bold);
  const page = (size = paper) => doc.addPage({ size: [size.width * POINT, size.height * POINT], margin: 0 });
  return { doc, canvas: new MmCanvas(doc), page, done };
}

/** Pages at true scale as the bytes of a PDF: a first page with map and test squares, then the tiles. */
export function writePdf(Constructor: PdfConstructor, input: PdfInput): Promise<Uint8Array> {
  const paper = PAPERS[sheetPaper(input.map.paper)];
  const { label } = input;
  const title = `${label.pattern} ${label.size} for ${label.wearer}`;
  const { doc, canvas, page, done } = begin(Constructor, title, label.date, paper, input.fonts);
  const layers = new Layers(doc);
  page();
  firstPage(canvas, input, paper);
  for (const tile of input.map.tiles) {
    page(input.map.size);
    tilePage(canvas, input, tile, layers);
  }
  for (const sheet of input.sheets ?? []) printSheet(canvas, sheet, paper, () => page());
  doc.end();
  return done;
}

/** The record of a job, on one page. */
export function writeRecordPdf(
  Constructor: PdfConstructor,
  input: { readonly record: PrintedRecord; readonly paper: PaperId; readonly date: string; readonly fonts: Fonts },
): Promise<Uint8Array> {
  const paper = PAPERS[sheetPaper(input.paper)];
  const { doc, canvas, page, done } = begin(Constructor, input.record.title, input.date, paper, input.fonts);
  page();
  printRecord(canvas, input.record, paper);
  doc.end();
  return done;
}

function firstPage(c: MmCanvas, { map, label, notes }: PdfInput, paper: PaperSize): void {
  const x = 15;
  c.text(`${label.pattern}, size ${label.size}`, x, 14, 7, { bold: true });
  c.text(`${label.wearer} · ${label.date} · Ample Draft`, x, 24, 4.2);
  c.rect(x, 34, TEST_SQUARE, TEST_SQUARE).stroke(INK, 0.3);
  c.text('This square measures 100 mm.', x + 4, 38, 4.2, { bold: true });
  c.text(
    'Print at 100 %, without fitting to the page. Measure it both ways before you cut or tape anything; if it is not 100 mm, change the printer’s scaling and print this page again.',
    x + 4,
    46,
    4.2,
    { width: 90 },
  );
  const side = TEST_SQUARE_INCH;
  const beside = { x: x + TEST_SQUARE + 6, width: paper.width - x - TEST_SQUARE - 18 };
  c.text('What was changed', beside.x, 38, 4.2, { bold: true });
  const told = [
    ...map.placed.map((p) => `${p.drawing.piece.name}: ${label.changes[p.drawing.piece.id] ?? 'as drafted'}.`),
    ...notes,
  ];
  told.forEach((line, i) => c.text(line, beside.x, 46 + i * 22, 4.2, { width: beside.width }));
  // The inch square shares the lower part of the page with the map.
  const top = 146;
  c.rect(x, top, side, side).stroke(INK, 0.3);
  c.text('This square measures 4 in.', x + 4, top + 4, 4.2, { bold: true });
  drawMap(c, map, { x: x + 6, y: top + 14 }, side - 12, side - 22);
  c.text(`${map.tiles.length} pages to join, ${map.rows} rows of ${map.columns}`, x + side + 6, top + 4, 4.2, {
    width: paper.width - x - side - 16,
    bold: true,
  });
  c.text(
    'Trim or fold each page along its thin frame at the right and the bottom, lay it over its neighbour so that the joining marks meet, and tape. Close the blade of a rotary cutter when you put it down.',
    x + side + 6,
    top + 18,
    3.9,
    { width: paper.width - x - side - 16 },
  );
}

function drawMap(c: MmCanvas, map: PageMap, at: Point, w: number, h: number): void {
  const k = Math.min(w / (map.columns * map.step.width + 10), h / (map.rows * map.step.height + 10));
  for (const tile of map.tiles) {
    const x = at.x + tile.column * map.step.width * k;
    const y = at.y + tile.row * map.step.height * k;
    c.rect(x, y, map.step.width * k, map.step.height * k).stroke(GREY, 0.2);
    c.text(tile.label, x + 1.5, y + 1.5, 3.6, { color: INK });
  }
  for (const p of map.placed) {
    const shrink = (q: Point): Point => {
      const on = placedAt(p, q);
      return { x: at.x + on.x * k, y: at.y + on.y * k };
    };
    const path = p.drawing.cutting;
    c.path(
      {
        start: shrink(path.start),
        segments: path.segments.map((g) =>
          g.kind === 'line'
            ? { kind: 'line', to: shrink(g.to) }
            : { kind: 'cubic', c1: shrink(g.c1), c2: shrink(g.c2), to: shrink(g.to) },
        ),
      },
      true,
    ).stroke(BLUE, 0.3);
  }
}

function tilePage(c: MmCanvas, input: PdfInput, tile: Tile, layers: Layers): void {
  const { map, label } = input;
  const ox = tile.column * map.step.width;
  const oy = tile.row * map.step.height;
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
    c.path({ start: points[0] as Point, segments: points.slice(1).map((to) => ({ kind: 'line', to })) }, true).stroke(
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

function drawPlaced(c: MmCanvas, { drawing }: Placed, { label, original }: PdfInput, layers: Layers): void {
  const before = original.find((p) => p.id === drawing.piece.id);
  if (before) layers.on('original', () => void c.path(outlineOf(before), true).stroke(GREY, 0.2, [1, 1.2]));
  layers.on('cutting', () => void c.path(drawing.cutting, true).stroke(INK, 0.5));
  layers.on('seam', () => void c.path(drawing.seam, true).stroke(BLUE, 0.35, [4, 1.5]));
  layers.on('marks', () => drawMarks(c, drawing));
  layers.on('words', () => drawWords(c, drawing, label));
}

function drawMarks(c: MmCanvas, drawing: PieceDrawing): void {
  for (const dart of drawing.darts) {
    c.path(dart.legs).stroke(BLUE, 0.35);
    c.path(dart.centre).stroke(BLUE, 0.2, [1.5, 1.5]);
    c.doc.circle(dart.tip.x * POINT, dart.tip.y * POINT, 0.8 * POINT).fill(BLUE);
  }
  for (const notch of drawing.notches) for (const [a, b] of notch.lines) c.line(a, b).stroke(INK, 0.4);
  for (const [a, b] of drawing.grain) {
    c.line(a, b).stroke(INK, 0.3);
    for (const [tip, other] of [
      [a, b],
      [b, a],
    ] as const) {
      const u = unit(sub(other, tip));
      c.line(tip, add(tip, add(scale(u, 4), scale(left(u), 2)))).stroke(INK, 0.3);
      c.line(tip, add(tip, add(scale(u, 4), scale(left(u), -2)))).stroke(INK, 0.3);
    }
  }
  if (drawing.bustPoint) {
    const p = drawing.bustPoint;
    c.line(add(p, { x: -4, y: 0 }), add(p, { x: 4, y: 0 })).stroke(INK, 0.3);
    c.line(add(p, { x: 0, y: -4 }), add(p, { x: 0, y: 4 })).stroke(INK, 0.3);
  }
}

function drawWords(c: MmCanvas, drawing: PieceDrawing, label: PdfLabel): void {
  pieceLabel(c, drawing.piece, drawing.bounds, label);
  if (drawing.foldLine) {
    const m = midpoint(...drawing.foldLine);
    c.doc.save();
    c.doc.rotate(-90, { origin: [(m.x + 6) * POINT, m.y * POINT] });
    c.text('place on the fold', m.x + 6, m.y - 4, 4, { color: INK });
    c.doc.restore();
  }
}

function pieceLabel(
  c: MmCanvas,
  piece: Piece,
  box: { minX: number; maxX: number; minY: number; maxY: number },
  label: PdfLabel,
): void {
  // Beside the grain line of a piece on the fold, where the tissue is widest; elsewhere nearer the middle.
  const x = piece.fold !== null ? box.minX + 32 : box.minX + (box.maxX - box.minX) * 0.34;
  const y = box.minY + (box.maxY - box.minY) * 0.3;
  const cut = piece.fold !== null ? `cut ${piece.cut} on the fold` : `cut ${piece.cut}`;
  c.text(piece.name, x, y, 6, { bold: true, width: 90 });
  c.text(`${label.pattern}, size ${label.size} · ${cut}`, x, y + 9, 3.8, { width: 90 });
  c.text(`${label.wearer} · ${label.date}`, x, y + 15, 3.8, { width: 90 });
  const changed = label.changes[piece.id] ?? 'as drafted';
  c.text(changed, x, y + 21, 3.8, { width: 80 });
  let at = y + 21 + c.height(changed, 3.8, 80) + 1.5;
  // The pattern's own note on the piece, then what the sewist wrote for herself.
  for (const word of [piece.notes, label.words?.[piece.id] ?? '']) {
    if (word === '') continue;
    c.text(word, x, at, 3.8, { width: 80, bold: word !== piece.notes });
    at += c.height(word, 3.8, 80) + 1.5;
  }
}
