import { levelsOf, surfaceOf, type Shape, type Vec3 } from './shape.ts';

/** A closed surface of triangles, outward by the right-hand rule; mm, y up. */
export interface Mesh {
  /** x, y, z of every point. */
  readonly positions: Float32Array;
  readonly triangles: Uint32Array;
}

/** Points round a section, and how far apart sections lie, mm: closer where the shoulders run nearly level. */
const ROUND = 96;
const STEP = { torso: 12, shoulder: 2.5, crotch: 3 } as const;
/** The rounded lower end of a body with legs, above its lowest section, mm. */
const CROTCH = 30;

/** The heights of the sections a mesh is made of, from the lowest up. */
function heightsOf({ rings }: Shape): readonly number[] {
  const [lowest, highest] = [rings[0]?.y ?? 0, rings.at(-1)?.y ?? 0];
  const shoulder = (rings.at(-3)?.y ?? highest) - 4 * STEP.torso;
  const neck = rings.at(-2)?.y ?? highest;
  // On legs the body runs out to nearly nothing below.
  const rounded = (rings[0]?.front ?? 0) < (rings[1]?.front ?? 0) / 2 ? lowest + CROTCH : lowest;
  const out = [lowest];
  for (let y = lowest; y < highest;) {
    const step = y < rounded ? STEP.crotch : y >= shoulder && y < neck ? STEP.shoulder : STEP.torso;
    y = Math.min(highest, y + step);
    out.push(y);
  }
  return out;
}

/** The form as triangles: sections joined by bands, closed by a flat lid at both ends; its right half of a shape of its own on request. */
export const meshOf = (shape: Shape, right: Shape = shape): Mesh => meshAt(shape, levelsOf(shape, right));

/** A half beside another as a whole body, alike on both sides: what cloth of that half lies on. */
export function halfMesh(own: Shape, beside: Shape): Mesh {
  const at = surfaceOf(own, beside);
  return meshAt(own, (y, count) => Array.from({ length: count }, (_, i) => at(y, (2 * Math.PI * i) / count)));
}

function meshAt(shape: Shape, at: (y: number, count: number) => readonly Vec3[]): Mesh {
  const rows = heightsOf(shape).map((y) => at(y, ROUND));
  const middle = (row: readonly Vec3[]): Vec3 => ({
    x: 0,
    y: row[0]?.y ?? 0,
    z: row.reduce((sum, p) => sum + p.z, 0) / row.length,
  });
  return closedTube(rows, middle(rows[0] ?? []), middle(rows.at(-1) ?? []));
}

/**
 * Rings of equally many points joined by bands and closed to a point at either end. Outward where the rings run, seen from
 * the last one, against the clock.
 */
export function closedTube(rows: readonly (readonly Vec3[])[], first: Vec3, last: Vec3): Mesh {
  const points: readonly Vec3[] = [...rows.flat(), first, last];
  const [round, low, high] = [rows[0]?.length ?? 0, points.length - 2, points.length - 1];
  const triangles: number[] = [];
  const place = (row: number, i: number): number => row * round + (i % round);
  for (let i = 0; i < round; i++) {
    triangles.push(low, place(0, i + 1), place(0, i));
    triangles.push(high, place(rows.length - 1, i), place(rows.length - 1, i + 1));
    for (let r = 0; r + 1 < rows.length; r++) {
      const [a, b, c, d] = [place(r, i), place(r, i + 1), place(r + 1, i + 1), place(r + 1, i)];
      triangles.push(a, b, c, a, c, d);
    }
  }
  return {
    positions: Float32Array.from(points.flatMap((p) => [p.x, p.y, p.z])),
    triangles: Uint32Array.from(triangles),
  };
}

/** A mesh as a binary STL file, mm, z up as printers have it; `scale` 0.5 for half size. */
export function writeStl({ positions, triangles }: Mesh, scale = 1): Uint8Array {
  const count = triangles.length / 3;
  const bytes = new Uint8Array(84 + 50 * count);
  const view = new DataView(bytes.buffer);
  bytes.set(new TextEncoder().encode('Ample Draft form, mm').slice(0, 80));
  view.setUint32(80, count, true);
  const point = (i: number): Vec3 => {
    const k = 3 * (triangles[i] ?? 0);
    const [x, y, z] = [positions[k] ?? 0, positions[k + 1] ?? 0, positions[k + 2] ?? 0];
    return { x: scale * x, y: -scale * z, z: scale * y };
  };
  for (let t = 0; t < count; t++) {
    const [a, b, c] = [point(3 * t), point(3 * t + 1), point(3 * t + 2)];
    const [u, v] = [
      { x: b.x - a.x, y: b.y - a.y, z: b.z - a.z },
      { x: c.x - a.x, y: c.y - a.y, z: c.z - a.z },
    ];
    const normal = { x: u.y * v.z - u.z * v.y, y: u.z * v.x - u.x * v.z, z: u.x * v.y - u.y * v.x };
    const size = Math.hypot(normal.x, normal.y, normal.z) || 1;
    const numbers = [normal.x / size, normal.y / size, normal.z / size, ...[a, b, c].flatMap((p) => [p.x, p.y, p.z])];
    numbers.forEach((n, i) => view.setFloat32(84 + 50 * t + 4 * i, n, true));
  }
  return bytes;
}
