import { STILL } from './contact.ts';
import type { Pattern } from './matrix.ts';
import type { Prepared } from './sheet.ts';

/** Cloth that may meet cloth. */
export interface Layers {
  /** How far apart two layers keep, m, and how hard they push each other, N/m. */
  readonly apart: number;
  readonly push: number;
  /** Of every triangle 1 or −1: whether its corners run against the clock seen from outside the garment. */
  readonly outward: Int8Array;
  /** Which tube of the garment every triangle belongs to, such as body and sleeve: two of them lie side by side, outside to outside. */
  readonly tube: Uint8Array;
  /** Whether cloth of one tube meets itself too. */
  readonly itself: boolean;
  /** A tube that is turned over at its seam: there it meets the others from the next row of triangles on. */
  readonly turned?: number;
}

/** What of layers stays the same while cloth moves, and what is remembered from step to step. */
export interface Meeting {
  readonly layers: Layers;
  /** Which tube every point belongs to; `SHARED` where two are sewn together. */
  readonly tube: Uint8Array;
  /** The points that share a triangle with a point, and with those that do with them: cloth so near is one piece. */
  readonly beside: readonly ReadonlySet<number>[];
  readonly near: readonly ReadonlySet<number>[];
  /** The side on which a point was seen first beside a triangle of its own tube, by both. */
  sides: ReadonlyMap<number, 1 | -1>;
  readonly normals: Float64Array;
  readonly middles: Float64Array;
  readonly reach: Float64Array;
  readonly head: Int32Array;
  readonly next: Int32Array;
  /** The point that looked at a triangle last: several cells may share a list. */
  readonly seen: Int32Array;
}

const SHARED = 255;
/** So far off a triangle a point is noticed, m: farther than it goes in one step, so that it does not come through unseen. */
const NOTICED = 0.015;
/** A point over the edge between two triangles lies over both: by this share of a triangle. */
const OVER = 1e-3;
/** Cells in which triangles are looked for, m, and how many lists they are kept in. */
const CELL = 0.03;
const LISTS = 8192;

export function meetingOf(sheet: Prepared, layers: Layers): Meeting {
  const { points, triangles } = sheet;
  const ring: Set<number>[] = Array.from({ length: points }, () => new Set());
  const tube = new Uint8Array(points).fill(SHARED - 1);
  for (let k = 0; k < triangles.length; k++) {
    const [i, t] = [triangles[k]!, Math.floor(k / 3)];
    for (let c = 0; c < 3; c++) ring[i]!.add(triangles[3 * t + c]!);
    const own = layers.tube[t]!;
    tube[i] = tube[i] === SHARED - 1 || tube[i] === own ? own : SHARED;
  }
  const near = ring.map((own) => new Set([...own].flatMap((j) => [...ring[j]!])));
  return {
    ...{ layers, tube, beside: ring, near, sides: new Map() },
    normals: new Float64Array(triangles.length),
    middles: new Float64Array(triangles.length),
    reach: new Float64Array(triangles.length / 3),
    head: new Int32Array(LISTS),
    next: new Int32Array(triangles.length / 3),
    seen: new Int32Array(triangles.length / 3),
  };
}

const cellOf = (x: number, y: number, z: number): number =>
  ((Math.imul(x, 73856093) ^ Math.imul(y, 19349663) ^ Math.imul(z, 83492791)) >>> 0) % LISTS;

/** Of every triangle the normal as its corners run, 1 long, its middle and how far its corners lie from that, squared; and the lists of triangles by cell. */
function sorted({ triangles }: Prepared, { normals, middles, reach, head, next }: Meeting, x: Float64Array): void {
  head.fill(-1);
  for (let t = 0; t < next.length; t++) {
    const [a, b, c] = [3 * triangles[3 * t]!, 3 * triangles[3 * t + 1]!, 3 * triangles[3 * t + 2]!];
    const [ux, uy, uz] = [x[b]! - x[a]!, x[b + 1]! - x[a + 1]!, x[b + 2]! - x[a + 2]!];
    const [vx, vy, vz] = [x[c]! - x[a]!, x[c + 1]! - x[a + 1]!, x[c + 2]! - x[a + 2]!];
    const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const size = Math.sqrt(nx * nx + ny * ny + nz * nz) || 1;
    normals[3 * t] = nx / size;
    normals[3 * t + 1] = ny / size;
    normals[3 * t + 2] = nz / size;
    let far = 0;
    for (let d = 0; d < 3; d++) middles[3 * t + d] = (x[a + d]! + x[b + d]! + x[c + d]!) / 3;
    for (let k = 3 * t; k < 3 * t + 3; k++) {
      const i = 3 * triangles[k]!;
      let apart = 0;
      for (let d = 0; d < 3; d++) apart += (x[i + d]! - middles[3 * t + d]!) ** 2;
      far = Math.max(far, apart);
    }
    reach[t] = far;
    const cell = cellOf(
      Math.floor(middles[3 * t]! / CELL),
      Math.floor(middles[3 * t + 1]! / CELL),
      Math.floor(middles[3 * t + 2]! / CELL),
    );
    next[t] = head[cell]!;
    head[cell] = t;
  }
}

/** The outward normals of the triangles around every point, added up. */
function pointNormals({ points, triangles }: Prepared, { normals, layers }: Meeting): Float64Array {
  const out = new Float64Array(3 * points);
  for (let k = 0; k < triangles.length; k++) {
    const t = Math.floor(k / 3);
    for (let d = 0; d < 3; d++) out[3 * triangles[k]! + d]! += layers.outward[t]! * normals[3 * t + d]!;
  }
  return out;
}

/** Shares of a triangle’s corners at the place on it across from a point; null where the point lies beside it. */
function sharesAt(
  { triangles }: Prepared,
  t: number,
  x: Float64Array,
  i: number,
): readonly [number, number, number] | null {
  const [a, b, c] = [3 * triangles[3 * t]!, 3 * triangles[3 * t + 1]!, 3 * triangles[3 * t + 2]!];
  let [uu, uv, vv, pu, pv] = [0, 0, 0, 0, 0];
  for (let d = 0; d < 3; d++) {
    const [u, v, w] = [x[b + d]! - x[a + d]!, x[c + d]! - x[a + d]!, x[3 * i + d]! - x[a + d]!];
    uu += u * u;
    uv += u * v;
    vv += v * v;
    pu += w * u;
    pv += w * v;
  }
  const det = uu * vv - uv * uv;
  if (!(det > 0)) return null;
  const [s, r] = [(vv * pu - uv * pv) / det, (uu * pv - uv * pu) / det];
  return s < -OVER || r < -OVER || s + r > 1 + OVER ? null : [1 - s - r, s, r];
}

/** How points moved in the last step, m, and friction as a share of the pressure; none while cloth still finds its place. */
interface Slid {
  readonly moved: Float64Array;
  readonly friction: number;
}

/**
 * Adds what layers do to each other where they meet, N: body and sleeve keep outside to outside, and cloth of one tube that folds on
 * itself stays on the side on which it came near. How forces grow with the points is put on the diagonal alone, twice: too much, so
 * that no step goes too far. Layers slide on each other without friction, but for what is turned over at its seam: that would swing to and fro.
 */
export function addLayers(
  sheet: Prepared,
  meeting: Meeting,
  x: Float64Array,
  { moved, friction }: Slid,
  force: Float64Array,
  pattern: Pattern,
): void {
  meeting.seen.fill(-1);
  sorted(sheet, meeting, x);
  const outwards = pointNormals(sheet, meeting);
  const { layers, tube, next } = meeting;
  const sides = new Map<number, 1 | -1>();
  for (let i = 0; i < sheet.points; i++) {
    if (tube[i] === SHARED) continue;
    forNearby(meeting, i, x, (t, off) => {
      const other = layers.tube[t] !== tube[i];
      if (!other && !layers.itself) return;
      const out = layers.outward[t]!;
      if (other && out * along(meeting.normals, t, outwards, i) > 0) return;
      const turned = other && (tube[i] === layers.turned || layers.tube[t] === layers.turned);
      const near = (turned ? meeting.beside : meeting.near)[i]!;
      if ([0, 1, 2].some((c) => near.has(sheet.triangles[3 * t + c]!))) return;
      const shares = sharesAt(sheet, t, x, i);
      if (!shares) return;
      const key = i * next.length + t;
      const side = other ? out : (meeting.sides.get(key) ?? (off < 0 ? -1 : 1));
      if (!other) sides.set(key, side as 1 | -1);
      const into = layers.apart - side * off;
      if (into <= 0) return;
      const push = { i, t, shares, by: layers.push * into * side };
      pushApart(sheet, meeting, push, force, pattern);
      if (turned && friction > 0) holdBack(sheet, meeting, push, moved, friction, pattern);
    });
  }
  meeting.sides = sides;
}

const along = (a: Float64Array, i: number, b: Float64Array, j: number): number =>
  a[3 * i]! * b[3 * j]! + a[3 * i + 1]! * b[3 * j + 1]! + a[3 * i + 2]! * b[3 * j + 2]!;

/** Goes through the triangles that a point may lie across from, with how far it lies before each. */
function forNearby(
  { normals, middles, reach, head, next, seen }: Meeting,
  i: number,
  x: Float64Array,
  found: (t: number, off: number) => void,
): void {
  const [px, py, pz] = [x[3 * i]!, x[3 * i + 1]!, x[3 * i + 2]!];
  const [cx, cy, cz] = [Math.floor(px / CELL), Math.floor(py / CELL), Math.floor(pz / CELL)];
  for (let k = 0; k < 27; k++) {
    const cell = cellOf(cx + (k % 3) - 1, cy + (Math.floor(k / 3) % 3) - 1, cz + Math.floor(k / 9) - 1);
    for (let t = head[cell]!; t >= 0; t = next[t]!) {
      if (seen[t] === i) continue;
      seen[t] = i;
      const dx = px - middles[3 * t]!;
      const dy = py - middles[3 * t + 1]!;
      const dz = pz - middles[3 * t + 2]!;
      const off = normals[3 * t]! * dx + normals[3 * t + 1]! * dy + normals[3 * t + 2]! * dz;
      // Too far off, or beside it.
      if (Math.abs(off) > NOTICED || dx * dx + dy * dy + dz * dz - off * off > reach[t]!) continue;
      found(t, off);
    }
  }
}

interface Push {
  readonly i: number;
  readonly t: number;
  readonly shares: readonly [number, number, number];
  /** N along the normal. */
  readonly by: number;
}

/** Pushes a point and the corners of a triangle apart. */
function pushApart(
  { triangles }: Prepared,
  { layers, normals }: Meeting,
  { i, t, shares, by }: Push,
  force: Float64Array,
  { values, diagonal }: Pattern,
): void {
  const n = normals.subarray(3 * t, 3 * t + 3);
  const points = [i, triangles[3 * t]!, triangles[3 * t + 1]!, triangles[3 * t + 2]!];
  [1, ...shares.map((s) => -s)].forEach((share, c) => {
    const [at, m] = [3 * points[c]!, 9 * diagonal[points[c]!]!];
    for (let d = 0; d < 3; d++) {
      force[at + d]! += share * by * n[d]!;
      for (let e = 0; e < 3; e++) values[m + 3 * d + e]! += 2 * Math.abs(share) * layers.push * n[d]! * n[e]!;
    }
  });
}

/** Holds a point and the corners of a triangle back as they slid on each other in the last step. */
function holdBack(
  { triangles }: Prepared,
  { normals }: Meeting,
  { i, t, shares, by }: Push,
  moved: Float64Array,
  friction: number,
  { values, diagonal }: Pattern,
): void {
  const n = normals.subarray(3 * t, 3 * t + 3);
  const points = [i, triangles[3 * t]!, triangles[3 * t + 1]!, triangles[3 * t + 2]!];
  const slid = [0, 1, 2].map((d) =>
    [1, ...shares.map((s) => -s)].reduce((sum, share, c) => sum + share * moved[3 * points[c]! + d]!, 0),
  );
  const along = slid.reduce((sum, v, d) => sum + v * n[d]!, 0);
  const far = Math.sqrt(slid.reduce((sum, v, d) => sum + (v - along * n[d]!) ** 2, 0));
  const hold = (friction * Math.abs(by)) / Math.max(far, STILL);
  [1, ...shares].forEach((share, c) => {
    const m = 9 * diagonal[points[c]!]!;
    for (let d = 0; d < 3; d++)
      for (let e = 0; e < 3; e++) values[m + 3 * d + e]! += share * hold * ((d === e ? 1 : 0) - n[d]! * n[e]!);
  });
}
