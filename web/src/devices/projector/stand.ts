import type { Drawn } from '@ample/core/out/projector';

/** How the stand-in projector hangs over its table. */
export interface Stand {
  /** Height over the table, as a share of the usual: everything is thrown so much larger. */
  readonly height: number;
  /** How much wider than high. */
  readonly stretch: number;
  /** The picture's upright leans by so many degrees. */
  readonly lean: number;
}
/** Not quite right, as one finds a projector after hanging it. */
export const USUAL_STAND: Stand = { height: 0.93, stretch: 1.03, lean: 0 };

/** Millimetres of the table for a pixel, hung at the usual height. */
const MM_PER_PIXEL = 1.05;
type Matrix = readonly [number, number, number, number, number, number];

/** Pixels of the projector to millimetres of the table, the picture's middle on the table's. */
export function tableOf(
  { height, stretch, lean }: Stand,
  picture: { readonly width: number; readonly height: number },
  table: { readonly width: number; readonly height: number },
): Matrix {
  const down = MM_PER_PIXEL * height;
  const across = down * stretch;
  const side = down * Math.tan((lean * Math.PI) / 180);
  return [
    across,
    0,
    side,
    down,
    table.width / 2 - (across * picture.width + side * picture.height) / 2,
    table.height / 2 - (down * picture.height) / 2,
  ];
}

/** What a tape reads of a square on the table, to the half millimetre as tapes are read. */
export function tapeReads(
  stand: Stand,
  { width, height }: Drawn,
): { readonly across: number; readonly down: number; readonly rising: number; readonly falling: number } {
  const [a, , c, d] = tableOf(stand, { width, height }, { width: 0, height: 0 });
  const read = (x: number, y: number): number => Math.round(2 * Math.hypot(a * x + c * y, d * y)) / 2;
  return {
    across: read(width, 0),
    down: read(0, height),
    falling: read(width, height),
    rising: read(width, -height),
  };
}
