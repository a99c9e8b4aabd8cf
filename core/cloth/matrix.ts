import type { Sheet } from './sheet.ts';

/** A square matrix of 3 × 3 blocks, one row of blocks for every point; blocks that no two points share are left out. */
export interface Blocks {
  readonly rows: number;
  /** Where each row begins in `columns`; one more at the end. */
  readonly start: Int32Array;
  readonly columns: Int32Array;
  /** Nine values of every block, row by row. */
  readonly values: Float64Array;
  /** The block on the diagonal of every row. */
  readonly diagonal: Int32Array;
  /** Single values that stand for a whole block, the same in all three directions: where each row begins, columns, values. */
  readonly beside: { readonly start: Int32Array; readonly columns: Int32Array; readonly values: Float64Array };
}

/** An empty matrix for a sheet, and where the pairs of every triangle (9) stand in it. */
export interface Pattern extends Blocks {
  readonly ofTriangle: Int32Array;
}

/** Where the block of two points that share a triangle stands. */
export const placeOf = ({ start, columns }: Pick<Blocks, 'start' | 'columns'>, row: number, column: number): number =>
  columns.indexOf(column, start[row]);

export function patternOf({ points, triangles }: Sheet): Pattern {
  const near: Set<number>[] = Array.from({ length: points }, (_, i) => new Set([i]));
  for (let t = 0; t < triangles.length; t += 3)
    for (let k = 0; k < 9; k++) near[triangles[t + Math.floor(k / 3)]!]!.add(triangles[t + (k % 3)]!);
  const start = new Int32Array(points + 1);
  near.forEach((n, i) => (start[i + 1] = start[i]! + n.size));
  const columns = new Int32Array(start[points]!);
  near.forEach((n, i) => columns.set(Int32Array.from(n).sort(), start[i]));
  const place = (i: number, j: number): number => placeOf({ start, columns }, i, j);
  const ofTriangle = new Int32Array(3 * triangles.length);
  for (let t = 0; t < triangles.length; t += 3)
    for (let k = 0; k < 9; k++)
      ofTriangle[3 * t + k] = place(triangles[t + Math.floor(k / 3)]!, triangles[t + (k % 3)]!);
  return {
    rows: points,
    start,
    columns,
    values: new Float64Array(9 * columns.length),
    diagonal: Int32Array.from(near, (_, i) => place(i, i)),
    ofTriangle,
    beside: { start: new Int32Array(points + 1), columns: new Int32Array(0), values: new Float64Array(0) },
  };
}

/** A list of single values by row and column for `beside`. */
export function besideOf(rows: number, entries: readonly (readonly [number, number, number])[]): Blocks['beside'] {
  const sorted = [...entries].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const start = new Int32Array(rows + 1);
  for (const [row] of sorted) start[row + 1]!++;
  for (let i = 0; i < rows; i++) start[i + 1]! += start[i]!;
  return { start, columns: Int32Array.from(sorted, (e) => e[1]), values: Float64Array.from(sorted, (e) => e[2]) };
}

/** out = A · x. Written out: this is where the time goes. */
export function multiply({ rows, start, columns, values, beside }: Blocks, x: Float64Array, out: Float64Array): void {
  let k = 0;
  let m = 0;
  let n = 0;
  for (let i = 0; i < rows; i++) {
    let a = 0;
    let b = 0;
    let c = 0;
    const end = start[i + 1]!;
    for (; k < end; k++) {
      const j = 3 * columns[k]!;
      const p = x[j]!;
      const q = x[j + 1]!;
      const r = x[j + 2]!;
      a += values[m]! * p + values[m + 1]! * q + values[m + 2]! * r;
      b += values[m + 3]! * p + values[m + 4]! * q + values[m + 5]! * r;
      c += values[m + 6]! * p + values[m + 7]! * q + values[m + 8]! * r;
      m += 9;
    }
    const last = beside.start[i + 1]!;
    for (; n < last; n++) {
      const j = 3 * beside.columns[n]!;
      const value = beside.values[n]!;
      a += value * x[j]!;
      b += value * x[j + 1]!;
      c += value * x[j + 2]!;
    }
    out[3 * i] = a;
    out[3 * i + 1] = b;
    out[3 * i + 2] = c;
  }
}
