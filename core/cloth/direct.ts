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
    // The line between is taken from the side where it is shorter.
    const edges = [low.filter((i) => touches(i, 2)), high.filter((i) => touches(i, 1))] as const;
    const between = edges[0].length <= edges[1].length ? edges[0] : edges[1];
    const apart = new Set(between);
    points.forEach((i) => (side[i] = 0));
    const halves = [low, high].map((p) => p.filter((i) => !apart.has(i)));
    return node(between, halves.filter((p) => p.length > 0).map(part));
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
 * The first columns of a full matrix factored, below its diagonal; in the rest, what they leave. Two rows by four columns at a
 * time: they share what is read.
 */
function cholesky(a: Float64Array, size: number, first: number): void {
  let i = 0;
  for (; i + 1 < size; i += 2) {
    // The second row of the two needs the first to be done where their columns meet: that part is done after it.
    const [row, next] = [i * size, (i + 1) * size];
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
      let t0 = a[next + j]!;
      let t1 = a[next + j + 1]!;
      let t2 = a[next + j + 2]!;
      let t3 = a[next + j + 3]!;
      for (let k = 0; k < end; k++) {
        const v = a[row + k]!;
        const w = a[next + k]!;
        const c0 = a[o0 + k]!;
        const c1 = a[o1 + k]!;
        const c2 = a[o2 + k]!;
        const c3 = a[o3 + k]!;
        s0 -= v * c0;
        s1 -= v * c1;
        s2 -= v * c2;
        s3 -= v * c3;
        t0 -= w * c0;
        t1 -= w * c1;
        t2 -= w * c2;
        t3 -= w * c3;
      }
      a[row + j] = s0;
      a[row + j + 1] = s1;
      a[row + j + 2] = s2;
      a[row + j + 3] = s3;
      a[next + j] = t0;
      a[next + j + 1] = t1;
      a[next + j + 2] = t2;
      a[next + j + 3] = t3;
      if (j >= first) continue;
      // Of the columns taken together, those that are factored count in those after them.
      for (const at of [row, next])
        for (let c = j; c < j + 4; c++) {
          let sum = a[at + c]!;
          for (let k = j; k < Math.min(c, first); k++) sum -= a[at + k]! * a[c * size + k]!;
          a[at + c] = c < first ? sum / a[c * size + c]! : sum;
        }
    }
    finish(a, size, first, i, j);
    finish(a, size, first, i + 1, j);
  }
  if (i < size) finish(a, size, first, i, 0);
}

/** The columns of a row from one on, one at a time, to its diagonal. */
function finish(a: Float64Array, size: number, first: number, i: number, from: number): void {
  const row = i * size;
  for (let j = from; j <= i; j++) {
    const other = j * size;
    const end = Math.min(j, first);
    let sum = a[row + j]!;
    for (let k = 0; k < end; k++) sum -= a[row + k]! * a[other + k]!;
    a[row + j] = j >= first ? sum : j < i ? sum / a[other + j]! : Math.sqrt(sum);
  }
}

/** Solves for a right-hand side, in its place. */
export function solve({ nodes }: Parts, x: Float64Array): void {
  for (const node of nodes) forward(node, x);
  for (let n = nodes.length - 1; n >= 0; n--) backward(nodes[n]!, x);
}

/** A part’s share of the right-hand side, gathered: it is gone through many times. */
let gathered = new Float64Array(0);
function gather(places: Int32Array, x: Float64Array): Float64Array {
  if (gathered.length < places.length) gathered = new Float64Array(2 * places.length);
  for (let i = 0; i < places.length; i++) gathered[i] = x[places[i]!]!;
  return gathered;
}

/** Rows are taken four at a time: their sums do not wait for each other, and what they share is read once. */
function forward({ own, places, front }: Part, x: Float64Array): void {
  const first = 3 * own.length;
  const size = places.length;
  const t = gather(places, x);
  let i = 0;
  for (; i + 3 < size; i += 4) {
    const end = Math.min(i, first);
    const r0 = i * size;
    const r1 = r0 + size;
    const r2 = r1 + size;
    const r3 = r2 + size;
    let s0 = t[i]!;
    let s1 = t[i + 1]!;
    let s2 = t[i + 2]!;
    let s3 = t[i + 3]!;
    for (let k = 0; k < end; k++) {
      const v = t[k]!;
      s0 -= front[r0 + k]! * v;
      s1 -= front[r1 + k]! * v;
      s2 -= front[r2 + k]! * v;
      s3 -= front[r3 + k]! * v;
    }
    t[i] = s0;
    t[i + 1] = s1;
    t[i + 2] = s2;
    t[i + 3] = s3;
    for (let c = i; c < i + 4; c++) forwardRow(t, front, size, first, c, end);
  }
  for (; i < size; i++) forwardRow(t, front, size, first, i, 0);
  for (i = 0; i < size; i++) x[places[i]!] = t[i]!;
}
/** A row from one column on. */
function forwardRow(t: Float64Array, front: Float64Array, size: number, first: number, i: number, from: number): void {
  const row = i * size;
  let sum = t[i]!;
  for (let k = from; k < Math.min(i, first); k++) sum -= front[row + k]! * t[k]!;
  t[i] = i < first ? sum / front[row + i]! : sum;
}

function backward({ own, places, front }: Part, x: Float64Array): void {
  const first = 3 * own.length;
  const size = places.length;
  const t = gather(places, x);
  let i = size - 1;
  for (; i - 3 >= 0; i -= 4) {
    for (let c = i; c > i - 4; c--) backwardRow(t, front, size, first, c, i - 3);
    const end = Math.min(i - 3, first);
    const r0 = i * size;
    const r1 = r0 - size;
    const r2 = r1 - size;
    const r3 = r2 - size;
    const v0 = t[i]!;
    const v1 = t[i - 1]!;
    const v2 = t[i - 2]!;
    const v3 = t[i - 3]!;
    for (let k = 0; k < end; k++)
      t[k]! -= front[r0 + k]! * v0 + front[r1 + k]! * v1 + front[r2 + k]! * v2 + front[r3 + k]! * v3;
  }
  for (; i >= 0; i--) backwardRow(t, front, size, first, i, 0);
  for (i = 0; i < first; i++) x[places[i]!] = t[i]!;
}
/** What a row takes from those before it, from one of them on. */
function backwardRow(t: Float64Array, front: Float64Array, size: number, first: number, i: number, from: number): void {
  const row = i * size;
  if (i < first) t[i]! /= front[row + i]!;
  const value = t[i]!;
  for (let k = from; k < Math.min(i, first); k++) t[k]! -= front[row + k]! * value;
}
