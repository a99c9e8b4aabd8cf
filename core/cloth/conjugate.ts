import { factor, solve } from './direct.ts';
import { multiply, type Blocks } from './matrix.ts';
import type { Parts } from './parts.ts';

/** What the solving needs from step to step, so that nothing is made anew in it. */
export interface Room {
  readonly parts: Parts;
  readonly held: Uint8Array;
  readonly r: Float64Array;
  readonly z: Float64Array;
  readonly p: Float64Array;
  readonly q: Float64Array;
}
export const roomFor = (rows: number, parts: Parts, held: Uint8Array = new Uint8Array(3 * rows)): Room => ({
  parts,
  held,
  r: new Float64Array(3 * rows),
  z: new Float64Array(3 * rows),
  p: new Float64Array(3 * rows),
  q: new Float64Array(3 * rows),
});

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
};

/**
 * Solves A · x = b for a symmetric positive matrix: outright by its parts, then by conjugate gradients for what the parts leave
 * out. (The parts of the step before do not serve: sixteen rounds were not enough with them.) Coordinates that are held stay nothing.
 * Stops when what is left has fallen to `within` of b, or after `most` rounds; tells how many it took.
 */
export function conjugate(
  matrix: Blocks,
  b: Float64Array,
  x: Float64Array,
  { within, rounds: most }: { readonly within: number; readonly rounds: number },
  { parts, held, r, z, p, q }: Room,
): number {
  factor(parts, matrix, held);
  const still = (v: Float64Array): void => {
    for (let k = 0; k < held.length; k++) if (held[k]) v[k] = 0;
  };
  const rough = (from: Float64Array, to: Float64Array): void => {
    to.set(from);
    solve(parts, to);
    still(to);
  };
  still(b);
  rough(b, z);
  const enough = within * within * dot(b, z);
  x.set(z);
  multiply(matrix, x, q);
  for (let i = 0; i < b.length; i++) r[i] = b[i]! - q[i]!;
  still(r);
  rough(r, z);
  p.set(z);
  let rz = dot(r, z);
  let rounds = 0;
  while (rz > enough && rounds < most) {
    multiply(matrix, p, q);
    still(q);
    const step = rz / dot(p, q);
    for (let i = 0; i < x.length; i++) {
      x[i]! += step * p[i]!;
      r[i]! -= step * q[i]!;
    }
    rough(r, z);
    const next = dot(r, z);
    const turn = next / rz;
    for (let i = 0; i < x.length; i++) p[i] = z[i]! + turn * p[i]!;
    rz = next;
    rounds++;
  }
  return rounds;
}
