import { flatten, insidePolygon, lineMeet, sub, type Box, type Point } from '../geometry/index.ts';
import type { Piece } from '../pattern/index.ts';
import { ok, refuse, type Result, pairs } from '../units/index.ts';
import { drawPiece, paperEdge, type PieceDrawing } from './drawing.ts';

export const PAPERS = {
  a4: { name: 'A4', width: 210, height: 297 },
  letter: { name: 'Letter', width: 215.9, height: 279.4 },
  a3: { name: 'A3', width: 297, height: 420 },
  tabloid: { name: 'Tabloid', width: 279.4, height: 431.8 },
  a0: { name: 'A0', width: 841, height: 1189 },
  /** As long as the pieces need. */
  roll: { name: 'Roll, 91 cm', width: 914.4, height: 5000 },
} as const;
export type PaperId = keyof typeof PAPERS;

/**
 * The longest page of a roll, mm. The format counts to 5.08 m; longer ones need a unit of their own, which common
 * viewers pass over (an 8 m page came out at half its size), so that a longer roll is several pages.
 */
export const ROLL_LONGEST = PAPERS.roll.height;
export interface PaperSize {
  readonly width: number;
  readonly height: number;
}
/** Pages of words are printed on a sheet one can hold. */
export const sheetPaper = (paper: PaperId): PaperId => (paper === 'a0' || paper === 'roll' ? 'a4' : paper);

/** What most home printers cannot reach, and how much neighbouring pages share, mm. */
export const MARGIN = 10;
export const OVERLAP = 10;

export interface Placed {
  readonly drawing: PieceDrawing;
  /** Turned a quarter clockwise as seen, before the shift. */
  readonly turned: boolean;
  /** Shift from piece space to sheet space. */
  readonly dx: number;
  readonly dy: number;
}
export interface Tile {
  readonly row: number;
  readonly column: number;
  /** "B2": row letter, column number. */
  readonly label: string;
  /** Page number in the file; the first page carries the map. */
  readonly page: number;
  /** Where the upper left corner of its drawing lies on the sheet, mm. */
  readonly at: Point;
}
export interface PageMap {
  readonly paper: PaperId;
  /** The pages of the drawing, mm: the paper's, but for a roll, which is as long as need be. */
  readonly size: PaperSize;
  readonly columns: number;
  readonly rows: number;
  readonly tiles: readonly Tile[];
  readonly placed: readonly Placed[];
  /** The part of a page that can carry drawing, and how far one page lies from the next, mm. */
  readonly area: { readonly width: number; readonly height: number };
  readonly step: { readonly width: number; readonly height: number };
  /** Pages in the file: the first with map and test square, then the tiles. */
  readonly pageCount: number;
  /** Every piece has pages of its own, in a block apart from the others. */
  readonly apart: boolean;
  /** The whole sheet as the map shows it, mm. */
  readonly extent: { readonly width: number; readonly height: number };
}

export const rowLabel = (row: number): string =>
  row < 26 ? String.fromCharCode(65 + row) : rowLabel(Math.floor(row / 26) - 1) + rowLabel(row % 26);

export const isPaper = (text: string): text is PaperId => Object.hasOwn(PAPERS, text);

export function paperFrom(text: string): Result<PaperId, 'paper-unknown'> {
  const id = text.toLowerCase();
  return isPaper(id) ? ok(id) : refuse('paper-unknown', { paper: text });
}

const GAP = 12;
/** How far a piece lies from the edge of its first page's drawing, mm. */
const INSET = 2;

/** Where a point of a piece comes to lie on the sheet. */
export const placedAt = ({ turned, dx, dy }: Omit<Placed, 'drawing'>, p: Point): Point =>
  turned ? { x: dx - p.y, y: dy + p.x } : { x: dx + p.x, y: dy + p.y };

/** A drawing as it will lie: upright, or turned a quarter. */
interface Lying {
  readonly drawing: PieceDrawing;
  readonly turned: boolean;
}
/** The box of a drawing as it lies, before it is shifted. */
export const lyingBox = ({ drawing, turned }: Lying): Box => {
  const b = drawing.bounds;
  return turned ? { minX: -b.maxY, minY: b.minX, maxX: -b.minY, maxY: b.maxX } : b;
};

function arrange(drawings: readonly Lying[], down: boolean): readonly Placed[] {
  let at = 0;
  return drawings.map((lying) => {
    const { minX, minY, maxX, maxY } = lyingBox(lying);
    const placed: Placed = { ...lying, dx: (down ? 0 : at) - minX + INSET, dy: (down ? at : 0) - minY + INSET };
    at += (down ? maxY - minY : maxX - minX) + GAP;
    return placed;
  });
}

/** In rows no wider than `most`, in their order: as one lays pieces out on a floor. */
function inRows(drawings: readonly Lying[], most: number): readonly Placed[] {
  let x = 0;
  let y = 0;
  let row = 0;
  return drawings.map((lying) => {
    const { minX, minY, maxX, maxY } = lyingBox(lying);
    const width = maxX - minX;
    if (x > 0 && x + width > most) {
      x = 0;
      y += row + GAP;
      row = 0;
    }
    const placed: Placed = { ...lying, dx: x - minX + INSET, dy: y - minY + INSET };
    x += width + GAP;
    row = Math.max(row, maxY - minY);
    return placed;
  });
}
/** Pages one gives for a sheet that is not so much longer than wide. */
const LONG = 0.6;
/** Sheets as wide as so many pages are tried. */
const WIDTHS = [2, 3, 4, 5, 6, 7, 8] as const;

/** True when a rectangle holds any of a closed polygon: an edge in it, or the rectangle inside the polygon. */
function touches(ring: readonly Point[], x: number, y: number, w: number, h: number): boolean {
  const inside = (p: Point) => p.x >= x && p.x <= x + w && p.y >= y && p.y <= y + h;
  if (ring.some(inside) || insidePolygon({ x: x + w / 2, y: y + h / 2 }, ring)) return true;
  const corners: readonly Point[] = [
    { x, y },
    { x: x + w, y },
    { x: x + w, y: y + h },
    { x, y: y + h },
  ];
  return pairs(ring, true).some(([a, b]) => {
    if (Math.max(a.x, b.x) < x || Math.min(a.x, b.x) > x + w || Math.max(a.y, b.y) < y || Math.min(a.y, b.y) > y + h)
      return false;
    return pairs(corners, true).some(([c, d]) => {
      const meet = lineMeet(a, sub(b, a), c, sub(d, c));
      return meet !== null && meet.s >= 0 && meet.s <= 1 && meet.r >= 0 && meet.r <= 1;
    });
  });
}

/** The pages a piece has for itself, by row and column; the last of each not among them. */
interface Block {
  readonly row: number;
  readonly column: number;
  readonly toRow: number;
  readonly toColumn: number;
  /** Where its first page's drawing lies on the sheet. */
  readonly at: Point;
}

function mapOf(placed: readonly Placed[], paper: PaperId, blocks: readonly Block[] | null = null): PageMap {
  const rings = placed.map((p) => flatten(paperEdge(p.drawing), 0.5).map((q) => placedAt(p, q)));
  const right = Math.max(...rings.flat().map((p) => p.x));
  const bottom = Math.max(...rings.flat().map((p) => p.y));
  const { height } = PAPERS[paper];
  const long = Number.isFinite(bottom) ? Math.ceil(bottom + 2 + 2 * MARGIN) : height;
  const { size, area, step } = gridOf(paper, paper === 'roll' ? Math.min(ROLL_LONGEST, long) : height);
  const every: Block = {
    row: 0,
    column: 0,
    toRow: pagesFor(bottom, step.height),
    toColumn: pagesFor(right, step.width),
    at: { x: 0, y: 0 },
  };
  const tiles: Tile[] = [];
  // A piece's own pages follow one another in the file.
  (blocks ?? [every]).forEach((block, i) => {
    const on = blocks ? rings.slice(i, i + 1) : rings;
    for (let row = block.row; row < block.toRow; row++)
      for (let column = block.column; column < block.toColumn; column++) {
        const x = block.at.x + (column - block.column) * step.width;
        const y = block.at.y + (row - block.row) * step.height;
        if (on.some((ring) => touches(ring, x, y, area.width, area.height)))
          tiles.push({ row, column, label: `${rowLabel(row)}${column + 1}`, page: tiles.length + 2, at: { x, y } });
      }
  });
  const rows = Math.max(...(blocks ?? [every]).map((o) => o.toRow));
  const columns = Math.max(...(blocks ?? [every]).map((o) => o.toColumn));
  const extent = {
    width: Math.max(area.width, ...tiles.map((t) => t.at.x + area.width)),
    height: Math.max(area.height, ...tiles.map((t) => t.at.y + area.height)),
  };
  const apart = blocks !== null;
  return { paper, size, columns, rows, tiles, placed, area, step, pageCount: tiles.length + 1, apart, extent };
}

/** A page, what of it carries drawing, and how far one lies from the next. */
function gridOf(paper: PaperId, height: number): Pick<PageMap, 'size' | 'area' | 'step'> {
  const size = { width: PAPERS[paper].width, height };
  const area = { width: size.width - 2 * MARGIN, height: size.height - 2 * MARGIN };
  return { size, area, step: { width: area.width - OVERLAP, height: area.height - OVERLAP } };
}
/** Pages that a length takes, one way. */
const pagesFor = (length: number, step: number): number => Math.max(1, Math.ceil((length - OVERLAP) / step));

/** Between the pages of one piece and those of the next on the map, mm. */
const BETWEEN = 60;

/**
 * Every piece on pages of its own. A row letter and a column number are left out between the blocks, so that no page of
 * one joins a page of another. The blocks lie in rows of at most `most` columns.
 */
function inBlocks(list: readonly Lying[], paper: PaperId, most: number): PageMap {
  const { step } = gridOf(paper, PAPERS[paper].height);
  let [row, column, deepest] = [0, 0, 0];
  let [x, y] = [0, 0];
  const blocks: Block[] = [];
  const placed = list.map((lying): Placed => {
    const { minX, minY, maxX, maxY } = lyingBox(lying);
    const [w, h] = [pagesFor(maxX - minX + INSET, step.width), pagesFor(maxY - minY + INSET, step.height)];
    if (column > 0 && column + w > most) {
      y += deepest * step.height + BETWEEN;
      [x, row, column, deepest] = [0, row + deepest + 1, 0, 0];
    }
    blocks.push({ row, column, toRow: row + h, toColumn: column + w, at: { x, y } });
    const shift = { dx: x - minX + INSET, dy: y - minY + INSET };
    x += w * step.width + BETWEEN;
    column += w + 1;
    deepest = Math.max(deepest, h);
    return { ...lying, ...shift };
  });
  return mapOf(placed, paper, blocks);
}
/** Blocks in rows of as many columns as make the map most nearly square. */
function layApart(drawings: readonly PieceDrawing[], paper: PaperId, turn: boolean): PageMap {
  const pagesOf = (drawing: PieceDrawing, turned: boolean): number =>
    inBlocks([{ drawing, turned }], paper, 1).tiles.length;
  const list = drawings.map((drawing): Lying => ({
    drawing,
    turned: turn && pagesOf(drawing, true) < pagesOf(drawing, false),
  }));
  const shape = ({ extent: { width, height } }: PageMap): number => Math.max(width / height, height / width);
  const maps = Array.from({ length: 24 }, (_, i) => inBlocks(list, paper, i + 1));
  return maps.reduce((best, m) => (shape(m) < shape(best) ? m : best));
}

export interface LayingOptions {
  /** Pieces may be turned a quarter to save paper: paper has no grain. */
  readonly turn?: boolean;
  /** Every piece on pages of its own, to be joined by itself; a roll is one page anyway. */
  readonly apart?: boolean;
}

/** Lays whole pieces; see `layPages`. */
export const pageMap = (pieces: readonly Piece[], paper: PaperId, options: LayingOptions = {}): PageMap =>
  layPages(pieces.map(drawPiece), paper, options);

/**
 * Lays pieces, or patches, on a sheet of pages: beside, below one another or in rows, whichever takes fewer pages, with
 * a leaning to what is nearer to a square, which is easier to join; on a roll, whichever is shortest. Empty pages are
 * left out.
 */
export function layPages(drawings: readonly PieceDrawing[], paper: PaperId, options: LayingOptions = {}): PageMap {
  if (drawings.length === 0) return { ...mapOf([], paper), columns: 0, rows: 0, tiles: [], pageCount: 1 };
  if (options.apart && paper !== 'roll') return layApart(drawings, paper, options.turn === true);
  const upright = drawings.map((drawing): Lying => ({ drawing, turned: false }));
  const flat = drawings.map((drawing): Lying => {
    const { minX, minY, maxX, maxY } = drawing.bounds;
    return { drawing, turned: maxY - minY > maxX - minX };
  });
  const across = PAPERS[paper].width - 2 * MARGIN;
  const layings = (list: readonly Lying[]): readonly (readonly Placed[])[] => {
    // A roll, or a page as large as one, is filled row by row, long pieces first or in their order.
    if (across > ROLL_WIDE) return [list, byLength(list)].map((l) => inRows(l, across - 2));
    // In their order, and the tall ones first, so that pieces of a height share a row.
    const orders = list.length > 2 ? [list, byLength(list)] : [];
    const rows = orders.flatMap((order) => WIDTHS.map((n) => inRows(order, n * (across - OVERLAP))));
    return [arrange(list, false), arrange(list, true), ...rows];
  };
  const layouts = [upright, ...(options.turn ? [flat] : [])].flatMap(layings).map((p) => mapOf(p, paper));
  const shape = (m: PageMap): number => Math.max(m.columns / m.rows, m.rows / m.columns);
  // A page more is worth it where a strip four pages long becomes a square; a roll is paid by its length.
  const cost = (m: PageMap): number =>
    paper === 'roll' ? m.rows * ROLL_LONGEST + m.size.height : m.pageCount + LONG * shape(m);
  return layouts.reduce((best, m) => (cost(m) < cost(best) ? m : best));
}

/** Paper wider than this takes several pieces beside one another, mm. */
const ROLL_WIDE = 700;
const byLength = (list: readonly Lying[]): readonly Lying[] => {
  const tall = (l: Lying): number => lyingBox(l).maxY - lyingBox(l).minY;
  return [...list].sort((a, b) => tall(b) - tall(a));
};
