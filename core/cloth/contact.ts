import type { Pattern } from './matrix.ts';

/** A body that cloth lies on. */
export interface Solid {
  /**
   * How far outside a place lies, m, below nothing inside, and which way is out, into `out`: distance, x, y, z. Far outside
   * the distance may be anything above `near`. Where cloth lies on several bodies the point that asks tells which is its own.
   */
  readonly at: (x: number, y: number, z: number, out: Float64Array, point?: number) => void;
}

/** How wide the fold between two bodies is filled, m: cloth caught in it would be pushed to and fro. */
const FILLET = 0.012;

/** Two bodies as one: outside is outside of both, and the fold between them is rounded. */
export const unionOf = (one: Solid, two: Solid): Solid => {
  const other = new Float64Array(4);
  return {
    at: (x, y, z, out) => {
      one.at(x, y, z, out);
      two.at(x, y, z, other);
      const [a, b] = [out[0]!, other[0]!];
      if (Math.abs(a - b) >= FILLET) {
        if (b < a) out.set(other);
        return;
      }
      // A smooth least: between the two where they are about as near.
      const share = 0.5 + (b - a) / (2 * FILLET);
      out[0] = share * a + (1 - share) * b - FILLET * share * (1 - share);
      for (let d = 1; d < 4; d++) out[d] = share * out[d]! + (1 - share) * other[d]!;
      const size = Math.sqrt(out[1]! ** 2 + out[2]! ** 2 + out[3]! ** 2) || 1;
      for (let d = 1; d < 4; d++) out[d]! /= size;
    },
  };
};

/**
 * A body for the left half of a garment: what would cross the plane between the halves meets its mirror image there. Cloth keeps
 * `off` from a body, m, and may lie in the plane.
 */
export const leftHalfOf = (body: Solid, off: number): Solid => ({
  at: (x, y, z, out) => {
    body.at(x, y, z, out);
    if (x >= 0 || out[0]! < x + off) return;
    out[0] = x + off;
    [out[1], out[2], out[3]] = [1, 0, 0];
  },
});

export interface Touch {
  /** How far cloth keeps off, m: half its thickness and what is smoothed of the body. */
  readonly off: number;
  /** How hard a point is pushed out, N/m. */
  readonly push: number;
  /** Friction as a share of the pressure. */
  readonly friction: number;
}

/** A point moves by less than this from one step to the next, m, where friction holds it. */
export const STILL = 2e-5;
const OUT = new Float64Array(4);

/**
 * Adds what the body does to the points that touch it: it pushes them out, and holds them back as they slid in the last step
 * (`moved`, m). Tells the energy of the pushing, J.
 */
export function addContact(
  solid: Solid,
  { off, push, friction }: Touch,
  x: Float64Array,
  moved: Float64Array,
  force: Float64Array,
  { values, diagonal }: Pattern,
): number {
  let energy = 0;
  for (let i = 0; i < diagonal.length; i++) {
    solid.at(x[3 * i]!, x[3 * i + 1]!, x[3 * i + 2]!, OUT, i);
    const into = off - OUT[0]!;
    if (into <= 0) continue;
    energy += 0.5 * push * into * into;
    const m = 9 * diagonal[i]!;
    let along = 0;
    for (let d = 0; d < 3; d++) along += moved[3 * i + d]! * OUT[1 + d]!;
    let slid = 0;
    for (let d = 0; d < 3; d++) slid += (moved[3 * i + d]! - along * OUT[1 + d]!) ** 2;
    const hold = (friction * push * into) / Math.max(Math.sqrt(slid), STILL);
    for (let d = 0; d < 3; d++) {
      force[3 * i + d]! += push * into * OUT[1 + d]!;
      for (let e = 0; e < 3; e++)
        values[m + 3 * d + e]! += (push - hold) * OUT[1 + d]! * OUT[1 + e]! + (d === e ? hold : 0);
    }
  }
  return energy;
}
