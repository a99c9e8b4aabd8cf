import { drawPiece } from '@ample/core/out';
import type { Box, Point } from '@ample/core/geometry';
import type { Piece } from '@ample/core/pattern';

const MARGIN = 45;
const GAP = 85;
const LEAST = 230;

export interface MatLayout {
  readonly at: Readonly<Record<string, Point>>;
  readonly mat: Box;
}

/** How much wider than high the mat should come out, as a screen is. */
const SHAPE = 1.2;

/**
 * Where each piece lies before anyone moves it: in rows by the untouched outlines, so that nothing jumps while an
 * amount changes. What a piece was divided into lies last of all.
 */
export function layOut(original: readonly Piece[], born: readonly Piece[] = []): MatLayout {
  const boxes = [...original, ...born].map((piece) => ({ piece, b: drawPiece(piece).bounds }));
  // A small piece keeps room for its name.
  const widths = boxes.map(({ b }) => Math.max(LEAST, b.maxX - b.minX) + GAP);
  const whole = widths.reduce((n, w) => n + w, 0);
  const tallest = Math.max(0, ...boxes.map(({ b }) => b.maxY - b.minY + GAP));
  // As few rows as keep the mat no wider than the screen is for its height.
  const rows = Math.max(1, Math.round(Math.sqrt(whole / (SHAPE * tallest || 1))));
  const most = Math.max(...widths, whole / rows);
  let x = MARGIN;
  let y = MARGIN;
  let row = 0;
  let right = 0;
  const at: Record<string, Point> = {};
  for (const { piece, b } of boxes) {
    const own = b.maxX - b.minX;
    const width = Math.max(LEAST, own);
    if (x > MARGIN && x + width > most + MARGIN + GAP) {
      x = MARGIN;
      y += row + GAP + 70;
      row = 0;
    }
    at[piece.id] = { x: x + (width - own) / 2 - b.minX, y: y - b.minY };
    x += width + GAP;
    right = Math.max(right, x);
    row = Math.max(row, b.maxY - b.minY);
  }
  return {
    at,
    mat: {
      minX: 0,
      minY: 0,
      maxX: Math.max(300, Math.ceil((right - GAP + MARGIN + 25) / 50) * 50),
      maxY: Math.max(300, Math.ceil((y + row + MARGIN + (rows > 1 ? 170 : 100)) / 50) * 50),
    },
  };
}
