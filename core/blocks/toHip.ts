import { blend, pathFromSpans, pathLength, rotate, type CubicSpan, type Path, type Point } from '../geometry/index.ts';
import { TOL } from '../units/index.ts';
import { line, QUARTER } from './parts.ts';

interface ToHip {
  /** Sewn waist of the half, mm. */
  readonly waist: number;
  readonly dart: { readonly x: number; readonly length: number; readonly intake: number };
  /** Where the side crosses the hip line, and how far it leans outward there, radians. */
  readonly hip: Point;
  readonly flare: number;
}

/** A half of a skirt or of trousers from the waist to the hip. */
export interface HalfToHip {
  readonly waistCentre: Path;
  readonly mouth: Path;
  readonly waistSide: Path;
  readonly side: CubicSpan;
  readonly tip: Point;
}

/**
 * A waist with one upright dart, square to the centre at the origin and to the side, sewn as long as asked, and the
 * side in one curve from there to the hip. x goes from the centre to the side, y down.
 */
export function draftToHip({ waist, dart, hip, flare }: ToHip): HalfToHip {
  const opening = 2 * Math.atan(dart.intake / 2 / dart.length);
  const centreLeg = { x: dart.x - dart.intake / 2, y: 0 };
  const sideLeg = { x: dart.x + dart.intake / 2, y: 0 };
  let x = waist + dart.intake;
  let corner = { x, y: 0 };
  let lean = 0;
  let waistSide: Path = line(sideLeg, corner);
  for (let i = 0; i < 200; i++) {
    const chord = Math.atan2(hip.x - x, hip.y - corner.y);
    lean = 1.5 * chord - 0.5 * flare;
    corner = { x, y: (x - sideLeg.x) * Math.tan((opening - lean) / 2) };
    const square = rotate({ x: Math.sin(lean), y: Math.cos(lean) }, -QUARTER);
    waistSide = pathFromSpans([blend(sideLeg, rotate({ x: 1, y: 0 }, opening), corner, square)]);
    const excess = pathLength(waistSide) + centreLeg.x - waist;
    if (Math.abs(excess) < TOL.zero) break;
    x -= excess * 0.7;
  }
  const down = { x: Math.sin(flare), y: Math.cos(flare) };
  return {
    waistCentre: line({ x: 0, y: 0 }, centreLeg),
    mouth: line(centreLeg, sideLeg),
    waistSide,
    side: blend(corner, { x: Math.sin(lean), y: Math.cos(lean) }, hip, down, 0.36),
    tip: { x: dart.x, y: dart.length },
  };
}
