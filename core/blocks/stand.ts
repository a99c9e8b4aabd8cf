import { endOf, reversePath, type Path, type Point } from '../geometry/index.ts';
import { underFold } from '../paper/truing/index.ts';
import { centreEdgeOf, requireEdge, type Piece } from '../pattern/index.ts';
import { edge, line } from './parts.ts';

/** A button extension and a facing cut on at the centre front: from the centre to the fold, and from there on, mm. */
export interface Stand {
  readonly extension: number;
  readonly facing: number;
}

/**
 * A half front, its centre to the left, with extension and facing cut on: neckline and hem run straight on over the
 * extension, and the facing mirrors both across the fold. Cut as a pair.
 */
export function withStand(front: Piece, { extension, facing }: Stand): Piece {
  const centre = centreEdgeOf(front);
  if (!centre) throw new Error(`withStand: expected a centre on ${front.id}`);
  const [low, high] = [centre.path.start, endOf(centre.path)];
  const fold = low.x - extension;
  /** What the facing lies under, from the fold inward, turned over. */
  const under = (corner: Point, seam: Path): Path => {
    const path = underFold(fold, corner, seam, facing);
    if (!path) throw new Error(`withStand: expected ${facing} mm of facing to lie under ${front.id}`);
    return path;
  };
  const lower = under(low, reversePath(requireEdge(front, 'hem').path));
  const upper = under(high, requireEdge(front, 'neck').path);
  const hem = requireEdge(front, 'hem').allowance;
  return {
    ...front,
    cut: 2,
    fold: null,
    beyond: {
      edges: [
        edge('extensionHem', 'other', line(low, { x: fold, y: low.y }), hem),
        edge('facingHem', 'other', lower, hem),
        edge('facingEdge', 'other', line(endOf(lower), endOf(upper)), 10),
        edge('facingNeck', 'other', reversePath(upper)),
        edge('extensionNeck', 'other', line({ x: fold, y: high.y }, high)),
      ],
      folds: [{ from: { x: fold, y: high.y }, to: { x: fold, y: low.y } }],
    },
    buttons: { count: 8, first: 12, last: 60, atBust: true, atWaist: true },
  };
}
