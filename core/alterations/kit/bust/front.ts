import { endOf, type Point } from '../../../geometry/index.ts';
import {
  edgesWithRole,
  sideDirection,
  type Dart,
  type Edge,
  type EdgeRole,
  type Piece,
} from '../../../pattern/index.ts';
import { ok, refuse, type Result, cyclic } from '../../../units/index.ts';

/** What a bust alteration needs of the front: where it hinges, and through which dart it opens. */
export interface BustHow {
  /** Seam that carries the hinge. */
  readonly hinge: Extract<EdgeRole, 'armhole' | 'raglan' | 'underarm'>;
  /**
   * `side`: line 2 runs through the side dart. `none`: it begins in the bare side seam. `either`: whichever there is.
   * Else the opening is turned into this dart.
   */
  readonly dart: 'side' | 'none' | 'either' | Exclude<Dart['kind'], 'side' | 'elbow' | 'other'>;
}

/** The front piece, its darts and what lies around them. `dir` is +1 where the side is to the right. */
export interface Front {
  readonly piece: Piece;
  readonly dir: 1 | -1;
  /** Edges that carry the hinge, in outline order. */
  readonly hingeEdges: readonly Edge[];
  /** Edges of the side seam in outline order. */
  readonly sides: readonly Edge[];
  /** Line 2 runs through this dart; null where it begins in the seam. */
  readonly sideDart: Dart | null;
  /** The opening is turned into this dart in the end. */
  readonly goal: Dart | null;
  readonly waistDart: Dart | null;
}

export function findFront(pieces: readonly Piece[], how: BustHow): Result<Front> {
  const piece = pieces.find((p) => p.part === 'front');
  if (!piece) return refuse('front-not-found');
  const data = { piece: piece.name };
  if (edgesWithRole(piece, 'centreFront').length === 0) return refuse('centre-front-missing', data);
  if (edgesWithRole(piece, 'princess').length > 0) return refuse('front-has-princess', data);
  const hingeEdges = edgesWithRole(piece, how.hinge);
  if (hingeEdges.length === 0) return refuse(`${how.hinge}-missing`, data);
  const sides = edgesWithRole(piece, 'side');
  if (sides.length === 0) return refuse('side-missing', data);
  const sideDart = piece.darts.find((d) => d.kind === 'side') ?? null;
  const waistDart = piece.darts.find((d) => d.kind === 'waist') ?? null;
  const found = { piece, dir: sideDirection(piece), hingeEdges, sides, waistDart };
  if (how.dart === 'side' || (how.dart === 'either' && sideDart)) {
    if (!sideDart) return refuse('no-side-dart', data);
    if (besideDart(piece, sideDart).some((e) => e.role !== 'side')) return refuse('dart-not-in-side-seam', data);
    return ok({ ...found, sideDart, goal: null });
  }
  if (sideDart) return refuse('front-has-side-dart', data);
  if (how.dart === 'none' || how.dart === 'either') return ok({ ...found, sideDart: null, goal: null });
  const goal = piece.darts.find((d) => d.kind === how.dart);
  if (!goal) return refuse('no-such-dart', { ...data, dart: how.dart });
  return ok({ ...found, sideDart: null, goal: how.dart === 'waist' ? null : goal });
}

/** The two edges beside a dart's mouth. */
export function besideDart(piece: Piece, dart: Dart): readonly [Edge, Edge] {
  const i = piece.edges.findIndex((e) => e.id === dart.mouth);
  return [cyclic(piece.edges, i - 1), cyclic(piece.edges, i + 1)];
}

/** The lower of the side seam's edges: where a width is given back. */
export const lowerSide = (front: Front): Edge => front.sides.reduce((best, e) => (bottom(e) > bottom(best) ? e : best));
const bottom = (e: Edge): number => Math.max(e.path.start.y, endOf(e.path).y);

/** The upper end of the side seam. */
export const underarmOf = (front: Front): { readonly edge: Edge; readonly at: Point } => {
  const edge = front.sides.reduce((best, e) => (topOf(e).y < topOf(best).y ? e : best));
  return { edge, at: topOf(edge) };
};
const topOf = (e: Edge): Point => (e.path.start.y < endOf(e.path).y ? e.path.start : endOf(e.path));

export const centreX = (piece: Piece): number => edgesWithRole(piece, 'centreFront')[0]?.path.start.x ?? 0;
