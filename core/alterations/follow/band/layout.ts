import { distance, intersectPaths, pathLength, pointAt, polyline, type Point } from '../../../geometry/index.ts';
import { requireEdge } from '../../../pattern/index.ts';
import type { Context } from '../../contract.ts';
import { type LevelBand } from '../../kit/band.ts';
import { sideLengthOf, type Following } from '../../kit/follow.ts';

/** Band to neckline as drafted: often less than one, for a band is stretched on. */
export function ratioOf(context: Context, f: Following): number {
  const band = context.original.find((p) => p.id === f.follower.id);
  const neck = context.original.find((p) => p.id === f.leader.id);
  const was = context.originalSeams.find((s) => s.id === f.seam.id);
  if (!band || !neck || !was) return 1;
  const [bandSide, neckSide] = was.first.piece === band.id ? [was.first, was.second] : [was.second, was.first];
  return sideLengthOf(band, bandSide) / sideLengthOf(neck, neckSide);
}

/** How long the neckline was drafted that this part of the band is sewn to. */
export function draftedNeck(context: Context, f: Following): number {
  const neck = context.original.find((p) => p.id === f.leader.id);
  const was = context.originalSeams.find((s) => s.id === f.seam.id);
  const side = was && [was.first, was.second].find((s) => s.piece === f.leader.id);
  return neck && side ? sideLengthOf(neck, side) : sideLengthOf(f.leader, f.leading);
}

/** A line straight across the band, from the middle of a seam edge to the edge beyond it, on the level band. */
export function across({ piece, top, bottom }: LevelBand, edge: string): { readonly at: Point; readonly to: Point } {
  const path = requireEdge(piece, edge).path;
  const at = pointAt(path, pathLength(path) / 2);
  const far = Math.abs(top - at.y) > Math.abs(bottom - at.y) ? top : bottom;
  const line = polyline([at, { x: at.x, y: far + Math.sign(far - at.y) }]);
  const met = piece.edges
    .filter((e) => e.id !== edge)
    .flatMap((e) => intersectPaths(line, e.path))
    .filter((h) => distance(h.point, at) > 1)[0];
  return { at, to: met?.point ?? { x: at.x, y: far } };
}
