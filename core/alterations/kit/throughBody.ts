import { distance } from '../../geometry/index.ts';
import {
  bustLineThrough,
  bustPointOf,
  edgesWithRole,
  isInside,
  sideDirection,
  type Piece,
} from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';
import { wearerBustPoint } from './bust/landmarks.ts';
import type { Context } from '../contract.ts';

const laid = new WeakMap<Piece, { readonly at: string; readonly piece: Piece }>();

/**
 * The pieces of a draft with the tape around the bust laid through the wearer's own bust point, where it is measured
 * and lies elsewhere than the pattern's: there she is measured, and there the paper is opened. Panels keep their apex.
 */
export function throughBody(pieces: readonly Piece[], wearer: Context['wearer']): readonly Piece[] {
  const found = pieces.map((piece) => {
    if (piece.part !== 'front' || edgesWithRole(piece, 'princess').length > 0) return piece;
    const own = bustPointOf(piece);
    const at = wearerBustPoint(piece, sideDirection(piece), wearer);
    if (!at || !own || distance(at, own) < TOL.touches || !isInside(piece, at)) return piece;
    const key = `${at.x} ${at.y}`;
    const known = laid.get(piece);
    if (known?.at === key) return known.piece;
    const bustLine = bustLineThrough(piece, at);
    const made = bustLine.length > 0 ? { ...piece, bustLine } : piece;
    laid.set(piece, { at: key, piece: made });
    return made;
  });
  return found.every((p, i) => p === pieces[i]) ? pieces : found;
}
