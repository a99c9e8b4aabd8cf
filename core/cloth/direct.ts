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

interface Part {
  /** The points solved here, and those of later parts that they or what was solved before touch. */
  readonly own: Int32Array;
  readonly rim: Int32Array;
  /** Both, coordinate by coordinate. */
  readonly places: Int32Array;
  readonly under: readonly Part[];
  /** The full matrix of both, row by row; below its diagonal, once it is factored, first the factor, then what is left on the rim. */
  readonly front: Float64Array;
}

/** So few points are solved as they are. */
const FEW = 12;

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
    const size = 3 * (own.length + rim.size);
    const places = Int32Array.from([...own, ...rim].flatMap((i) => [3 * i, 3 * i + 1, 3 * i + 2]));
    const made = {
      own: Int32Array.from(own),
      rim: Int32Array.from(rim),
      places,
      under,
      front: new Float64Array(size * size),
    };
    nodes.push(made);
    return made;
  };
  const part = (points: readonly number[]): Part => {
    if (points.length <= FEW) return node(points, []);
    const axis = widest(points, x);
    const sorted = [...points].sort((a, b) => x[3 * a + axis]! - x[3 * b + axis]! || a - b);
    const half = sorted.length >> 1;
    sorted.forEach((i, n) => (side[i] = n < half ? 1 : 2));
    const touches = (i: number, other: number): boolean => {
      for (let k = start[i]!; k < start[i + 1]!; k++) if (side[columns[k]!] === other) return true;
      return false;
    };
    const [low, high] = [sorted.slice(0, half), sorted.slice(half)];
    const between = low.filter((i) => touches(i, 2));
    const apart = new Set(between);
    points.forEach((i) => (side[i] = 0));
    const rest = low.filter((i) => !apart.has(i));
    return node(between, [rest, high].filter((p) => p.length > 0).map(part));
  };
  order.fill(-1);
  part(Array.from({ length: rows }, (_, i) => i));
  return { nodes };
}

function widest(points: readonly number[], x: ArrayLike<number>): 0 | 1 | 2 {
  let [axis, most]: [0 | 1 | 2, number] = [0, -1];
  for (const d of [0, 1, 2] as const) {
    let [low, high] = [Infinity, -Infinity];
    for (const i of points) {
      low = Math.min(low, x[3 * i + d]!);
      high = Math.max(high, x[3 * i + d]!);
    }
    if (high - low > most) [axis, most] = [d, high - low];
  }
  return axis;
}

/**
 * Factors a matrix. What stands beside its blocks would make every part larger: it is put on the diagonal, so that the solution is
 * an approximate one, never too far. Held coordinates stand for themselves.
 */
export function factor({ nodes }: Parts, matrix: Blocks, held: Uint8Array): void {
  const { rows, start, columns, values, beside } = matrix;
  const at = new Int32Array(rows).fill(-1);
  for (const { own, rim, under, front } of nodes) {
    own.forEach((i, n) => (at[i] = n));
    rim.forEach((i, n) => (at[i] = own.length + n));
    const size = 3 * (own.length + rim.length);
    front.fill(0);
    for (let n = 0; n < own.length; n++) {
      const i = own[n]!;
      let more = 0;
      for (let k = beside.start[i]!; k < beside.start[i + 1]!; k++) more += Math.abs(beside.values[k]!);
      for (let d = 0; d < 3; d++) if (!held[3 * i + d]) front[(3 * n + d) * size + 3 * n + d]! += more;
      for (let k = start[i]!; k < start[i + 1]!; k++) {
        const j = columns[k]!;
        const other = at[j]!;
        if (other < n) continue;
        for (let d = 0; d < 3; d++)
          for (let e = 0; e < 3; e++) {
            const free = !held[3 * i + d] && !held[3 * j + e];
            const value = free ? values[9 * k + 3 * d + e]! : i === j && d === e ? 1 : 0;
            front[(3 * other + e) * size + 3 * n + d]! += value;
          }
      }
    }
    for (const part of under) handOn(part, front, size, at);
    cholesky(front, size, 3 * own.length);
    own.forEach((i) => (at[i] = -1));
    rim.forEach((i) => (at[i] = -1));
  }
}

/** Adds what a part left on its rim to the matrix of the part it belongs to. */
function handOn({ own, rim, front }: Part, to: Float64Array, size: number, at: Int32Array): void {
  const from = 3 * (own.length + rim.length);
  for (let p = 0; p < rim.length; p++)
    for (let q = 0; q <= p; q++) {
      const [row, column] = [3 * at[rim[p]!]!, 3 * at[rim[q]!]!];
      for (let d = 0; d < 3; d++)
        for (let e = 0; e < (p === q ? d + 1 : 3); e++) {
          const value = front[(3 * (own.length + p) + d) * from + 3 * (own.length + q) + e]!;
          const [i, j] = [row + d, column + e];
          to[i >= j ? i * size + j : j * size + i]! += value;
        }
    }
}

/**
 * The first columns of a full matrix factored, below its diagonal; in the rest, what they leave. Four columns at a time: they
 * share what is read of the row.
 */
function cholesky(a: Float64Array, size: number, first: number): void {
  for (let i = 0; i < size; i++) {
    const row = i * size;
    let j = 0;
    for (; j + 3 < i; j += 4) {
      const end = Math.min(j, first);
      const o0 = j * size;
      const o1 = o0 + size;
      const o2 = o1 + size;
      const o3 = o2 + size;
      let s0 = a[row + j]!;
      let s1 = a[row + j + 1]!;
      let s2 = a[row + j + 2]!;
      let s3 = a[row + j + 3]!;
      for (let k = 0; k < end; k++) {
        const v = a[row + k]!;
        s0 -= v * a[o0 + k]!;
        s1 -= v * a[o1 + k]!;
        s2 -= v * a[o2 + k]!;
        s3 -= v * a[o3 + k]!;
      }
      // Of the columns taken together, those that are factored count in those after them.
      if (j < first) s0 /= a[o0 + j]!;
      if (j < first) s1 -= s0 * a[o1 + j]!;
      if (j + 1 < first) s1 /= a[o1 + j + 1]!;
      if (j < first) s2 -= s0 * a[o2 + j]!;
      if (j + 1 < first) s2 -= s1 * a[o2 + j + 1]!;
      if (j + 2 < first) s2 /= a[o2 + j + 2]!;
      if (j < first) s3 -= s0 * a[o3 + j]!;
      if (j + 1 < first) s3 -= s1 * a[o3 + j + 1]!;
      if (j + 2 < first) s3 -= s2 * a[o3 + j + 2]!;
      if (j + 3 < first) s3 /= a[o3 + j + 3]!;
      a[row + j] = s0;
      a[row + j + 1] = s1;
      a[row + j + 2] = s2;
      a[row + j + 3] = s3;
    }
    for (; j <= i; j++) {
      const other = j * size;
      const end = Math.min(j, first);
      let sum = a[row + j]!;
      for (let k = 0; k < end; k++) sum -= a[row + k]! * a[other + k]!;
      a[row + j] = j >= first ? sum : j < i ? sum / a[other + j]! : Math.sqrt(sum);
    }
  }
}

/** Solves for a right-hand side, in its place. */
export function solve({ nodes }: Parts, x: Float64Array): void {
  for (const node of nodes) forward(node, x);
  for (let n = nodes.length - 1; n >= 0; n--) backward(nodes[n]!, x);
}

function forward({ own, places, front }: Part, x: Float64Array): void {
  const first = 3 * own.length;
  const size = places.length;
  for (let i = 0; i < size; i++) {
    const row = i * size;
    const end = Math.min(i, first);
    let sum = x[places[i]!]!;
    for (let k = 0; k < end; k++) sum -= front[row + k]! * x[places[k]!]!;
    x[places[i]!] = i < first ? sum / front[row + i]! : sum;
  }
}

function backward({ own, places, front }: Part, x: Float64Array): void {
  const first = 3 * own.length;
  const size = places.length;
  for (let i = size - 1; i >= 0; i--) {
    const row = i * size;
    if (i < first) x[places[i]!]! /= front[row + i]!;
    const value = x[places[i]!]!;
    const end = Math.min(i, first);
    for (let k = 0; k < end; k++) x[places[k]!]! -= front[row + k]! * value;
  }
}
