import { boundsOf, flatten } from '../../geometry/index.ts';
import { cuttingLine, type Piece } from '../../pattern/index.ts';
import { ADVICE } from '../../units/index.ts';

/** A piece that has become wider across the grain, mm: the layout printed with the pattern may no longer do. */
export interface Wider {
  readonly piece: string;
  readonly name: string;
  readonly before: number;
  readonly after: number;
}

/** Pieces by id, as drafted and as altered; where the sides differ, the wider side counts. */
export function widerPieces(
  original: readonly Piece[],
  left: readonly Piece[],
  right: readonly Piece[],
): readonly Wider[] {
  return original.flatMap((was): readonly Wider[] => {
    const now = [left, right].flatMap((side) => side.filter((p) => p.id === was.id).map(widthOf));
    const [before, after] = [widthOf(was), Math.max(0, ...now)];
    return after - before >= ADVICE.moreCloth ? [{ piece: was.id, name: was.name, before, after }] : [];
  });
}

const widthOf = (piece: Piece): number => {
  const box = boundsOf(flatten(cuttingLine(piece), 0.5));
  return box.maxX - box.minX;
};

/** What to ask for in the shop: the laid length with so much for shrinking and straight ends, up to the next 10 cm. */
export const clothToBuy = (length: number, shrink: number): number => Math.ceil((length * (1 + shrink)) / 100) * 100;
