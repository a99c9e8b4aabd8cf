import type { Layers, Prepared } from '../cloth/index.ts';

type V = readonly [number, number, number];
const dot = (a: V, b: V): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: V, b: V): V => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const less = (a: V, b: V): V => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const unit = (a: V): V => {
  const size = Math.sqrt(dot(a, a)) || 1;
  return [a[0] / size, a[1] / size, a[2] / size];
};
/** Farther inside a point has nothing to do with a triangle, m. */
const FAR = 0.02;

/**
 * How far points of one tube of a garment lie inside another where their outsides face each other, at most, m; 0 where none does.
 * Points of `but` are left out of it.
 */
export function farthestThrough(
  { triangles, points }: Prepared,
  layers: Layers,
  x: Float64Array,
  but: ReadonlySet<number> = new Set(),
): number {
  const at = (i: number): V => [x[3 * i]!, x[3 * i + 1]!, x[3 * i + 2]!];
  const all = Array.from({ length: triangles.length / 3 }, (_, t) => {
    const corners = [...triangles.subarray(3 * t, 3 * t + 3)];
    const [a, b, c] = corners.map(at) as [V, V, V];
    const [u, v] = [less(b, a), less(c, a)];
    const out = unit(cross(u, v)).map((n) => n * layers.outward[t]!) as unknown as V;
    return { corners, a, u, v, out, tube: layers.tube[t]! };
  });
  const tubes = Array.from({ length: points }, () => new Set<number>());
  const facing = Array.from({ length: points }, (): [number, number, number] => [0, 0, 0]);
  for (const { corners, out, tube } of all)
    for (const i of corners) {
      tubes[i]!.add(tube);
      out.forEach((n, d) => (facing[i]![d]! += n));
    }
  let most = 0;
  for (let i = 0; i < points; i++)
    for (const { a, u, v, out, tube } of all) {
      const p = less(at(i), a);
      const off = dot(out, p);
      if (but.has(i) || off >= 0 || off < -FAR || tubes[i]!.has(tube) || dot(out, facing[i]!) > 0) continue;
      const [uu, uv, vv, pu, pv] = [dot(u, u), dot(u, v), dot(v, v), dot(p, u), dot(p, v)];
      const [s, r] = [(vv * pu - uv * pv) / (uu * vv - uv * uv), (uu * pv - uv * pu) / (uu * vv - uv * uv)];
      if (s >= 0 && r >= 0 && s + r <= 1) most = Math.max(most, -off);
    }
  return most;
}
