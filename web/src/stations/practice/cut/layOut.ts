import { boundsOf, boxAround, flatten, type Box, type Point } from '@ample/core/geometry';
import { outlineOf, type Piece } from '@ample/core/pattern';

/** Room around the pieces for what opens, and between them, mm. */
const ROOM = 90;

const pieceBox = (p: Piece): Box => boundsOf(flatten(outlineOf(p)));

/** Pieces side by side, with room to open. */
export function layOut(pieces: readonly Piece[]): { readonly offsets: readonly Point[]; readonly mat: Box } {
  let x = 0;
  const offsets = pieces.map((p) => {
    const box = pieceBox(p);
    const at = { x: x - box.minX, y: -box.minY };
    x += box.maxX - box.minX + ROOM;
    return at;
  });
  const boxes = pieces.map((p, i) => {
    const box = pieceBox(p);
    const { x: dx, y: dy } = offsets[i] as Point;
    return { minX: box.minX + dx, maxX: box.maxX + dx, minY: box.minY + dy, maxY: box.maxY + dy };
  });
  const all = boxAround(boxes);
  const half = ROOM / 2;
  return {
    offsets,
    mat: { minX: all.minX - half, minY: all.minY - half, maxX: all.maxX + half, maxY: all.maxY + half },
  };
}
