import type { Point } from '../../geometry/index.ts';
import { nth } from '../../units/index.ts';

/** Cell of the cloth, mm: what a hand can lay to. Pieces keep apart by up to one cell. */
export const CELL = 5;

/** A shape on the cells it touches: for each row the runs [from, to), shifted so that it begins at 0, 0. */
export interface Mask {
  readonly rows: readonly (readonly (readonly [number, number])[])[];
  readonly columns: number;
}

/** Scan lines to a cell: finer than any paper edge is cut. */
const LINES = 4;

/** The cells a ring touches, measured from its own top left corner. */
export function maskOf(ring: readonly Point[]): Mask {
  const minX = Math.min(...ring.map((p) => p.x));
  const minY = Math.min(...ring.map((p) => p.y));
  const height = Math.max(...ring.map((p) => p.y)) - minY;
  const width = Math.max(...ring.map((p) => p.x)) - minX;
  const columns = Math.max(1, Math.ceil(width / CELL));
  const count = Math.max(1, Math.ceil(height / CELL));
  const rows = Array.from({ length: count }, () => new Uint8Array(columns));
  const touch = (row: number, from: number, to: number): void => {
    const line = rows[Math.min(count - 1, Math.max(0, row))];
    const last = Math.min(columns - 1, Math.max(0, Math.ceil(to / CELL) - 1));
    for (let c = Math.min(last, Math.max(0, Math.floor(from / CELL))); c <= last; c++) if (line) line[c] = 1;
  };
  for (let k = 0; k <= count * LINES; k++) {
    const y = Math.min(height, (k * CELL) / LINES);
    const hits = crossings(ring, minY + y).map((x) => x - minX);
    for (let i = 0; i + 1 < hits.length; i += 2) {
      const [a = 0, b = 0] = [hits[i], hits[i + 1]];
      touch(Math.floor(y / CELL), a, b);
      // A line between two rows belongs to both.
      if (k % LINES === 0 && k > 0) touch(Math.floor(y / CELL) - 1, a, b);
    }
  }
  for (const p of ring) touch(Math.floor((p.y - minY) / CELL), p.x - minX, p.x - minX);
  return { rows: rows.map(runsOf), columns };
}

function crossings(ring: readonly Point[], y: number): readonly number[] {
  const out: number[] = [];
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [a, b] = [nth(ring, j), nth(ring, i)];
    if (a.y > y === b.y > y) continue;
    out.push(a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x));
  }
  return out.sort((a, b) => a - b);
}

function runsOf(line: Uint8Array): readonly (readonly [number, number])[] {
  const runs: [number, number][] = [];
  for (let c = 0; c < line.length; c++) {
    if (!line[c]) continue;
    const last = runs.at(-1);
    if (last && last[1] === c) last[1] = c + 1;
    else runs.push([c, c + 1]);
  }
  return runs;
}

/** The cloth laid out so far: which cells are covered. Grows as it is filled. */
export class Ground {
  private readonly covered: Uint8Array[] = [];
  constructor(readonly columns: number) {}

  /** The first free place of a mask from the start of the cloth on, then from the fold outward; `fixed`, only there. */
  place(mask: Mask, fixed?: number): { readonly row: number; readonly column: number } | null {
    const last = this.columns - mask.columns;
    if (last < 0 || (fixed !== undefined && fixed > last)) return null;
    for (let row = 0; ; row++) {
      for (let column = fixed ?? 0; column <= (fixed ?? last);) {
        const jump = this.blocked(mask, row, column);
        if (jump === 0) return { row, column };
        column += jump;
      }
    }
  }

  /** 0 where a mask is free; else how far along it is worth looking again. */
  private blocked(mask: Mask, row: number, column: number): number {
    for (const [r, runs] of mask.rows.entries()) {
      const line = this.covered[row + r];
      if (!line) continue;
      for (const [from, to] of runs)
        for (let c = to - 1; c >= from; c--)
          if (line[column + c]) {
            // On past the end of what is in the way.
            let end = column + c;
            while (line[end]) end++;
            return Math.max(1, end - column - from);
          }
    }
    return 0;
  }

  cover(mask: Mask, row: number, column: number): void {
    for (const [r, runs] of mask.rows.entries()) {
      const line = (this.covered[row + r] ??= new Uint8Array(this.columns));
      for (const [from, to] of runs) line.fill(1, column + from, column + to);
    }
  }

  get rows(): number {
    return this.covered.length;
  }
}
