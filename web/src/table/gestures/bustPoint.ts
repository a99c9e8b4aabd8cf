import type { Point } from '@ample/core/geometry';
import { roundToUnit, type LengthUnit } from '@ample/core/units';

/** Dragging the bust point: anywhere on the piece, in steps a ruler shows. */
export const bustPointFromDrag = (to: Point, unit: LengthUnit): Point => ({
  x: roundToUnit(to.x, unit, 16),
  y: roundToUnit(to.y, unit, 16),
});
