import { TOL } from '../units/index.ts';
import type { Piece } from './types.ts';

/** A piece whose underarm was cut so much lower (negative: higher) than the body's, mm, beyond what it had been before. */
export function loweredUnderarm(piece: Piece, by: number): Piece {
  if (by === 0) return piece;
  const { underarmLowered: had = 0, ...rest } = piece;
  const now = had + by;
  return Math.abs(now) < TOL.same ? rest : { ...rest, underarmLowered: now };
}

/** Where the underarm of the body lies: so far above that of the paper, along the side, mm. */
export const underarmAbove = (piece: Piece): number => piece.underarmLowered ?? 0;
