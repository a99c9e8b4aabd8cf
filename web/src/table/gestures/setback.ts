import type { Point } from '@ample/core/geometry';
import { roundToUnit, type LengthUnit } from '@ample/core/units';

/** Dragging the side dart's tip: how far it stays behind the bust point. */
export function setbackFromDrag(to: Point, bustPoint: Point, dir: 1 | -1, unit: LengthUnit): number {
  return Math.min(80, Math.max(5, roundToUnit((to.x - bustPoint.x) * dir, unit, 16)));
}
