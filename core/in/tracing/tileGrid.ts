import { clipPath, endOf, flatten, type Box, type Point } from '../../geometry/index.ts';
import type { Lettering, Lines, Stroke } from './lines.ts';
import { isFrame } from './together.ts';
import { nth } from '../../units/index.ts';

/** Where a page stands among the others, from 0. */
export interface Cell {
  readonly row: number;
  readonly column: number;
}
/** How the pages of a file stand in rows and columns, and how far neighbours run over each other, mm. */
export interface TileGrid {
  readonly cells: readonly (Cell | null)[];
  readonly overlap: number;
  readonly columns: number;
  /** Lines that run on from page to page, less those that do not. */
  readonly score: number;
}

/** Overlaps that houses print, mm: the app tries these, and takes any other from a field. */
const OVERLAPS = [0, 3, 5, 6, 6.35, 7, 8, 9, 9.525, 10, 12, 12.7, 13, 14, 15, 16, 18, 19.05, 20, 25, 25.4, 30] as const;
/** A line ends at the edge of its page when it does so within this, mm. */
const AT_EDGE = 0.25;
/** Two pages show one line where they agree within this on where it crosses, mm: half of the least step between overlaps. */
const SAME_LINE = 0.15;

/** What a page's label says of where it stands: “B3”, “3B”, “2-4”, “row 2, column 4”, in several languages. */
export function labelled(letters: readonly Lettering[]): Cell | null {
  for (const l of letters) {
    const t = l.text.trim().replace(/^(page|seite|blatt|feuille|p[aá]gina|hoja)\s+/i, '');
    const lettered = /^([A-Z])\s*[-/.]?\s*(\d{1,2})$/i.exec(t);
    if (lettered)
      return { row: (lettered[1] as string).toUpperCase().charCodeAt(0) - 65, column: Number(lettered[2]) - 1 };
    const numbered = /^(\d{1,2})\s*[-/.]?\s*([A-Z])$/i.exec(t);
    if (numbered)
      return { row: (numbered[2] as string).toUpperCase().charCodeAt(0) - 65, column: Number(numbered[1]) - 1 };
    const words = /(?:row|reihe|rang|fila)\s*(\d{1,2})\D+(?:col\w*|spalte|kolonne)\s*(\d{1,2})/i.exec(t);
    if (words) return { row: Number(words[1]) - 1, column: Number(words[2]) - 1 };
  }
  return null;
}

/** What of a page tells where it belongs. */
interface Sides {
  readonly left: readonly number[];
  readonly right: readonly number[];
  readonly top: readonly number[];
  readonly bottom: readonly number[];
  /** Where its lines cross an upright or a level line. */
  readonly crosses: (axis: 'x' | 'y', at: number) => readonly number[];
}

const sorted = (list: readonly number[]): readonly number[] => [...list].sort((a, b) => a - b);

function sidesOf(strokes: readonly Stroke[], w: Box): Sides {
  const parts = strokes.filter((s) => !isFrame(s, w)).flatMap((s) => clipPath(s.path, w));
  const ends = parts.flatMap((p) => [p.start, endOf(p)]);
  const lines = parts.map((p) => flatten(p, 0.05));
  const kept = new Map<string, readonly number[]>();
  const at = (near: (p: Point) => number, along: (p: Point) => number): readonly number[] =>
    sorted(ends.filter((p) => Math.abs(near(p)) < AT_EDGE).map(along));
  return {
    left: at(
      (p) => p.x - w.minX,
      (p) => p.y,
    ),
    right: at(
      (p) => p.x - w.maxX,
      (p) => p.y,
    ),
    top: at(
      (p) => p.y - w.minY,
      (p) => p.x,
    ),
    bottom: at(
      (p) => p.y - w.maxY,
      (p) => p.x,
    ),
    crosses: (axis, where) => {
      const key = `${axis} ${where}`;
      const known = kept.get(key) ?? sorted(crossings(lines, axis, where));
      kept.set(key, known);
      return known;
    },
  };
}

function crossings(lines: readonly (readonly Point[])[], axis: 'x' | 'y', where: number): readonly number[] {
  const other = axis === 'x' ? 'y' : 'x';
  return lines.flatMap((line) =>
    line.flatMap((p, i) => {
      const before = line[i - 1];
      if (!before || (before[axis] - where) * (p[axis] - where) > 0 || before[axis] === p[axis])
        return Math.abs(p[axis] - where) < SAME_LINE ? [p[other]] : [];
      const t = (where - before[axis]) / (p[axis] - before[axis]);
      return [before[other] + t * (p[other] - before[other])];
    }),
  );
}

/** How far the nearest number of a sorted list lies from one, mm; beyond `SAME_LINE` it does not matter. */
function nearest(sorted: readonly number[], v: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (nth(sorted, middle) < v) low = middle + 1;
    else high = middle;
  }
  return Math.min(Math.abs((sorted[low] ?? Infinity) - v), Math.abs((sorted[low - 1] ?? Infinity) - v));
}
/** Ends that go on in the neighbour, less those that do not; the nearer they meet, the more they count. */
const runOn = (ends: readonly number[], there: readonly number[]): number =>
  ends.reduce((sum, e) => {
    const off = nearest(there, e);
    return sum + (off <= SAME_LINE ? 1 - off / (2 * SAME_LINE) : -1);
  }, 0);

const beside = (a: Sides, b: Sides, w: Box, overlap: number): number =>
  runOn(a.right, overlap === 0 ? b.left : b.crosses('x', w.minX + overlap)) +
  runOn(b.left, overlap === 0 ? a.right : a.crosses('x', w.maxX - overlap));
const below = (a: Sides, b: Sides, w: Box, overlap: number): number =>
  runOn(a.bottom, overlap === 0 ? b.top : b.crosses('y', w.minY + overlap)) +
  runOn(b.top, overlap === 0 ? a.bottom : a.crosses('y', w.maxY - overlap));

const turned = (c: Cell | null): Cell | null => c && { row: c.column, column: c.row };

/** Overlaps worth trying are no more than this: those that let most pages run on into the next. */
const MOST_OVERLAPS = 4;

/** How well one page runs on into another to its right or below it, each pair looked at once. */
class Joins {
  private readonly known = new Map<number, Map<number, number>>();
  constructor(
    private readonly sides: readonly Sides[],
    private readonly window: Box,
  ) {}
  score(way: 'right' | 'below', a: number, b: number, overlap: number): number {
    const of = this.known.get(overlap) ?? new Map<number, number>();
    this.known.set(overlap, of);
    const key = (a * this.sides.length + b) * 2 + (way === 'right' ? 0 : 1);
    const there = of.get(key);
    if (there !== undefined) return there;
    const [p, q] = [nth(this.sides, a), nth(this.sides, b)];
    const made = way === 'right' ? beside(p, q, this.window, overlap) : below(p, q, this.window, overlap);
    of.set(key, made);
    return made;
  }
  /** Overlaps by how well pages run on into the next one of the file, as most do whatever the number in a row. */
  overlaps(): readonly number[] {
    const next = (overlap: number): number =>
      this.sides.reduce((sum, _, i) => {
        if (i + 1 >= this.sides.length) return sum;
        return sum + Math.max(0, this.score('right', i, i + 1, overlap), this.score('below', i, i + 1, overlap));
      }, 0);
    const byScore = OVERLAPS.map((overlap) => ({ overlap, score: next(overlap) })).sort((a, b) => b.score - a.score);
    return byScore.slice(0, MOST_OVERLAPS).map((o) => o.overlap);
  }
}

/**
 * The grid that lets most lines run on from page to page: by the pages' labels (read either way), else in rows or
 * columns of every number, each with the overlaps that houses print and these pages may have. `pages` are those that
 * carry the drawing, the empty ones between them counted; `window` is what each shows.
 */
export function gridOf(lines: Lines, pages: readonly number[], window: Box): TileGrid | null {
  const byPage = new Map(pages.map((p) => [p, [] as Stroke[]]));
  for (const s of lines.strokes) byPage.get(s.page)?.push(s);
  const joins = new Joins(
    pages.map((p) => sidesOf(byPage.get(p) ?? [], window)),
    window,
  );
  const labels = pages.map((p) => labelled(lines.letters.filter((l) => l.page === p)));
  const places = new Set(labels.map((l) => (l ? `${l.row} ${l.column}` : '')));
  const told = labels.every((l) => l !== null) && places.size === pages.length;
  const ways = told ? [labels, labels.map(turned)] : inEveryNumber(pages.length);
  // Pages with labels may come in any order: then the next in the file is not a neighbour, and every overlap is tried.
  const overlaps = told ? OVERLAPS : joins.overlaps();
  let best: TileGrid | null = null;
  for (const cells of ways) {
    const pairs = neighbours(cells);
    for (const overlap of overlaps) {
      const score = pairs.reduce((sum, [way, a, b]) => sum + joins.score(way, a, b, overlap), 0);
      if (best && score <= best.score) continue;
      const columns = 1 + Math.max(0, ...cells.map((c) => c?.column ?? 0));
      const all: (Cell | null)[] = lines.pages.map(() => null);
      pages.forEach((p, i) => (all[p] = cells[i] ?? null));
      best = { cells: all, overlap, columns, score };
    }
  }
  // Labels tell even where no line runs on, as between pieces that end on their pages.
  return best && (best.score > 0 || told) ? best : null;
}

/** More pages than this in a row no house lays, nor could anyone tape. */
const MOST_IN_ROW = 40;

/** Rows of every number of pages, then columns of every number. */
function inEveryNumber(count: number): readonly (readonly Cell[])[] {
  const numbers = Array.from({ length: Math.min(count, MOST_IN_ROW) }, (_, i) => i + 1);
  const of = (n: number): readonly Cell[] =>
    Array.from({ length: count }, (_, i) => ({ row: Math.floor(i / n), column: i % n }));
  const rows = numbers.map(of);
  return [...rows, ...rows.map((cells) => cells.map((c) => ({ row: c.column, column: c.row })))];
}

/** Which pages lie beside and below which, by their place in the list. */
function neighbours(cells: readonly (Cell | null)[]): readonly (readonly ['right' | 'below', number, number])[] {
  const at = new Map(cells.flatMap((c, i) => (c ? [[`${c.row} ${c.column}`, i] as const] : [])));
  return cells.flatMap((c, i) => {
    const right = c ? at.get(`${c.row} ${c.column + 1}`) : undefined;
    const below = c ? at.get(`${c.row + 1} ${c.column}`) : undefined;
    return [
      ...(right === undefined ? [] : [['right', i, right] as const]),
      ...(below === undefined ? [] : [['below', i, below] as const]),
    ];
  });
}

/** Where pages of a grid lie, mm, and what of each is kept. */
export function placedBy(
  grid: Pick<TileGrid, 'cells' | 'overlap'>,
  window: Box,
): { readonly placing: readonly (Point | null)[]; readonly window: Box } {
  const step = { x: window.maxX - window.minX - grid.overlap, y: window.maxY - window.minY - grid.overlap };
  return {
    placing: grid.cells.map((c) => c && { x: c.column * step.x, y: c.row * step.y }),
    window: { ...window, maxX: window.maxX - grid.overlap, maxY: window.maxY - grid.overlap },
  };
}
