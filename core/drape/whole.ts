import type { Mesh } from '../form/index.ts';
import type { Worn } from './wear.ts';

/** The cloth of both halves as one surface, m: the half that was computed, and its mirror image. */
export function wholeMesh({ x, sheet }: Pick<Worn, 'x' | 'sheet'>): Mesh {
  const [n, count] = [sheet.points, sheet.triangles.length];
  const positions = new Float32Array(6 * n);
  const triangles = new Uint32Array(2 * count);
  for (let i = 0; i < x.length; i++) {
    positions[i] = x[i]!;
    positions[3 * n + i] = i % 3 === 0 ? -x[i]! : x[i]!;
  }
  for (let t = 0; t < count; t += 3) {
    const [a, b, c] = [sheet.triangles[t]!, sheet.triangles[t + 1]!, sheet.triangles[t + 2]!];
    triangles.set([a, b, c], t);
    triangles.set([n + a, n + c, n + b], count + t);
  }
  return { positions, triangles };
}
