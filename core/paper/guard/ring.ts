import { once } from '../../units/index.ts';
import { boundsOf, flatten, type Box, type Path, type Point } from '../../geometry/index.ts';
import { outlineOf, type Piece } from '../../pattern/index.ts';

/** Chords of the outline lie this near to it, mm: a fold-over smaller than that cannot be cut with scissors. */
const CHORD = 0.2;

/** A closed outline as chords, each with the number of the edge it belongs to. */
export interface Ring {
  readonly points: readonly Point[];
  /** For the chord from point i to point i + 1. */
  readonly edge: readonly number[];
  readonly box: Box;
}

/** The seam line of a piece as chords. A piece never changes, so it is flattened once. */
export const ringOf = once((piece: Piece): Ring => ringFrom(piece.edges.map((e) => e.path)));

export function ringFrom(paths: readonly Path[], chord = CHORD): Ring {
  const points: Point[] = [];
  const edge: number[] = [];
  paths.forEach((path, e) => {
    for (const p of flatten(path, chord).slice(0, -1)) {
      points.push(p);
      edge.push(e);
    }
  });
  return { points, edge, box: boundsOf(points) };
}

/** Self-crossing is tested on chords of the curves. */
export const outlineRing = (piece: Piece): readonly Point[] => flatten(outlineOf(piece), CHORD);

/** Distance from a point to the chord from `a` to `b`, and how far along it the nearest place lies (0..1). */
export function toChord(p: Point, a: Point, b: Point): { readonly distance: number; readonly t: number } {
  const ux = b.x - a.x;
  const uy = b.y - a.y;
  const square = ux * ux + uy * uy;
  const t = square === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * ux + (p.y - a.y) * uy) / square));
  return { distance: Math.hypot(p.x - a.x - ux * t, p.y - a.y - uy * t), t };
}

/** True where two stretches cross each other in their insides; touching is not crossing. */
export function chordsCross(a: Point, b: Point, c: Point, d: Point): boolean {
  if (Math.max(a.x, b.x) < Math.min(c.x, d.x) || Math.max(c.x, d.x) < Math.min(a.x, b.x)) return false;
  if (Math.max(a.y, b.y) < Math.min(c.y, d.y) || Math.max(c.y, d.y) < Math.min(a.y, b.y)) return false;
  const side = (p: Point, q: Point, r: Point): number => (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}
