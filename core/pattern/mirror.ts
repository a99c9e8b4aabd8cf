import { mapPath, pathLength, reversePath, type Point } from '../geometry/index.ts';
import { edgeOf } from './access.ts';
import { mappedBeyond } from './beyond.ts';
import { flippedBustLine } from './bustLine.ts';
import { flippedWaistLine } from './waistLine.ts';
import { mapMark } from './marks.ts';
import type { Piece } from './types.ts';

/** The piece seen from the other side of the cloth: mirrored in x = `axis`, outline still clockwise. */
export function mirrorPiece(piece: Piece, axis = 0): Piece {
  const flip = (p: Point): Point => ({ x: 2 * axis - p.x, y: p.y });
  return {
    ...piece,
    ...flippedBustLine(piece.bustLine, flip),
    ...flippedWaistLine(piece.waistLine, flip),
    ...mappedBeyond(piece, flip, true),
    edges: [...piece.edges].reverse().map((e) => ({ ...e, path: reversePath(mapPath(e.path, flip)) })),
    darts: piece.darts.map((d) => ({ ...d, tip: flip(d.tip), foldToward: d.foldToward === 'start' ? 'end' : 'start' })),
    marks: piece.marks.map((m) => {
      if (m.kind !== 'notch') return mapMark(m, flip);
      const edge = edgeOf(piece, m.edge);
      return edge ? { ...m, at: pathLength(edge.path) - m.at } : m;
    }),
  };
}
