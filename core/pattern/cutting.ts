import { joinPaths, offsetEdges, type Path } from '../geometry/index.ts';
import type { Piece } from './types.ts';

/**
 * The line to cut along: the seam line offset outward by each edge's allowance, corners mitred, dart caps
 * included because they are edges. The fold has no allowance. Closed; derived, never stored.
 */
export function cuttingLine(piece: Piece): Path {
  const allowances = piece.edges.map((e) => (e.id === piece.fold ? 0 : e.allowance));
  return joinPaths(
    offsetEdges(
      piece.edges.map((e) => e.path),
      allowances,
      true,
    ),
  );
}
