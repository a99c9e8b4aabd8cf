import type { Blocks } from './matrix.ts';
import type { Part, Parts } from './parts.ts';

/**
 * Factors a matrix. What stands beside its blocks would make every part larger: it is put on the diagonal, so that the solution is
 * an approximate one, never too far. Held coordinates stand for themselves.
 */
export function factor({ nodes }: Parts, matrix: Blocks, held: Uint8Array): void {
  const at = new Int32Array(matrix.rows).fill(-1);
  for (const part of nodes) {
    const { own, rim, under, columns, left } = part;
    own.forEach((i, n) => (at[i] = n));
    rim.forEach((i, n) => (at[i] = own.length + n));
    columns.fill(0);
    left.fill(0);
    takeIn(part, matrix, held, at);
    for (const before of under) handOn(before, part, at);
    eliminate(part);
    // Points solved here are no others' any more.
    for (const i of own) at[i] = -1;
    for (const i of rim) at[i] = -1;
  }
}

/** Adds the rows of the matrix that belong to a part’s own points. */
function takeIn({ own, columns: to }: Part, matrix: Blocks, held: Uint8Array, at: Int32Array): void {
  const { start, columns, values, beside } = matrix;
  const first = 3 * own.length;
  for (let n = 0; n < own.length; n++) {
    const i = own[n]!;
    let more = 0;
    for (let k = beside.start[i]!; k < beside.start[i + 1]!; k++) more += Math.abs(beside.values[k]!);
    for (let k = start[i]!; k < start[i + 1]!; k++) {
      const j = columns[k]!;
      // A point solved before has taken this block already.
      if (at[j]! < n) continue;
      const corner = 3 * at[j]! * first + 9 * n;
      for (let d = 0; d < 3; d++)
        for (let e = 0; e < 3; e++) {
          const same = i === j && d === e;
          const free = !held[3 * i + d] && !held[3 * j + e];
          to[corner + 3 * d + e]! += free ? values[9 * k + 3 * d + e]! + (same ? more : 0) : same ? 1 : 0;
        }
    }
  }
}

/** Adds what a part left on its rim to the part it belongs to; `at` tells where a point stands there. */
function handOn({ rim, left }: Part, { own, columns, left: rest, places }: Part, at: Int32Array): void {
  const first = 3 * own.length;
  const others = places.length - first;
  for (let p = 0; p < rim.length; p++)
    for (let q = 0; q <= p; q++) {
      const row = 3 * at[rim[p]!]!;
      const column = 3 * at[rim[q]!]!;
      const low = Math.min(row, column);
      const high = Math.max(row, column);
      const to = low < first ? columns : rest;
      const corner = low < first ? high * first + 3 * low : (high - first) * others + 3 * (low - first);
      const block = 9 * (p * rim.length + q);
      // What was below the diagonal may lie above it here.
      const [down, across] = row < column ? [3, 1] : [1, 3];
      for (let d = 0; d < 3; d++)
        for (let e = 0; e < 3; e++) to[corner + d * down + e * across]! += left[block + d + 3 * e]!;
    }
}

/**
 * A part’s own points solved for: its columns become the factor, and what the points leave on the rim is taken from it. Three rows by
 * three columns at a time, which share what is read; this is where the time goes.
 */
function eliminate({ own, places, columns, left }: Part): void {
  const first = 3 * own.length;
  const others = places.length - first;
  for (let i = 0; i < places.length; i += 3)
    for (let j = 0; j <= i; j += 3) {
      const solved = j < first;
      const to = solved ? columns : left;
      const corner = solved ? i * first + 3 * j : (i - first) * others + 3 * (j - first);
      let s0 = 0;
      let s1 = 0;
      let s2 = 0;
      let s3 = 0;
      let s4 = 0;
      let s5 = 0;
      let s6 = 0;
      let s7 = 0;
      let s8 = 0;
      let r = i * first;
      let o = j * first;
      for (const end = r + 3 * (solved ? j : first); r < end; r += 3, o += 3) {
        const a = columns[r]!;
        const b = columns[r + 1]!;
        const c = columns[r + 2]!;
        const x = columns[o]!;
        const y = columns[o + 1]!;
        const z = columns[o + 2]!;
        s0 += a * x;
        s1 += b * x;
        s2 += c * x;
        s3 += a * y;
        s4 += b * y;
        s5 += c * y;
        s6 += a * z;
        s7 += b * z;
        s8 += c * z;
      }
      to[corner]! -= s0;
      to[corner + 1]! -= s1;
      to[corner + 2]! -= s2;
      to[corner + 3]! -= s3;
      to[corner + 4]! -= s4;
      to[corner + 5]! -= s5;
      to[corner + 6]! -= s6;
      to[corner + 7]! -= s7;
      to[corner + 8]! -= s8;
      if (i === j && solved) rootOf(columns, corner);
      else if (solved) divide(columns, corner, j * first + 3 * j);
    }
}

/** A block on the diagonal becomes its own root: the triangle whose product with itself it is. */
function rootOf(a: Float64Array, at: number): void {
  const first = Math.sqrt(a[at]!);
  const down = a[at + 1]! / first;
  const far = a[at + 2]! / first;
  const second = Math.sqrt(a[at + 4]! - down * down);
  const beside = (a[at + 5]! - down * far) / second;
  a[at] = first;
  a[at + 1] = down;
  a[at + 2] = far;
  a[at + 4] = second;
  a[at + 5] = beside;
  a[at + 8] = Math.sqrt(a[at + 8]! - far * far - beside * beside);
}

/** A block divided by the root on the diagonal of its columns, which stands at `by`. */
function divide(a: Float64Array, at: number, by: number): void {
  for (let d = at; d < at + 3; d++) {
    a[d]! /= a[by]!;
    a[d + 3] = (a[d + 3]! - a[d]! * a[by + 1]!) / a[by + 4]!;
    a[d + 6] = (a[d + 6]! - a[d]! * a[by + 2]! - a[d + 3]! * a[by + 5]!) / a[by + 8]!;
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

function forward({ own, places, columns }: Part, x: Float64Array): void {
  const first = 3 * own.length;
  const t = gather(places, x);
  for (let i = 0; i < places.length; i += 3) {
    let s0 = t[i]!;
    let s1 = t[i + 1]!;
    let s2 = t[i + 2]!;
    let r = i * first;
    for (let k = 0; k < Math.min(i, first); k += 3, r += 9) {
      const u = t[k]!;
      const v = t[k + 1]!;
      const w = t[k + 2]!;
      s0 -= columns[r]! * u + columns[r + 3]! * v + columns[r + 6]! * w;
      s1 -= columns[r + 1]! * u + columns[r + 4]! * v + columns[r + 7]! * w;
      s2 -= columns[r + 2]! * u + columns[r + 5]! * v + columns[r + 8]! * w;
    }
    if (i < first) {
      s0 /= columns[r]!;
      s1 = (s1 - columns[r + 1]! * s0) / columns[r + 4]!;
      s2 = (s2 - columns[r + 2]! * s0 - columns[r + 5]! * s1) / columns[r + 8]!;
    }
    t[i] = s0;
    t[i + 1] = s1;
    t[i + 2] = s2;
  }
  for (let i = 0; i < places.length; i++) x[places[i]!] = t[i]!;
}

function backward({ own, places, columns }: Part, x: Float64Array): void {
  const first = 3 * own.length;
  const t = gather(places, x);
  for (let i = places.length - 3; i >= 0; i -= 3) {
    let a = t[i]!;
    let b = t[i + 1]!;
    let c = t[i + 2]!;
    if (i < first) {
      const root = i * first + 3 * i;
      c /= columns[root + 8]!;
      b = (b - columns[root + 5]! * c) / columns[root + 4]!;
      a = (a - columns[root + 1]! * b - columns[root + 2]! * c) / columns[root]!;
      t[i] = a;
      t[i + 1] = b;
      t[i + 2] = c;
    }
    let r = i * first;
    for (let k = 0; k < Math.min(i, first); k++, r += 3)
      t[k]! -= columns[r]! * a + columns[r + 1]! * b + columns[r + 2]! * c;
  }
  for (let i = 0; i < first; i++) x[places[i]!] = t[i]!;
}
