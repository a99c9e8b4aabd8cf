import type { Figure, Mesh } from '../form/index.ts';
import type { Worn } from './wear.ts';

/** Two halves of a garment, each hung by itself as a left one; one and the same where both sides are alike. */
export interface Halves {
  readonly left: Worn;
  readonly right: Worn;
}

/** The cloth of both halves as one surface, m: the left as it was computed, the right as its mirror image. */
export function wholeMesh({ left, right }: Halves): Mesh {
  const [n, count] = [left.sheet.points, left.sheet.triangles.length];
  const positions = new Float32Array(left.x.length + right.x.length);
  const triangles = new Uint32Array(count + right.sheet.triangles.length);
  positions.set(left.x);
  triangles.set(left.sheet.triangles);
  for (let i = 0; i < right.x.length; i++) positions[3 * n + i] = i % 3 === 0 ? -right.x[i]! : right.x[i]!;
  for (let t = 0; t < right.sheet.triangles.length; t += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => n + right.sheet.triangles[t + k]!) as [number, number, number];
    triangles.set([a, c, b], count + t);
  }
  return { positions, triangles };
}

/** The form that both halves hang on. */
export const figureUnder = ({ left, right }: Halves): Figure =>
  left.figure === right.figure ? left.figure : { ...left.figure, right: right.figure };
