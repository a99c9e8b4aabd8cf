import Constrainautor from '@kninnug/constrainautor';
import Delaunator from 'delaunator';
import { insidePolygon, type Point } from '../geometry/index.ts';

/** Points and the triangles between them; the points of the edges come first, in the order given. */
export interface Triangles {
  readonly points: readonly Point[];
  readonly triangles: readonly (readonly [number, number, number])[];
}

/** Points inside stay at least so far from the edge, as a share of the mesh’s. */
const CLEAR = 0.55;

/** Less than this, as a share of a square on an edge, is no triangle. */
const SLIVER = 1e-4;

/**
 * A flat piece with its holes as triangles with sides of about `edge`. The corners of the loops are kept, and nothing is added
 * to them; inside, points lie in rows of equal triangles.
 */
export function triangulate(loops: readonly (readonly Point[])[], edge: number): Triangles {
  const rim = loops.flat();
  const sides: [number, number][] = [];
  let first = 0;
  for (const loop of loops) {
    loop.forEach((_, i) => sides.push([first + i, first + ((i + 1) % loop.length)]));
    first += loop.length;
  }
  const points = [...rim, ...inside(loops, edge)];
  const found = Delaunator.from(
    points,
    (p) => p.x,
    (p) => p.y,
  );
  new Constrainautor(found).constrainAll(sides);
  const triangles: [number, number, number][] = [];
  for (let t = 0; t < found.triangles.length; t += 3) {
    const [i, j, k] = [found.triangles[t]!, found.triangles[t + 1]!, found.triangles[t + 2]!];
    // What is filled in beside the piece and in its holes is not cloth, nor what lies between three points of a straight edge.
    const [a, b, c] = [points[i]!, points[j]!, points[k]!];
    const twice = Math.abs((b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y));
    if (twice < SLIVER * edge * edge) continue;
    const middle = { x: (a.x + b.x + c.x) / 3, y: (a.y + b.y + c.y) / 3 };
    if (loops.every((loop, n) => insidePolygon(middle, loop) === (n === 0))) triangles.push([i, j, k]);
  }
  return { points, triangles };
}

function inside(loops: readonly (readonly Point[])[], edge: number): readonly Point[] {
  const outline = loops[0]!;
  const [xs, ys] = [outline.map((p) => p.x), outline.map((p) => p.y)];
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const segments = loops.flatMap((loop) => loop.map((a, i) => [a, loop[(i + 1) % loop.length]!] as const));
  const out: Point[] = [];
  const row = edge * Math.sqrt(0.75);
  for (let r = 0; top + r * row < bottom; r++)
    for (let x = left + (r % 2 === 0 ? 0 : edge / 2); x < right; x += edge) {
      const p = { x, y: top + r * row };
      const within = loops.every((loop, i) => insidePolygon(p, loop) === (i === 0));
      if (within && segments.every(([a, b]) => apart(p, a, b) > CLEAR * edge)) out.push(p);
    }
  return out;
}

function apart(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const size = dx * dx + dy * dy;
  const t = size === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / size));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}
