import type { Solid } from './contact.ts';

/** A closed surface of triangles, outward by the right-hand rule, m. */
export interface Surface {
  readonly positions: ArrayLike<number>;
  readonly triangles: ArrayLike<number>;
}

/** How far apart the places lie at which distances are kept, and how far from the surface they are exact, m. */
const CELL = 0.008;
const BAND = 0.02;
/** As near, m. */
const SAME = 1e-7;

interface Grid {
  readonly from: readonly [number, number, number];
  readonly size: readonly [number, number, number];
  readonly values: Float32Array;
}

/**
 * A solid from its surface: distances kept on a grid, exact within 2 cm of the surface, read off between its places; farther out
 * they stay at that. Built once for a body, after which asking costs the same everywhere.
 */
export function solidOf(surface: Surface): Solid {
  const grid = gridOf(surface);
  const [nx, ny] = grid.size;
  const { values } = grid;
  const [x0, y0, z0] = grid.from;
  const [endX, endY, endZ] = grid.size.map((n) => n - 1.001) as [number, number, number];
  const row = nx;
  const layer = nx * ny;
  return {
    // Written out, as it is asked for every point at every step.
    at: (x, y, z, out) => {
      const p = Math.min(Math.max((x - x0) / CELL, 0), endX);
      const q = Math.min(Math.max((y - y0) / CELL, 0), endY);
      const r = Math.min(Math.max((z - z0) / CELL, 0), endZ);
      const [i, j, k] = [Math.floor(p), Math.floor(q), Math.floor(r)];
      const [s, t, u] = [p - i, q - j, r - k];
      const at = i + row * j + layer * k;
      const a0 = values[at]!;
      const b0 = values[at + row]!;
      const c0 = values[at + layer]!;
      const d0 = values[at + row + layer]!;
      const da = values[at + 1]! - a0;
      const db = values[at + row + 1]! - b0;
      const dc = values[at + layer + 1]! - c0;
      const dd = values[at + row + layer + 1]! - d0;
      const a = a0 + s * da;
      const b = b0 + s * db;
      const c = c0 + s * dc;
      const d = d0 + s * dd;
      const near = a + t * (b - a);
      const far = c + t * (d - c);
      const slopeX = (1 - u) * (da + t * (db - da)) + u * (dc + t * (dd - dc));
      const slopeY = (1 - u) * (b - a) + u * (d - c);
      const slopeZ = far - near;
      const size = Math.sqrt(slopeX * slopeX + slopeY * slopeY + slopeZ * slopeZ) || 1;
      out[0] = near + u * slopeZ;
      out[1] = slopeX / size;
      out[2] = slopeY / size;
      out[3] = slopeZ / size;
    },
  };
}

function gridOf({ positions, triangles }: Surface): Grid {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let k = 0; k < positions.length; k++) {
    low[k % 3] = Math.min(low[k % 3]!, positions[k]!);
    high[k % 3] = Math.max(high[k % 3]!, positions[k]!);
  }
  const from = low.map((v) => v - BAND - 2 * CELL) as [number, number, number];
  const size = high.map((v, d) => Math.ceil((v + BAND + 2 * CELL - from[d]!) / CELL) + 1) as [number, number, number];
  const count = size[0] * size[1] * size[2];
  const values = new Float32Array(count).fill(Infinity);
  /** How squarely the nearest triangle is faced: where two are as near, the one faced squarely tells inside from outside. */
  const square = new Float32Array(count);
  const corners = new Float64Array(9);
  const first = [0, 0, 0];
  const last = [0, 0, 0];
  const found = new Float64Array(2);
  for (let t = 0; t < triangles.length; t += 3) {
    for (let k = 0; k < 9; k++) corners[k] = positions[3 * triangles[t + Math.floor(k / 3)]! + (k % 3)]!;
    for (let d = 0; d < 3; d++) {
      const [a, b, c] = [corners[d]!, corners[3 + d]!, corners[6 + d]!];
      first[d] = Math.max(0, Math.ceil((Math.min(a, b, c) - BAND - from[d]!) / CELL));
      last[d] = Math.min(size[d]! - 1, Math.floor((Math.max(a, b, c) + BAND - from[d]!) / CELL));
    }
    const [a, b, c, d] = planeOf(corners);
    for (let k = first[2]!; k <= last[2]!; k++)
      for (let j = first[1]!; j <= last[1]!; j++)
        for (let i = first[0]!; i <= last[0]!; i++) {
          const x = from[0] + i * CELL;
          const y = from[1] + j * CELL;
          const z = from[2] + k * CELL;
          const at = i + size[0] * (j + size[1] * k);
          const was = Math.abs(values[at]!);
          // No triangle is nearer than its plane.
          if (Math.abs(a * x + b * y + c * z - d) > Math.min(BAND, was) + SAME) continue;
          distanceTo(corners, x, y, z, found);
          const distance = found[0]!;
          const facing = found[1]!;
          const same = Math.abs(distance - was) < SAME;
          if (distance > BAND || (same ? Math.abs(facing) <= Math.abs(square[at]!) : distance > was)) continue;
          values[at] = facing < 0 ? -distance : distance;
          square[at] = facing;
        }
  }
  // Between places that are exact, along x, lies what is all inside or all outside.
  for (let at = 0; at < count; at += size[0]) {
    let side = 1;
    for (let i = at; i < at + size[0]; i++)
      if (values[i] === Infinity) values[i] = side * BAND;
      else side = Math.sign(values[i]!) || side;
  }
  return { from, size, values };
}

/** The plane of a triangle: its normal, and how far along that it lies. */
function planeOf(c: Float64Array): readonly [number, number, number, number] {
  const [ux, uy, uz] = [c[3]! - c[0]!, c[4]! - c[1]!, c[5]! - c[2]!];
  const [vx, vy, vz] = [c[6]! - c[0]!, c[7]! - c[1]!, c[8]! - c[2]!];
  const [x, y, z] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  const size = Math.sqrt(x * x + y * y + z * z) || 1;
  return [x / size, y / size, z / size, (x * c[0]! + y * c[1]! + z * c[2]!) / size];
}

/**
 * From a place to a triangle (its nine coordinates): the distance, and how squarely its face is seen from there, 1 from outside,
 * −1 from inside. The nearest point by regions, after Ericson, Real-Time Collision Detection, 5.1.5.
 */
function distanceTo(c: Float64Array, x: number, y: number, z: number, out: Float64Array): void {
  const abx = c[3]! - c[0]!;
  const aby = c[4]! - c[1]!;
  const abz = c[5]! - c[2]!;
  const acx = c[6]! - c[0]!;
  const acy = c[7]! - c[1]!;
  const acz = c[8]! - c[2]!;
  const apx = x - c[0]!;
  const apy = y - c[1]!;
  const apz = z - c[2]!;
  const d1 = abx * apx + aby * apy + abz * apz;
  const d2 = acx * apx + acy * apy + acz * apz;
  const bb = abx * abx + aby * aby + abz * abz;
  const bc = abx * acx + aby * acy + abz * acz;
  const cc = acx * acx + acy * acy + acz * acz;
  const [d3, d4, d5, d6] = [d1 - bb, d2 - bc, d1 - bc, d2 - cc];
  const [va, vb, vc] = [d3 * d6 - d5 * d4, d5 * d2 - d1 * d6, d1 * d4 - d3 * d2];
  let s = 0;
  let t = 0;
  if (d1 <= 0 && d2 <= 0) s = 0;
  else if (d3 >= 0 && d4 <= d3) s = 1;
  else if (vc <= 0 && d1 >= 0 && d3 <= 0) s = d1 / (d1 - d3);
  else if (d6 >= 0 && d5 <= d6) t = 1;
  else if (vb <= 0 && d2 >= 0 && d6 <= 0) t = d2 / (d2 - d6);
  else if (va <= 0 && d4 - d3 >= 0 && d5 - d6 >= 0) {
    t = (d4 - d3) / (d4 - d3 + d5 - d6);
    s = 1 - t;
  } else {
    s = vb / (va + vb + vc);
    t = vc / (va + vb + vc);
  }
  const dx = apx - s * abx - t * acx;
  const dy = apy - s * aby - t * acy;
  const dz = apz - s * abz - t * acz;
  const nx = aby * acz - abz * acy;
  const ny = abz * acx - abx * acz;
  const nz = abx * acy - aby * acx;
  const distance = Math.sqrt(dx * dx + dy * dy + dz * dz);
  out[0] = distance;
  out[1] = (dx * nx + dy * ny + dz * nz) / (distance * Math.sqrt(nx * nx + ny * ny + nz * nz) || 1);
}
