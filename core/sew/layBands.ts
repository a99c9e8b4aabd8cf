import { armTube, type Figure } from '../form/index.ts';
import { joinPaths, nearestOnPath, pathLength, splitPath, type Point } from '../geometry/index.ts';
import { requireEdge, type Piece, type Seam } from '../pattern/index.ts';
import { sidesOf } from './bands.ts';
import type { Sewn, Toile } from './toile.ts';

/** A way in space, 1 long. */
type Way = readonly [number, number, number];

/** How a collar falls when it is laid: outward and down. */
const FALLS = { outward: 0.75, down: 0.66 } as const;

/**
 * Lays bands on from the seams that hold them, into `out` (m), where the pieces they are sewn to lie already: upward from a neckline
 * or a waist, downward from a lower edge, on along the arm from a sleeve; a collar falls outward over what it is sewn to.
 */
export function layBands(figure: Figure, toile: Toile, seams: readonly Seam[], out: Float64Array): void {
  const { way } = armTube(figure);
  for (const band of toile.bands) {
    const panel = toile.panels.find((p) => p.piece === band.piece)!;
    const set = new Set(band.line.map((p) => p.point));
    const place = alongSeam(band, out);
    const up: Way = [0, hangsBelow(band, toile, seams) ? -1 : 1, 0];
    const middle = band.line.reduce((sum, p) => sum + out[3 * p.point + 2]!, 0) / band.line.length;
    const onward = (x: number, z: number): Way => {
      if (band.cuff) return [way.x, way.y, way.z];
      if (!band.falls) return up;
      const size = Math.hypot(x, z - middle) || 1;
      return [(FALLS.outward * x) / size, -FALLS.down, (FALLS.outward * (z - middle)) / size];
    };
    panel.points.forEach((i, k) => {
      if (set.has(i)) return;
      const { at, off } = place(panel.places[k]!);
      const n = onward(at[0], at[2]);
      for (let d = 0; d < 3; d++) out[3 * i + d] = at[d]! + (off / 1000) * n[d]!;
    });
  }
}

/** Where on its seam a place of a band belongs, m, and how far off it lies on the paper, mm. */
function alongSeam({ piece, edges, line }: Sewn, x: Float64Array): (p: Point) => { at: Way; off: number } {
  const path = joinPaths(edges.map((id) => requireEdge(piece, id).path));
  return (p) => {
    const near = nearestOnPath(path, p);
    const s = pathLength(splitPath(path, near)[0]);
    const next = Math.max(
      1,
      line.findIndex((q) => q.at >= s),
    );
    const [a, b] = [line[next - 1]!, line[next]!];
    const share = Math.min(1, Math.max(0, (s - a.at) / (b.at - a.at || 1)));
    const between = (d: number): number => (1 - share) * x[3 * a.point + d]! + share * x[3 * b.point + d]!;
    return { at: [between(0), between(1), between(2)], off: near.distance };
  };
}

/** Whether a band is sewn to the lower edge of a piece. */
function hangsBelow({ piece }: Sewn, { panels }: Toile, seams: readonly Seam[]): boolean {
  const sides = seams.map(sidesOf);
  const other = sides.find((all) => all.some((x) => x.piece === piece.id))?.find((x) => x.piece !== piece.id);
  const on = other && panels.find((p) => p.piece.id === other.piece)?.piece;
  if (!other || !on) return false;
  return (
    middleOf(on, other.edges) >
    middleOf(
      on,
      on.edges.map((e) => e.id),
    )
  );
}

/** How low edges lie on the paper on the whole, mm. */
function middleOf(piece: Piece, edges: readonly string[]): number {
  const ys = edges
    .map((id) => requireEdge(piece, id).path)
    .flatMap(({ start, segments }) => [start, ...segments.map((s) => s.to)])
    .map((p) => p.y);
  return (Math.min(...ys) + Math.max(...ys)) / 2;
}
