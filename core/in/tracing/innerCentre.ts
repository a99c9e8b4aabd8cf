import { distance, nearestOnPath, spansOf, type LineSpan, type Path, type Point } from '../../geometry/index.ts';
import { centreEdgeOf, middleX, outlineOf, type CentreInside, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';

/** A centre or a fold lies so far inside the outer edge of an extension or a facing, mm. */
const NEAREST = 8;
const FARTHEST = 160;
/** It runs along so much of that edge, from seam to seam or cut to cut. */
const MOSTLY = 0.85;

/**
 * Lines that run beside the outer edge of a piece from its top to its bottom: the centre line, and the fold of a facing.
 * How far inside that edge each lies, the nearest first, mm. `paths` lie as the piece does.
 */
export function linesBesideCentre(
  piece: Piece,
  paths: readonly Path[],
  grain: { readonly from: Point; readonly to: Point } | null,
): readonly number[] {
  const edge = centreEdgeOf(piece);
  if (!edge || piece.fold === edge.id) return [];
  const [a, b] = [edge.path.start, edge.path.segments.at(-1)?.to ?? edge.path.start];
  const outline = outlineOf(piece);
  const inward = Math.sign(middleX(piece) - a.x);
  const lines = paths.flatMap((p) => spansOf(p).filter((s): s is LineSpan => s.kind === 'line'));
  const isGrain = (s: LineSpan): boolean =>
    grain !== null && [s.a, s.b].every((p) => [grain.from, grain.to].some((g) => distance(p, g) < TOL.touches));
  const found = lines.flatMap((s): readonly number[] => {
    const inside = (s.a.x - a.x) * inward;
    const upright = Math.abs(s.a.x - s.b.x) < TOL.touches;
    const long = Math.abs(s.a.y - s.b.y) >= MOSTLY * Math.abs(a.y - b.y);
    const through = [s.a, s.b].every((p) => nearestOnPath(outline, p).distance < FARTHEST / 4);
    return upright && long && through && inside > NEAREST && inside < FARTHEST && !isGrain(s) ? [inside] : [];
  });
  const sorted = [...found].sort((p, q) => p - q);
  return sorted.filter((v, i) => i === 0 || v - (sorted[i - 1] ?? 0) > TOL.touches);
}

/** Two lines beside the edge are fold and centre; one alone may be either, and nothing is taken for granted. */
export const centreFromLines = (inside: readonly number[]): CentreInside | null =>
  inside.length === 2 ? { fold: inside[0] ?? 0, centre: inside[1] ?? 0 } : null;
