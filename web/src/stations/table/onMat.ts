import type { Point } from '@ample/core/geometry';

/** What everything on the mat needs to know of where it lies. */
export interface OnMat {
  /** Where the piece lies on the mat. */
  readonly offset: Point;
  /** Screen pixels for a millimetre. */
  readonly k: number;
  readonly toMat: (clientX: number, clientY: number) => Point;
}

/** How near a drag is drawn to a notch or a third, in screen pixels. */
export const SNAP_PIXELS = 9;
