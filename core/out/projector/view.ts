import type { Box, Point } from '../../geometry/index.ts';
import type { Calibration } from './calibrate.ts';

/** How a piece is thrown onto the table. */
export interface ProjectorView {
  /** Clockwise as seen on the table, degrees. */
  readonly turned: number;
  /** Turned over, as the other half is cut. */
  readonly flipped: boolean;
  /** Slid on the table, mm. */
  readonly slid: Point;
}

/** Piece millimetres to screen pixels: x' = a·x + c·y + e, y' = b·x + d·y + f. */
export interface Throw {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
}

/**
 * Where a piece lands on the screen so that it lies true on the table: turned and turned over about the middle of its
 * box, slid, and only then scaled by what the projector makes of a pixel each way.
 */
export function throwOf(
  box: Box,
  view: ProjectorView,
  { across, down }: Calibration,
  screen: { readonly width: number; readonly height: number },
): Throw {
  const angle = (view.turned * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const over = view.flipped ? -1 : 1;
  const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  const a = across * cos * over;
  const b = down * sin * over;
  const c = -across * sin;
  const d = down * cos;
  return {
    a,
    b,
    c,
    d,
    e: screen.width / 2 + across * view.slid.x - a * middle.x - c * middle.y,
    f: screen.height / 2 + down * view.slid.y - b * middle.x - d * middle.y,
  };
}
export const thrown = (t: Throw, p: Point): Point => ({
  x: t.a * p.x + t.c * p.y + t.e,
  y: t.b * p.x + t.d * p.y + t.f,
});

/** What the picture covers of the table, mm. */
export const fieldOf = (
  screen: { readonly width: number; readonly height: number },
  { across, down }: Calibration,
): { readonly width: number; readonly height: number } => ({
  width: screen.width / across,
  height: screen.height / down,
});

/** Whether a piece fits into the picture as it lies, turned a quarter, or only in parts. */
export function fitsField(
  box: Box,
  field: { readonly width: number; readonly height: number },
  turned: number,
): 'fits' | 'fits-turned' | 'in-parts' {
  const [w, h] = [box.maxX - box.minX, box.maxY - box.minY];
  const angle = (turned * Math.PI) / 180;
  const [cos, sin] = [Math.abs(Math.cos(angle)), Math.abs(Math.sin(angle))];
  const lies = (x: number, y: number): boolean => x <= field.width && y <= field.height;
  if (lies(w * cos + h * sin, w * sin + h * cos)) return 'fits';
  return lies(w * sin + h * cos, w * cos + h * sin) ? 'fits-turned' : 'in-parts';
}
