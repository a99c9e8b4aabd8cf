import { CUT_AS } from '../../fitting/plan/index.ts';
import { middleX, mirrorPiece, unfoldPiece, type Piece } from '../../pattern/index.ts';

/**
 * The untouched piece lying as the cut one lies: the same half, opened out along the fold, or turned over for the
 * right side. Null for a piece that was not there before, such as a panel a front was divided into.
 */
export function untouchedOf(piece: Piece, original: readonly Piece[]): Piece | null {
  const same = original.find((p) => p.id === piece.id);
  if (same) return same;
  const cutAs = (end: string): Piece | undefined =>
    piece.id.endsWith(end) ? original.find((p) => p.id === piece.id.slice(0, -end.length)) : undefined;
  const whole = cutAs(CUT_AS.whole);
  if (whole) return whole.fold === null ? null : { ...unfoldPiece(whole, whole).piece, id: piece.id };
  const left = cutAs(CUT_AS.left);
  if (left) return { ...left, id: piece.id };
  const right = cutAs(CUT_AS.right);
  // Turning over keeps the middle: the cut piece still has the axis it was turned about.
  return right ? { ...mirrorPiece(right, middleX(piece)), id: piece.id } : null;
}

/** The untouched pieces that have a place behind the cut ones. */
export const untouchedFor = (pieces: readonly Piece[], original: readonly Piece[]): readonly Piece[] =>
  pieces.flatMap((p) => untouchedOf(p, original) ?? []);
