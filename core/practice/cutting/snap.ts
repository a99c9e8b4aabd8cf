import { distance, intersectPaths, nearestOnPath, polyline, type Point } from '../../geometry/index.ts';
import { isInside, outlineOf, type Piece } from '../../pattern/index.ts';
import { PRACTICE, TOL } from '../../units/index.ts';
import type { Line } from './sheet.ts';

/**
 * Lines as scissors follow them: what runs out over the seam line ends on it, and ends that nearly meet the seam line or an
 * earlier line do meet it. A line without length is none.
 */
export function snappedLines(piece: Piece, lines: readonly Line[]): readonly Line[] {
  const outline = outlineOf(piece);
  const done: Line[] = [];
  for (const line of lines) {
    const clipped = onPaper(piece, line.points);
    const points = clipped.map((p, i) => {
      if (i > 0 && i < clipped.length - 1) return p;
      const corner = piece.edges.map((e) => e.path.start).find((c) => distance(c, p) < TOL.join);
      if (corner) return corner;
      const near = nearestOnPath(outline, p);
      const others = done.map((o) => nearestOnPath(polyline(o.points), p)).sort((a, b) => a.distance - b.distance);
      if (near.distance < PRACTICE.reach && near.distance <= (others[0]?.distance ?? Infinity)) return near.point;
      // An end near a bend of another line, as at the bust point, is meant to meet it there.
      const bend = done.flatMap((o) => o.points).find((q) => distance(p, q) < PRACTICE.reach);
      if (bend) return bend;
      return others[0] && others[0].distance < PRACTICE.reach ? others[0].point : p;
    });
    const kept = points.filter((p, i) => i === 0 || distance(p, points[i - 1] as Point) > TOL.join);
    if (kept.length > 1) done.push({ ...line, points: kept });
  }
  return done;
}

/** The part of a line on the paper: its ends cut off where they run out over the seam line. */
function onPaper(piece: Piece, points: readonly Point[]): readonly Point[] {
  const cutEnd = (line: readonly Point[]): readonly Point[] => {
    const [first, ...rest] = line;
    if (!first || isInside(piece, first)) return line;
    const near = nearestOnPath(outlineOf(piece), first);
    if (near.distance < PRACTICE.reach) return [near.point, ...rest];
    for (const [i, to] of rest.entries()) {
      const from = line[i] as Point;
      const [hit] = intersectPaths(polyline([from, to]), outlineOf(piece))
        .map((h) => h.point)
        .sort((a, b) => distance(from, a) - distance(from, b));
      if (hit) return [hit, ...rest.slice(i)];
      if (isInside(piece, to)) return rest.slice(i);
    }
    return line;
  };
  return [...cutEnd([...cutEnd(points)].reverse())].reverse();
}
