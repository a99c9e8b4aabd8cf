import { CholeskyDecomposition, LuDecomposition, Matrix } from 'ml-matrix';
import { TOL } from '../units/index.ts';

type Rows = readonly (readonly number[])[];

const matrix = (rows: Rows): Matrix => new Matrix(rows.map((r) => [...r]));

/** Solves a symmetric system; null where its matrix is not positive definite. */
export function solvePositive(rows: Rows, right: readonly number[]): readonly number[] | null {
  if (right.length === 0) return [];
  const parts = new CholeskyDecomposition(matrix(rows));
  return parts.isPositiveDefinite() ? parts.solve(Matrix.columnVector([...right])).to1DArray() : null;
}

/** Solves a square system; null where it has no one solution. */
export function solveSquare(rows: Rows, right: readonly number[]): readonly number[] | null {
  const parts = new LuDecomposition(matrix(rows));
  const pivots = parts.upperTriangularMatrix.diagonal();
  return pivots.every((p) => Math.abs(p) >= TOL.singular)
    ? parts.solve(Matrix.columnVector([...right])).to1DArray()
    : null;
}
