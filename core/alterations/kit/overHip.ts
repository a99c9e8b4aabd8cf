import { levelOf, waistHeight, type Piece } from '../../pattern/index.ts';
import { alongAt, sideOn, type SideOn } from './sides.ts';

/** A side seam that runs over the hip: where along it the waist and the hip lie, mm from its upper end. */
export interface OverHip {
  readonly side: SideOn;
  readonly waist: number;
  readonly hip: number;
}

/** A side from the waist over a hip line, at this height or the one that is drawn; null where it does not reach both. */
export function overHip(side: SideOn, hipAt = levelOf(side.piece, 'hip')?.y): OverHip | null {
  const hip = hipAt === undefined ? null : alongAt(side, hipAt);
  const waist = side.skirt ? 0 : alongAt(side, waistHeight(side.piece, 'side') ?? Infinity);
  return hip === null || waist === null || hip <= waist ? null : { side, waist, hip };
}

/** The side of a skirt piece, or of a piece in one, over the hip. */
export function pieceOverHip(piece: Piece): OverHip | null {
  const side = sideOn(piece);
  return side ? overHip(side) : null;
}
