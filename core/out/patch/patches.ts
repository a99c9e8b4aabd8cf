import { boundsOf, type Box } from '../../geometry/index.ts';
import { isSoundRing } from '../../paper/guard/index.ts';
import { cuttingLine, type Piece } from '../../pattern/index.ts';
import { changedOn } from './changed.ts';
import { areaOf, common, FLAT, filled, grow, regionOf, unite, type Ring } from './regions.ts';
import { untouchedOf } from './untouched.ts';

/** Unchanged paper all round a patch, mm: lines to lay it by, and room for tape. */
export const TAPE = 25;
/** A patch sticks out over the edge of the tissue by so much at most, mm. */
const OVER = 5;
/** From this share of its piece on, a patch saves nothing: print the piece. */
export const MOST_OF = 0.7;

/** Paper to tape onto the tissue one has: a part of the altered piece, laid by lines that did not change. */
export interface Patch {
  readonly piece: Piece;
  readonly untouched: Piece;
  /** Its edge, closed, in the place where it belongs on the piece. */
  readonly ring: Ring;
  readonly bounds: Box;
  /** 1 of 2, 2 of 2. */
  readonly number: number;
  readonly of: number;
}
export interface PiecePatches {
  readonly piece: Piece;
  readonly patches: readonly Patch[];
  /** Paper of the patches, as a share of the piece's. */
  readonly share: number;
}

/** The patches of one piece, the uppermost first; none where nothing has changed. */
export function patchesOf(untouched: Piece, piece: Piece): PiecePatches {
  const now = regionOf(cuttingLine(piece), FLAT);
  const changed = changedOn(untouched, piece);
  if (changed.length === 0) return { piece, patches: [], share: 0 };
  const room = grow(unite(now, regionOf(cuttingLine(untouched), FLAT)), OVER);
  const rings = [...filled(common(grow(changed, TAPE), room))].sort((a, b) => boundsOf(a).minY - boundsOf(b).minY);
  const patches = rings.map((ring, i) => ({
    piece,
    untouched,
    ring,
    bounds: boundsOf(ring),
    number: i + 1,
    of: rings.length,
  }));
  return { piece, patches, share: areaOf(common(unite(rings), now)) / areaOf(now) };
}

export interface PatchPlan {
  readonly patches: readonly Patch[];
  /** Pieces to print whole: so much of them has changed, or they are new. */
  readonly whole: readonly { readonly piece: Piece; readonly why: 'mostly' | 'new' }[];
  /** Pieces on which nothing has changed: the tissue serves as it is. */
  readonly asIs: readonly Piece[];
}

/** How to bring the tissue one has up to the altered pieces with the least paper. */
export function patchPlan(pieces: readonly Piece[], original: readonly Piece[]): PatchPlan {
  const patches: Patch[] = [];
  const whole: { piece: Piece; why: 'mostly' | 'new' }[] = [];
  const asIs: Piece[] = [];
  for (const piece of pieces) {
    const untouched = untouchedOf(piece, original);
    if (!untouched) {
      whole.push({ piece, why: 'new' });
      continue;
    }
    const found = untouched === piece ? { patches: [], share: 0 } : patchesOf(untouched, piece);
    if (found.patches.length === 0) asIs.push(piece);
    // A patch that could not be cut out is no saving either.
    else if (found.share > MOST_OF || !found.patches.every((p) => isSoundRing(p.ring)))
      whole.push({ piece, why: 'mostly' });
    else patches.push(...found.patches);
  }
  return { patches, whole, asIs };
}
