import { angleOf, sub, type Point } from '../geometry/index.ts';

/** How wide the stretch from a to b is seen from a point, radians, 0..π. */
export function seenFrom(p: Point, a: Point, b: Point): number {
  const turn = Math.abs(angleOf(sub(a, p)) - angleOf(sub(b, p)));
  return Math.min(turn, 2 * Math.PI - turn);
}
