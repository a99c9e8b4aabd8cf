import { pathLength, pointAt, type Point } from '../geometry/index.ts';
import { requireEdge, type Piece } from '../pattern/index.ts';
import { plainChoices, type TraceChoices } from '../in/tracing/index.ts';

/** The middle of an edge of a piece. */
export const middle = (piece: Piece, edge: string): Point => {
  const path = requireEdge(piece, edge).path;
  return pointAt(path, pathLength(path) / 2);
};

/**
 * What a sewist says who knows the pattern: the fold, and allowances that are not the usual. `onSheet` tells where a
 * place of the piece lies on the sheet it is traced from.
 */
export function knowing(piece: Piece, onSheet: (p: Point) => Point = (p) => p): TraceChoices {
  return {
    ...plainChoices(piece.id, piece.name),
    part: piece.part,
    said: [
      ...(piece.fold === null ? [] : [{ at: onSheet(middle(piece, piece.fold)), fold: true }]),
      ...piece.edges
        .filter((e) => e.allowance !== 15 && e.role !== 'dart' && e.id !== piece.fold)
        .map((e) => ({ at: onSheet(middle(piece, e.id)), allowance: e.allowance })),
    ],
  };
}
