import { flatten, insidePolygon, lineMeet, sub, type Box, type Point } from '../geometry/index.ts';
import type { Piece } from '../pattern/index.ts';
import { ok, refuse, type Result } from '../units/index.ts';
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
}

export const rowLabel = (row: number): string =>
  row < 26 ? String.fromCharCode(65 + row) : rowLabel(Math.floor(row / 26) - 1) + rowLabel(row % 26);

export const isPaper = (text: string): text is PaperId => text in PAPERS;

export function paperFrom(text: string): Result<PaperId, 'paper-unknown'> {
  const id = text.toLowerCase();
  return isPaper(id) ? ok(id) : refuse('paper-unknown', { paper: text });
}

const GAP = 12;

/** Where a point of a piece comes to lie on the sheet. */
export const placedAt = ({ turned, dx, dy }: Omit<Placed, 'drawing'>, p: Point): Point =>
  turned ? { x: dx - p.y, y: dy + p.x } : { x: dx + p.x, y: dy + p.y };

/** A drawing as it will lie: upright, or turned a quarter. */
interface Lying {
  readonly drawing: PieceDrawing;
  readonly turned: boolean;
}
const boxOf = ({ drawing, turned }: Lying): Box => {
  const b = drawing.bounds;
  return turned ? { minX: -b.maxY, minY: b.minX, maxX: -b.minY, maxY: b.maxX } : b;
};

function arrange(drawings: readonly Lying[], down: boolean): readonly Placed[] {
  let at = 0;
  return drawings.map((lying) => {
    const { minX, minY, maxX, maxY } = boxOf(lying);
    const placed: Placed = { ...lying, dx: (down ? 0 : at) - minX + 2, dy: (down ? at : 0) - minY + 2 };
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
    const { minX, minY, maxX, maxY } = boxOf(lying);
    const width = maxX - minX;
    if (x > 0 && x + width > most) {
      x = 0;
      y += row + GAP;
      row = 0;
    }
    const placed: Placed = { ...lying, dx: x - minX + 2, dy: y - minY + 2 };
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
  return ring.some((a, i) => {
    const b = ring[(i + 1) % ring.length] as Point;
    if (Math.max(a.x, b.x) < x || Math.min(a.x, b.x) > x + w || Math.max(a.y, b.y) < y || Math.min(a.y, b.y) > y + h)
      return false;
    return corners.some((c, k) => {
      const d = corners[(k + 1) % 4] as Point;
      const meet = lineMeet(a, sub(b, a), c, sub(d, c));
      return meet !== null && meet.s >= 0 && meet.s <= 1 && meet.r >= 0 && meet.r <= 1;
    });
  });
}

function mapOf(placed: readonly Placed[], paper: PaperId): PageMap {
  const rings = placed.map((p) => flatten(paperEdge(p.drawing), 0.5).map((q) => placedAt(p, q)));
  const right = Math.max(...rings.flat().map((p) => p.x));
  const bottom = Math.max(...rings.flat().map((p) => p.y));
  const { width, height } = PAPERS[paper];
  const long = Number.isFinite(bottom) ? Math.ceil(bottom + 2 + 2 * MARGIN) : height;
  const size = { width, height: paper === 'roll' ? Math.min(ROLL_LONGEST, long) : height };
  const area = { width: size.width - 2 * MARGIN, height: size.height - 2 * MARGIN };
  const step = { width: area.width - OVERLAP, height: area.height - OVERLAP };
  const columns = Math.max(1, Math.ceil((right - OVERLAP) / step.width));
  const rows = Math.max(1, Math.ceil((bottom - OVERLAP) / step.height));
  const tiles: Tile[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++)
      if (rings.some((ring) => touches(ring, column * step.width, row * step.height, area.width, area.height)))
        tiles.push({ row, column, label: `${rowLabel(row)}${column + 1}`, page: tiles.length + 2 });
  return { paper, size, columns, rows, tiles, placed, area, step, pageCount: tiles.length + 1 };
}

export interface LayingOptions {
  /** Pieces may be turned a quarter to save paper: paper has no grain. */
  readonly turn?: boolean;
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
  const tall = (l: Lying): number => boxOf(l).maxY - boxOf(l).minY;
  return [...list].sort((a, b) => tall(b) - tall(a));
};
