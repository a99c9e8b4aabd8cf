import type { Cloth } from './cloths.ts';
import type { Pattern } from './matrix.ts';
import type { Prepared } from './sheet.ts';

/**
 * What a triangle of cloth does against being stretched and pulled askew. With wu and wv the two directions of the cloth as they
 * lie in space (each 1 long in cloth at ease) its energy is
 *   area / 2 · (across (|wu| − 1)² + along (|wv| − 1)² + shear (wu · wv)²).
 */

/** How long the two directions of a triangle are, and how far from square: |wu|, |wv|, wu · wv, into `out`; wu and wv into `w`. */
function directions(sheet: Prepared, t: number, x: Float64Array, w: Float64Array): void {
  const [b1, b2, c1, c2] = [
    sheet.slopes[4 * t]!,
    sheet.slopes[4 * t + 1]!,
    sheet.slopes[4 * t + 2]!,
    sheet.slopes[4 * t + 3]!,
  ];
  const i = 3 * sheet.triangles[3 * t]!;
  const j = 3 * sheet.triangles[3 * t + 1]!;
  const k = 3 * sheet.triangles[3 * t + 2]!;
  for (let d = 0; d < 3; d++) {
    const p = x[j + d]! - x[i + d]!;
    const q = x[k + d]! - x[i + d]!;
    w[d] = b1 * p + b2 * q;
    w[3 + d] = c1 * p + c2 * q;
  }
}

const lengthAt = (w: Float64Array, at: number): number => Math.sqrt(w[at]! ** 2 + w[at + 1]! ** 2 + w[at + 2]! ** 2);
const W = new Float64Array(6);

/** The energy held in the cloth’s plane, J. */
export function membraneEnergy(sheet: Prepared, cloth: Cloth, x: Float64Array): number {
  let sum = 0;
  for (let t = 0; t < sheet.area.length; t++) {
    directions(sheet, t, x, W);
    const [u, v] = [lengthAt(W, 0), lengthAt(W, 3)];
    const askew = W[0]! * W[3]! + W[1]! * W[4]! + W[2]! * W[5]!;
    sum += 0.5 * sheet.area[t]! * (cloth.across * (u - 1) ** 2 + cloth.along * (v - 1) ** 2 + cloth.shear * askew ** 2);
  }
  return sum;
}

/**
 * Adds the forces in the cloth’s plane, N, and how they change with the points, N/m, as far as that is positive: what pushes a
 * slack thread sideways is left out, a taut one resists it.
 */
export function addMembrane(
  sheet: Prepared,
  cloth: Cloth,
  x: Float64Array,
  force: Float64Array,
  { values, ofTriangle }: Pattern,
): void {
  const slope = new Float64Array(6);
  const block = new Float64Array(9);
  for (let t = 0; t < sheet.area.length; t++) {
    directions(sheet, t, x, W);
    const u = lengthAt(W, 0);
    const v = lengthAt(W, 3);
    const askew = W[0]! * W[3]! + W[1]! * W[4]! + W[2]! * W[5]!;
    const area = sheet.area[t]!;
    const [b1, b2, c1, c2] = [
      sheet.slopes[4 * t]!,
      sheet.slopes[4 * t + 1]!,
      sheet.slopes[4 * t + 2]!,
      sheet.slopes[4 * t + 3]!,
    ];
    slope[0] = -b1 - b2;
    slope[1] = b1;
    slope[2] = b2;
    slope[3] = -c1 - c2;
    slope[4] = c1;
    slope[5] = c2;
    // Along each direction the full stiffness, across it what a taut thread resists.
    const tautU = u > 1 ? cloth.across * (1 - 1 / u) : 0;
    const tautV = v > 1 ? cloth.along * (1 - 1 / v) : 0;
    for (let i = 0; i < 3; i++) {
      const bi = slope[i]!;
      const ci = slope[3 + i]!;
      const at = 3 * sheet.triangles[3 * t + i]!;
      for (let d = 0; d < 3; d++)
        force[at + d]! -=
          area *
          (((cloth.across * (u - 1)) / u) * W[d]! * bi +
            ((cloth.along * (v - 1)) / v) * W[3 + d]! * ci +
            cloth.shear * askew * (bi * W[3 + d]! + ci * W[d]!));
      for (let j = 0; j < 3; j++) {
        const bj = slope[j]!;
        const cj = slope[3 + j]!;
        const su = (area * bi * bj * (cloth.across - tautU)) / (u * u);
        const sv = (area * ci * cj * (cloth.along - tautV)) / (v * v);
        const plain = area * (bi * bj * tautU + ci * cj * tautV);
        const s = area * cloth.shear;
        for (let d = 0; d < 3; d++) {
          const hi = s * (bi * W[3 + d]! + ci * W[d]!);
          for (let e = 0; e < 3; e++)
            block[3 * d + e] =
              su * W[d]! * W[e]! +
              sv * W[3 + d]! * W[3 + e]! +
              hi * (bj * W[3 + e]! + cj * W[e]!) +
              (d === e ? plain : 0);
        }
        const m = 9 * ofTriangle[9 * t + 3 * i + j]!;
        for (let d = 0; d < 9; d++) values[m + d]! += block[d]!;
      }
    }
  }
}

/** How a triangle of cloth is drawn. */
export interface Drawn {
  /** The greatest pull in any direction of its plane and the least, N/m; below nothing where it is pushed together. */
  readonly most: number;
  readonly least: number;
  /** Which way the greatest runs in the cloth as cut: from across the grain towards along it, radians. */
  readonly direction: number;
  /** The same in space, 1 long. */
  readonly way: readonly [number, number, number];
}

/**
 * The pull in a triangle. Not its strain: cloth gives way on the bias by several per cent without a pull anyone would see, and
 * what shows as a drag line is the pull.
 */
export function drawnAt(sheet: Prepared, cloth: Cloth, x: Float64Array, t: number): Drawn {
  directions(sheet, t, x, W);
  const [u, v] = [cloth.across * (lengthAt(W, 0) - 1), cloth.along * (lengthAt(W, 3) - 1)];
  const askew = cloth.shear * (W[0]! * W[3]! + W[1]! * W[4]! + W[2]! * W[5]!);
  const [middle, half] = [(u + v) / 2, Math.hypot((u - v) / 2, askew)];
  const direction = 0.5 * Math.atan2(2 * askew, u - v);
  const [across, along] = [Math.cos(direction) / lengthAt(W, 0), Math.sin(direction) / lengthAt(W, 3)];
  const [wx, wy, wz] = [0, 1, 2].map((d) => across * W[d]! + along * W[3 + d]!) as [number, number, number];
  const size = Math.hypot(wx, wy, wz) || 1;
  return { most: middle + half, least: middle - half, direction, way: [wx / size, wy / size, wz / size] };
}
