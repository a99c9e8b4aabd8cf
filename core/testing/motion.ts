import type { Rigid } from '../geometry/index.ts';
import { degrees } from '../units/index.ts';

/** A rigid motion as a turn about its fixed point, or a shift. Written apart from the report's own, to check it. */
export function describeMotion(m: Rigid): {
  turnDegrees: number;
  about: { x: number; y: number } | null;
  shift: { x: number; y: number } | null;
} {
  if (m.angle === 0) return { turnDegrees: 0, about: null, shift: { x: m.x, y: m.y } };
  // Half-angle form of the fixed point: c = d/2 + cot(θ/2)·(−d.y, d.x)/2.
  const k = 1 / Math.tan(m.angle / 2);
  return { turnDegrees: degrees(m.angle), about: { x: (m.x - k * m.y) / 2, y: (m.y + k * m.x) / 2 }, shift: null };
}
