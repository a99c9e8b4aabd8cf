import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { insidePolygon, type Point } from '../../geometry/index.ts';
import { CELL, Ground, maskOf, type Mask } from './mask.ts';

const ring = (...points: readonly (readonly [number, number])[]): readonly Point[] =>
  points.map(([x, y]) => ({ x, y }));
const cells = (m: Mask): number => m.rows.reduce((n, runs) => n + runs.reduce((k, [a, b]) => k + b - a, 0), 0);
const has = (m: Mask, column: number, row: number): boolean =>
  m.rows[row]?.some(([a, b]) => column >= a && column < b) === true;

describe('a shape on the grid', () => {
  it('takes exactly the cells of a rectangle that lies on them, wherever it stands', () => {
    const box = (x: number, y: number) => maskOf(ring([x, y], [x + 40, y], [x + 40, y + 25], [x, y + 25]));
    expect(box(0, 0)).toEqual({ columns: 8, rows: Array.from({ length: 5 }, () => [[0, 8]]) });
    expect(box(-173.3, 91.7).rows.length).toBe(5);
    expect(cells(maskOf(ring([0, 0], [41, 0], [41, 26], [0, 26])))).toBe(9 * 6);
  });
  it('leaves the hollow of a shape free', () => {
    // A U of three strips, 20 wide, 60 high, its gap 20 wide above the bar.
    const u = maskOf(ring([0, 0], [20, 0], [20, 40], [40, 40], [40, 0], [60, 0], [60, 60], [0, 60]));
    expect(u.rows[2]).toEqual([
      [0, 4],
      [8, 12],
    ]);
    expect(u.rows.at(-1)).toEqual([[0, 12]]);
  });
  it('covers every point of whatever shape', () => {
    const corner = fc.tuple(fc.double({ min: 0, max: 120, noNaN: true }), fc.double({ min: 0, max: 120, noNaN: true }));
    fc.assert(
      fc.property(fc.tuple(corner, corner, corner), corner, (three, [px, py]) => {
        const shape = ring(...three);
        const [left, top] = [Math.min(...shape.map((p) => p.x)), Math.min(...shape.map((p) => p.y))];
        const p = { x: px, y: py };
        if (!insidePolygon(p, shape)) return;
        const m = maskOf(shape);
        const [column, row] = [Math.floor((p.x - left) / CELL), Math.floor((p.y - top) / CELL)];
        // Scan lines stand a quarter of a cell apart: a sliver between two of them may be missed by that much.
        const near = [0, -1, 1].some((d) => has(m, column, row) || has(m, column + d, row) || has(m, column, row + d));
        expect(near).toBe(true);
      }),
      { seed: 5, numRuns: 400 },
    );
  });
});

describe('the ground it is laid on', () => {
  const box = (columns: number, rows: number): Mask => ({
    columns,
    rows: Array.from({ length: rows }, () => [[0, columns] as const]),
  });
  it('gives the first free place from the start of the cloth on, then across', () => {
    const ground = new Ground(10);
    const lay = (m: Mask, fixed?: number) => {
      const at = ground.place(m, fixed);
      if (at) ground.cover(m, at.row, at.column);
      return at;
    };
    expect(lay(box(6, 3))).toEqual({ row: 0, column: 0 });
    expect(lay(box(4, 2))).toEqual({ row: 0, column: 6 });
    expect(lay(box(5, 2))).toEqual({ row: 3, column: 0 });
    expect(lay(box(4, 1))).toEqual({ row: 2, column: 6 });
    // On the fold only at its column, however much room there is beside it.
    expect(lay(box(2, 2), 0)).toEqual({ row: 5, column: 0 });
    expect(ground.rows).toBe(7);
  });
  it('has no place for what is wider than it', () => {
    expect(new Ground(10).place(box(11, 1))).toBeNull();
    expect(new Ground(10).place(box(4, 1), 7)).toBeNull();
  });
  it('lays one shape into the hollow of another', () => {
    const ground = new Ground(12);
    const u: Mask = {
      columns: 12,
      rows: [
        [
          [0, 4],
          [8, 12],
        ],
        [
          [0, 4],
          [8, 12],
        ],
        [[0, 12]],
      ],
    };
    ground.cover(u, 0, 0);
    expect(ground.place(box(4, 2))).toEqual({ row: 0, column: 4 });
    expect(ground.place(box(5, 2))).toEqual({ row: 3, column: 0 });
  });
});
