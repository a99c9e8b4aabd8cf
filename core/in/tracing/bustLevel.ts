import {
  distance,
  endOf,
  nearestLength,
  nearestOnPath,
  pathLength,
  pointAt,
  type Point,
} from '../../geometry/index.ts';
import { bustLineOf, centreEdgeOf, edgesWithRole, levelOf, type Edge, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';

/** The side seam of a piece from the underarm down: its edges, each with whether it runs down as the outline does. */
function sideDown(piece: Piece): readonly { readonly edge: Edge; readonly down: boolean }[] {
  const edges = edgesWithRole(piece, 'side').map((edge) => ({ edge, down: endOf(edge.path).y > edge.path.start.y }));
  const top = ({ edge }: { readonly edge: Edge }): number => Math.min(edge.path.start.y, endOf(edge.path).y);
  return [...edges].sort((a, b) => top(a) - top(b));
}

/** How far below the underarm, along the seam, the front's tape ends; null where it ends at no side seam. */
function belowUnderarm(front: Piece): number | null {
  const line = bustLineOf(front);
  const ends: readonly Point[] = [line[0]?.from, line.at(-1)?.to].filter((p) => p !== undefined);
  let above = 0;
  for (const { edge, down } of sideDown(front)) {
    const size = pathLength(edge.path);
    const at = ends.find((p) => nearestOnPath(edge.path, p).distance < TOL.touches);
    if (at) {
      const along = nearestLength(edge.path, at);
      return above + (down ? along : size - along);
    }
    above += size;
  }
  return null;
}

/** The place so far below the underarm along the side seam; null beyond its end. */
function placeBelow(piece: Piece, below: number): Point | null {
  let rest = below;
  for (const { edge, down } of sideDown(piece)) {
    const size = pathLength(edge.path);
    if (rest <= size) return pointAt(edge.path, down ? rest : size - rest);
    rest -= size;
  }
  return null;
}

/**
 * Backs without a bust level get one: level with the front's by the side seam that joins them. A front without a bust
 * point, or whose tape ends at no side seam, tells nothing.
 */
export function withBustLevels(pieces: readonly Piece[]): readonly Piece[] {
  const fronts = pieces.filter((p) => p.part === 'front' || p.part === 'sideFront');
  const below = fronts.map(belowUnderarm).find((b) => b !== null) ?? null;
  if (below === null) return pieces;
  return pieces.map((piece) => {
    if ((piece.part !== 'back' && piece.part !== 'sideBack') || levelOf(piece, 'bust')) return piece;
    const at = placeBelow(piece, below);
    const centre = centreEdgeOf(piece);
    if (!at) return piece;
    const inward = centre && distance(centre.path.start, at) > 0 ? Math.sign(at.x - centre.path.start.x) : 0;
    const x = centre ? centre.path.start.x + 6 * inward : at.x;
    return { ...piece, marks: [...piece.marks, { kind: 'level', id: 'bust', name: 'bust', at: { x, y: at.y } }] };
  });
}
