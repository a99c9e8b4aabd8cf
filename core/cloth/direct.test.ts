import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rectangle } from '../testing/cloth.ts';
import { conjugate, factor, multiply, partsOf, patternOf, roomFor, solve } from './solver.ts';

/** A positive matrix over a rectangle of cloth: every triangle couples its corners by a seeded symmetric block. */
function matrixOver(columns: number, seed: readonly number[]) {
  const { sheet, places } = rectangle(columns * 0.1, 0.8, 0.1);
  const matrix = patternOf(sheet);
  const at = (n: number): number => seed[n % seed.length]!;
  for (let t = 0; t < sheet.triangles.length / 3; t++) {
    // v·vᵀ over nine coordinates is positive whatever v is.
    const v = Array.from({ length: 9 }, (_, k) => at(7 * t + k));
    for (let i = 0; i < 9; i++)
      for (let j = 0; j < 9; j++)
        matrix.values[
          9 * matrix.ofTriangle[9 * t + 3 * Math.floor(i / 3) + Math.floor(j / 3)]! + 3 * (i % 3) + (j % 3)
        ]! += v[i]! * v[j]!;
  }
  for (const k of matrix.diagonal) for (let d = 0; d < 9; d += 4) matrix.values[9 * k + d]! += 0.1;
  return { matrix, x: Float64Array.from(places.flatMap(([u, w]) => [u, w, 0])) };
}

describe('a matrix solved by parts', () => {
  it('gives back what it was multiplied from, with and without held coordinates', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 14 }),
        fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 11, maxLength: 23 }),
        (columns, seed) => {
          const { matrix, x } = matrixOver(columns, seed);
          const parts = partsOf(matrix, x);
          expect(parts.nodes.reduce((sum, n) => sum + n.own.length, 0)).toBe(matrix.rows);
          const wanted = Float64Array.from(x, (_, k) => Math.sin(k));
          const b = new Float64Array(x.length);
          multiply(matrix, wanted, b);
          factor(parts, matrix, new Uint8Array(x.length));
          solve(parts, b);
          b.forEach((v, k) => expect(v).toBeCloseTo(wanted[k]!, 6));
          const held = Uint8Array.from(x, (_, k) => (k % 5 === 0 ? 1 : 0));
          const free = wanted.map((v, k) => (held[k] ? 0 : v));
          multiply(matrix, free, b);
          const found = new Float64Array(x.length);
          const rounds = conjugate(matrix, b, found, { within: 1e-9, rounds: 20 }, roomFor(matrix.rows, parts, held));
          expect(rounds).toBeLessThan(4);
          found.forEach((v, k) => expect(v).toBeCloseTo(free[k]!, 6));
        },
      ),
      { seed: 21, numRuns: 25 },
    );
  });
});
