import { mapPath, type Path, type Point } from '../../geometry/index.ts';
import { boxOf, type Lettering, type Lines, type Marked } from './lines.ts';
import { moveMarked, placeWithin } from './places.ts';
import { strokeOf } from './typed.ts';

/** A piece drawn over a picture or read off a mat, in its own millimetres. */
export interface DrawnByHand {
  readonly outline: Path;
  readonly marked: Marked;
  /** What is known of it, as a pattern would print it: its name, its size. */
  readonly says: readonly string[];
}

/** Between pieces that lie beside each other, and around them, mm. */
const BETWEEN = 60;
/** How far one line of lettering lies below the other, mm. */
const LINE = 6;

/** Pieces drawn by hand as one drawing, beside each other, so that they are read like those of a file. */
export function sheetOfDrawn(pieces: readonly DrawnByHand[], source: 'picture' | 'mat'): Lines {
  let along = BETWEEN;
  let height = 0;
  const laid = pieces.map((piece) => {
    const box = boxOf(piece.outline);
    const by: Point = { x: along - box.minX, y: BETWEEN - box.minY };
    along += box.maxX - box.minX + BETWEEN;
    height = Math.max(height, box.maxY - box.minY);
    const to = (p: Point): Point => ({ x: p.x + by.x, y: p.y + by.y });
    const outline = mapPath(piece.outline, to);
    const inside = placeWithin(outline);
    const letters = piece.says.map((text, i): Lettering => {
      const at = { x: inside.x, y: inside.y + i * LINE };
      return { text, at, middle: at, page: 0, layer: '', block: '' };
    });
    return { stroke: strokeOf(outline), marked: moveMarked(piece.marked, to), letters };
  });
  return {
    source,
    strokes: laid.map((p) => p.stroke),
    letters: laid.flatMap((p) => p.letters),
    layers: [],
    styles: [{ id: 'own', color: null, width: 0.5, dash: [] }],
    pages: [{ width: along, height: height + 2 * BETWEEN }],
    unit: { name: 'mm', stated: true },
    repairs: [],
    pieces: [],
    marked: laid.map((p) => p.marked),
  };
}
