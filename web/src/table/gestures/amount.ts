import type { Point } from '@ample/core/geometry';
import { roundToUnit, type LengthUnit } from '@ample/core/units';

/** Dragging the edge of the gap: how far the bust point moves sideways, twice over for the whole front. */
export function amountFromDrag(
  to: Point,
  bustPoint: Point,
  dir: 1 | -1,
  limits: { readonly min: number; readonly max: number },
  unit: LengthUnit,
): number {
  const half = (to.x - bustPoint.x) * dir;
  const rounded = 2 * roundToUnit(half, unit, 16);
  return Math.min(limits.max, Math.max(limits.min, rounded));
}
