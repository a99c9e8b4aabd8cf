import { drawPiece } from '@ample/core/formats';
import type { Box, Point } from '@ample/core/geometry';
import type { Piece } from '@ample/core/pattern';

const MARGIN = 45;
const GAP = 85;

export interface MatLayout {
  readonly at: Readonly<Record<string, Point>>;
  readonly mat: Box;
}

/**
 * Where each piece lies before anyone moves it: side by side by the untouched outlines, so that nothing jumps
 * while an amount changes. What a piece was divided into lies to the right of all.
 */
export function layOut(original: readonly Piece[], born: readonly Piece[]): MatLayout {
  let x = MARGIN;
  let bottom = 0;
  const at: Record<string, Point> = {};
  for (const piece of [...original, ...born]) {
    const { bounds: b } = drawPiece(piece);
    at[piece.id] = { x: x - b.minX, y: MARGIN - b.minY };
    x += b.maxX - b.minX + GAP;
    bottom = Math.max(bottom, b.maxY - b.minY);
  }
  return {
    at,
    mat: {
      minX: 0,
      minY: 0,
      maxX: Math.max(300, Math.ceil((x - GAP + MARGIN + 25) / 50) * 50),
      maxY: Math.max(300, Math.ceil((bottom + 2 * MARGIN + 100) / 50) * 50),
    },
  };
}
