import type { Blocks } from './matrix.ts';

/**
 * A matrix solved outright, by parts: a line of points that parts the cloth is taken last, the two sides before it, and each side
 * the same way again (nested dissection). What a part leaves on the points around it is a small full matrix, handed on to the
 * part it belongs to (multifrontal Cholesky). Cloth is far too stiff in its plane, and too limp across it, for rounds alone.
 */
export interface Parts {
  /** Each after those it is parted into. */
  readonly nodes: readonly Part[];
}

export interface Part {
  /** The points solved here, and those of later parts that they or what was solved before touch. */
  readonly own: Int32Array;
  readonly rim: Int32Array;
  /** Both, coordinate by coordinate. */
  readonly places: Int32Array;
  readonly under: readonly Part[];
  /**
   * The full matrix of both, what lies on and below its diagonal, in rows of 3 × 3 blocks, each block column by column: here the
   * columns of its own points, which become the factor.
   */
  readonly columns: Float64Array;
  /** The columns of the rim, which become what is left on it. */
  readonly left: Float64Array;
}

/** So few points are solved as they are. */
const FEW = 6;
const AXES = [0, 1, 2] as const;
type Points = readonly number[];

/** Parts the points of a matrix by where they lie (x, y, z of each). */
export function partsOf({ rows, start, columns }: Blocks, x: ArrayLike<number>): Parts {
  const order = new Int32Array(rows);
  const side = new Int8Array(rows);
  const nodes: Part[] = [];
  let next = 0;
  const node = (own: readonly number[], under: readonly Part[]): Part => {
    for (const i of own) order[i] = next++;
    const rim = new Set<number>();
    const later = (j: number): void => {
      if (order[j]! >= next || order[j]! < 0) rim.add(j);
    };
    for (const i of own) for (let k = start[i]!; k < start[i + 1]!; k++) later(columns[k]!);
    for (const part of under) part.rim.forEach(later);
    const places = Int32Array.from([...own, ...rim].flatMap((i) => [3 * i, 3 * i + 1, 3 * i + 2]));
    const made = {
      own: Int32Array.from(own),
      rim: Int32Array.from(rim),
      places,
      under,
      columns: new Float64Array(places.length * 3 * own.length),
      left: new Float64Array((3 * rim.size) ** 2),
    };
    nodes.push(made);
    return made;
  };
  const part = (points: readonly number[]): Part => {
    if (points.length <= FEW) return node(points, []);
    const [between, ...halves] = AXES.map((axis) => parted(points, axis)).reduce((a, b) =>
      b[0].length < a[0].length ? b : a,
    );
    return node(between, halves.filter((p) => p.length > 0).map(part));
  };
  /** Points halved along an axis: the line between them, taken from the side where it is shorter, and what is left of both. */
  const parted = (points: readonly number[], axis: number): readonly [Points, Points, Points] => {
    const sorted = [...points].sort((a, b) => x[3 * a + axis]! - x[3 * b + axis]! || a - b);
    const half = sorted.length >> 1;
    sorted.forEach((i, n) => (side[i] = n < half ? 1 : 2));
    const touches = (i: number, other: number): boolean => {
      for (let k = start[i]!; k < start[i + 1]!; k++) if (side[columns[k]!] === other) return true;
      return false;
    };
    const [low, high] = [sorted.slice(0, half), sorted.slice(half)];
    const edges = [low.filter((i) => touches(i, 2)), high.filter((i) => touches(i, 1))] as const;
    points.forEach((i) => (side[i] = 0));
    const between = edges[0].length <= edges[1].length ? edges[0] : edges[1];
    const apart = new Set(between);
    const rest = (p: Points): Points => p.filter((i) => !apart.has(i));
    return [between, rest(low), rest(high)];
  };
  order.fill(-1);
  part(Array.from({ length: rows }, (_, i) => i));
  return { nodes };
}
