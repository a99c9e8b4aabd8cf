import { mapPath, reversePath, type Path, type Point } from '../geometry/index.ts';
import { once } from '../units/index.ts';
import { centreEdgeOf, outlineOf } from './access.ts';
import type { Beyond, Piece } from './types.ts';

/**
 * A piece as it is cut: what lies beyond its centre is part of the outline, in place of the centre edge. Notches on the
 * centre are inside the paper then and are left out. A piece with nothing beyond its centre is returned as it is.
 */
export const asCut = once((piece: Piece): Piece => {
  const { beyond, ...rest } = piece;
  const centre = centreEdgeOf(piece);
  if (!beyond || !centre) return piece;
  const edges = piece.edges.flatMap((e) => (e === centre ? beyond.edges : [e]));
  return { ...rest, edges, marks: piece.marks.filter((m) => m.kind !== 'notch' || m.edge !== centre.id) };
});

/** The seam line of a piece as it is cut, extension and facing with it. */
export const paperOutline = (piece: Piece): Path => outlineOf(asCut(piece));

/** A beyond carried by a map that keeps lengths; `turned` where the outline runs the other way afterwards. */
export function mapBeyond(beyond: Beyond, to: (p: Point) => Point, turned: boolean): Beyond {
  const edges = beyond.edges.map((e) => ({ ...e, path: mapPath(e.path, to) }));
  return {
    edges: turned ? edges.reverse().map((e) => ({ ...e, path: reversePath(e.path) })) : edges,
    folds: beyond.folds.map((f) => ({ from: to(f.from), to: to(f.to) })),
  };
}

/** The same for the optional extension and facing of a piece. */
export const mappedBeyond = (piece: Piece, to: (p: Point) => Point, turned: boolean): { readonly beyond?: Beyond } =>
  piece.beyond ? { beyond: mapBeyond(piece.beyond, to, turned) } : {};
