import { describe, expect, it } from 'vitest';
import { solvePositive, solveSquare } from './linear.ts';

describe('linear systems', () => {
  it('with a positive definite matrix are solved', () => {
    // 4x + 2y = 10 and 2x + 3y = 11: x = 1, y = 3.
    const found = solvePositive(
      [
        [4, 2],
        [2, 3],
      ],
      [10, 11],
    );
    expect(found?.map((v) => Math.round(v * 1e9) / 1e9)).toEqual([1, 3]);
    expect(solvePositive([], [])).toEqual([]);
  });
  it('with another are not', () => {
    expect(
      solvePositive(
        [
          [1, 2],
          [2, 1],
        ],
        [1, 1],
      ),
    ).toBeNull();
  });
  it('of any square are solved where they have one solution, rows in any order', () => {
    const found = solveSquare(
      [
        [0, 2, 0],
        [3, 0, 0],
        [0, 1, 4],
      ],
      [2, 6, 13],
    );
    expect(found?.map((v) => Math.round(v * 1e9) / 1e9)).toEqual([2, 1, 3]);
    expect(
      solveSquare(
        [
          [1, 2],
          [2, 4],
        ],
        [1, 2],
      ),
    ).toBeNull();
  });
});
