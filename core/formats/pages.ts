import { flatten, insidePolygon, lineMeet, sub, type Point } from '../geometry/index.ts';
import type { Piece } from '../pattern/index.ts';
import { ok, refuse, type Result } from '../units/index.ts';
import { drawPiece, type PieceDrawing } from './drawing.ts';

export const PAPERS = {
  a4: { name: 'A4', width: 210, height: 297 },
  letter: { name: 'Letter', width: 215.9, height: 279.4 },
} as const;
export type PaperId = keyof typeof PAPERS;

/** What most home printers cannot reach, and how much neighbouring pages share, mm. */
export const MARGIN = 10;
export const OVERLAP = 10;

export interface Placed {
  readonly drawing: PieceDrawing;
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

function arrange(drawings: readonly PieceDrawing[], down: boolean): readonly Placed[] {
  let at = 0;
  return drawings.map((drawing) => {
    const { minX, minY, maxX, maxY } = drawing.bounds;
    const placed: Placed = { drawing, dx: (down ? 0 : at) - minX + 2, dy: (down ? at : 0) - minY + 2 };
    at += (down ? maxY - minY : maxX - minX) + GAP;
    return placed;
  });
}

/** In rows no wider than `most`, in their order: as one lays pieces out on a floor. */
function inRows(drawings: readonly PieceDrawing[], most: number): readonly Placed[] {
  let x = 0;
  let y = 0;
  let row = 0;
  return drawings.map((drawing) => {
    const { minX, minY, maxX, maxY } = drawing.bounds;
    const width = maxX - minX;
    if (x > 0 && x + width > most) {
      x = 0;
      y += row + GAP;
      row = 0;
    }
    const placed: Placed = { drawing, dx: x - minX + 2, dy: y - minY + 2 };
    x += width + GAP;
    row = Math.max(row, maxY - minY);
    return placed;
  });
}
/** Pages one gives for a sheet that is not so much longer than wide. */
const LONG = 0.6;
/** Sheets as wide as so many pages are tried. */
const WIDTHS = [3, 4, 5, 6, 7] as const;

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
  const size = PAPERS[paper];
  const area = { width: size.width - 2 * MARGIN, height: size.height - 2 * MARGIN };
  const step = { width: area.width - OVERLAP, height: area.height - OVERLAP };
  const rings = placed.map((p) => flatten(p.drawing.cutting, 0.5).map((q) => ({ x: q.x + p.dx, y: q.y + p.dy })));
  const right = Math.max(...rings.flat().map((p) => p.x));
  const bottom = Math.max(...rings.flat().map((p) => p.y));
  const columns = Math.max(1, Math.ceil((right - OVERLAP) / step.width));
  const rows = Math.max(1, Math.ceil((bottom - OVERLAP) / step.height));
  const tiles: Tile[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++)
      if (rings.some((ring) => touches(ring, column * step.width, row * step.height, area.width, area.height)))
        tiles.push({ row, column, label: `${rowLabel(row)}${column + 1}`, page: tiles.length + 2 });
  return { paper, columns, rows, tiles, placed, area, step, pageCount: tiles.length + 1 };
}

/**
 * Lays pieces on a sheet of pages: beside, below one another or in rows, whichever takes fewer pages, with a leaning
 * to what is nearer to a square, which is easier to join. Empty pages are left out.
 */
export function pageMap(pieces: readonly Piece[], paper: PaperId): PageMap {
  const drawings = pieces.map(drawPiece);
  if (drawings.length === 0) return { ...mapOf([], paper), columns: 0, rows: 0, tiles: [], pageCount: 1 };
  const step = PAPERS[paper].width - 2 * MARGIN - OVERLAP;
  const rows = drawings.length > 2 ? WIDTHS.map((n) => inRows(drawings, n * step)) : [];
  const options = [arrange(drawings, false), arrange(drawings, true), ...rows].map((p) => mapOf(p, paper));
  const shape = (m: PageMap): number => Math.max(m.columns / m.rows, m.rows / m.columns);
  // A page more is worth it where a strip four pages long becomes a square.
  const cost = (m: PageMap): number => m.pageCount + LONG * shape(m);
  return options.reduce((best, m) => (cost(m) < cost(best) ? m : best));
}
