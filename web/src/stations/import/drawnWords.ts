import { boundsOf, flatten } from '@ample/core/geometry';
import { formatLength } from '@ample/core/units';
import { PIECE_WORDS, type Units } from '@ample/core/words';
import type { DrawnPiece } from '../../store/drawn.ts';

/** A piece drawn by hand in a few words: which it is, and how large. */
export function sayDrawn(piece: DrawnPiece, i: number, { unit, fraction }: Units): string {
  const b = boundsOf(flatten(piece.outline, 1));
  const name = piece.part ? PIECE_WORDS[piece.part] : `Piece ${i + 1}`;
  return `${name}, ${formatLength(b.maxX - b.minX, unit, { fraction })} across and ${formatLength(b.maxY - b.minY, unit, { fraction })} down`;
}
