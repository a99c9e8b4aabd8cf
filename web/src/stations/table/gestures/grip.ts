import type { Grip, Value } from '@ample/core/alterations';
import { nearestLength, nearestOnPath, pathLength, pointAt, type Point } from '@ample/core/geometry';
import { snapPlaces, snapTo, snapToGrain, type Piece, type Snap } from '@ample/core/pattern';
import { roundToUnit, type LengthUnit } from '@ample/core/units';

const clamp = (value: number, min: number, max: number): number => Math.min(max, Math.max(min, value));

export interface Dragged {
  readonly value: Value;
  /** What the drag was drawn to, to be named beside it. */
  readonly snap: Snap | null;
}

export interface DragContext {
  readonly unit: LengthUnit;
  /** The piece the grip lies on, before the alteration: its notches and edges draw the drag. */
  readonly piece: Piece;
  /** How near a drag is drawn, mm; nothing while snapping is off. */
  readonly radius: number;
}

/** The value a grip takes when it is dragged to a point of its piece, in steps that a ruler shows. */
export function valueFromDrag(grip: Grip, to: Point, { unit, piece, radius }: DragContext): Dragged {
  switch (grip.kind) {
    case 'amount': {
      const moved = (to.x - grip.from.x) * grip.axis.x + (to.y - grip.from.y) * grip.axis.y;
      return { value: clamp(grip.per * roundToUnit(moved, unit, 16), grip.min, grip.max), snap: null };
    }
    case 'along': {
      const places = snapPlaces(piece).filter(
        (s) => s.kind !== 'corner' && nearestOnPath(grip.path, s.at).distance < 0.01,
      );
      const wanted = pointAt(grip.path, nearestLength(grip.path, to));
      const snap = snapTo(places, wanted, radius);
      const share = nearestLength(grip.path, snap?.at ?? wanted) / pathLength(grip.path);
      // A notch keeps its exact place; a free drag goes by hundredths.
      return { value: clamp(snap ? share : Math.round(share * 100) / 100, grip.min, grip.max), snap };
    }
    case 'point': {
      const snap = snapToGrain(grip.at, to, radius);
      const p = snap?.at ?? to;
      const hold = { x: snap?.kind === 'grain', y: snap?.kind === 'across' };
      return {
        value: { x: hold.x ? p.x : roundToUnit(p.x, unit, 16), y: hold.y ? p.y : roundToUnit(p.y, unit, 16) },
        snap,
      };
    }
    case 'outline': {
      const snap = snapTo(
        snapPlaces(piece).filter((s) => s.kind !== 'corner'),
        to,
        radius,
      );
      return { value: snap?.at ?? to, snap };
    }
  }
}

/** What a nudge by so much along the arrows means for a grip. */
export function nudgeOf(grip: Grip, by: Point): { readonly by: number } | { readonly to: Point } {
  switch (grip.kind) {
    case 'amount':
      return { by: grip.per * (by.x * grip.axis.x + by.y * grip.axis.y) };
    case 'along':
      return { by: (by.x + by.y) / pathLength(grip.path) };
    default:
      return { to: { x: grip.at.x + by.x, y: grip.at.y + by.y } };
  }
}
