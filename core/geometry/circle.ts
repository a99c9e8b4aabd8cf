import { add, left, distance, dot, scale, sub, unit, type Point } from './vec.ts';

/**
 * Where two circles meet, on the same side of the line through their centres as `near`; null where they do not reach
 * each other. Circles that touch meet in one point. Lengths in mm.
 */
export function circlesMeet(a: Point, aRadius: number, b: Point, bRadius: number, near: Point): Point | null {
  const apart = distance(a, b);
  if (apart === 0) return null;
  const along = (apart * apart + aRadius * aRadius - bRadius * bRadius) / (2 * apart);
  const square = aRadius * aRadius - along * along;
  if (square < 0) return null;
  const axis = unit(sub(b, a));
  const side = left(axis);
  const height = Math.sqrt(square) * (dot(sub(near, a), side) < 0 ? -1 : 1);
  return add(a, add(scale(axis, along), scale(side, height)));
}
