import { nearestLength, pathLength, type Path, type Point } from '@ample/core/geometry';

/** Dragging the pin along the armhole: the share of its length from the shoulder, whole hundredths. */
export function hingeFromDrag(to: Point, armhole: Path): number {
  const share = nearestLength(armhole, to) / pathLength(armhole);
  return Math.min(0.95, Math.max(0.3, Math.round(share * 100) / 100));
}
