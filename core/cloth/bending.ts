import { besideOf, placeOf, type Pattern } from './matrix.ts';
import type { Prepared } from './sheet.ts';

/**
 * What cloth does against being bent. Over a fold the four points, weighed, add up to a bend b; its energy is
 * bending · SHARE / (2 · area) · |b|². On a mesh of equal triangles bent round a cylinder the folds of the three directions
 * hold 1/3 of what those along the cylinder alone would, and a third of all folds are there for each triangle pair: with a
 * share of 1 they add up to bending / 2 · curvature² on every square metre.
 */
const SHARE = 1;

/**
 * How the forces against bending grow with the points, N/m, which never changes: a matrix with that in it. The two points across
 * from a fold share no triangle; what one does to the other stands beside the blocks.
 */
export function withBending(sheet: Prepared, bending: number, matrix: Pattern): Pattern {
  const values = matrix.values.slice();
  const beside: [number, number, number][] = [];
  for (let f = 0; f < sheet.foldArea.length; f++) {
    const size = (bending * SHARE) / sheet.foldArea[f]!;
    const [points, weights] = [sheet.folds.subarray(4 * f, 4 * f + 4), sheet.weights.subarray(4 * f, 4 * f + 4)];
    for (let i = 0; i < 4; i++)
      for (let j = 0; j < 4; j++) {
        const value = size * weights[i]! * weights[j]!;
        if (i !== j && i > 1 && j > 1) beside.push([points[i]!, points[j]!, value]);
        else {
          const m = 9 * placeOf(matrix, points[i]!, points[j]!);
          for (let d = 0; d < 9; d += 4) values[m + d]! += value;
        }
      }
  }
  return { ...matrix, values, beside: besideOf(sheet.points, beside) };
}

/** The energy held in the folds, J; with `force`, adds their forces, N. */
export function bend(sheet: Prepared, bending: number, x: Float64Array, force?: Float64Array): number {
  let sum = 0;
  for (let f = 0; f < sheet.foldArea.length; f++) {
    const size = (bending * SHARE) / sheet.foldArea[f]!;
    for (let d = 0; d < 3; d++) {
      let b = 0;
      for (let i = 0; i < 4; i++) b += sheet.weights[4 * f + i]! * x[3 * sheet.folds[4 * f + i]! + d]!;
      sum += 0.5 * size * b * b;
      if (force)
        for (let i = 0; i < 4; i++) force[3 * sheet.folds[4 * f + i]! + d]! -= size * sheet.weights[4 * f + i]! * b;
    }
  }
  return sum;
}
