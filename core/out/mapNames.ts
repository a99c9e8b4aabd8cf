import type { Point } from '../geometry/index.ts';
import { lyingBox, type Placed } from './pages.ts';

/** A letter is about so wide, in heights of the lettering. */
const LETTER = 0.55;
export interface NameOnMap {
  /** In one line, or word by word where that would be too small. */
  readonly lines: readonly string[];
  readonly at: Point;
  /** It runs upwards, along a piece that is taller than wide. */
  readonly upright: boolean;
  /** Height of the lettering, mm on the sheet. */
  readonly size: number;
}
/** The name of a piece for the map, in the middle of it: along its longer side, as large as fits between two sizes. */
export function nameOnMap(placed: Placed, least: number, most: number): NameOnMap {
  const { minX, minY, maxX, maxY } = lyingBox(placed);
  const [w, h] = [maxX - minX, maxY - minY];
  const text = placed.drawing.piece.name;
  const at = { x: (minX + maxX) / 2 + placed.dx, y: (minY + maxY) / 2 + placed.dy };
  const size = Math.min(most, Math.max(w, h) / (LETTER * text.length));
  if (size >= least) return { lines: [text], at, upright: h > w && w < LETTER * text.length * size, size };
  return { lines: text.split(' '), at, upright: false, size: least };
}
