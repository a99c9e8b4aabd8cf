import { pathLength } from '../../geometry/index.ts';
import { requireEdge, type Piece } from '../../pattern/index.ts';
import { widenSquarely, type SideKnot } from '../../paper/truing/index.ts';
import type { Instruction, Message } from '../contract.ts';
import { widenStep } from './sides.ts';
import { sideOfHalf, type TrouserHalf } from './trousers.ts';

/** Bends of the side are rounded this far, mm. */
export const ROUND = 60;

/** The side of a half, where it is moved, and what its piece is like by then. */
export interface SideMove {
  readonly half: TrouserHalf;
  readonly knots: readonly SideKnot[];
  readonly piece?: Piece;
}

/** The piece with its side moved, the seam as long as it then comes out. */
export function drawnSide({ half, knots, piece = half.piece }: SideMove): Piece {
  const bare = { ...piece, marks: piece.marks.filter((m) => m.kind !== 'notch') };
  const { edges, out } = sideOfHalf(half);
  return widenSquarely(bare, edges, knots, { out, hold: false, round: ROUND });
}

/** The sides of both halves moved alike: they come out equally long, the mean of what each would by itself. */
export function sideSteps(moves: readonly SideMove[], message: Message): readonly Instruction[] {
  const lengths = moves.map((m) => pathLength(requireEdge(drawnSide(m), m.half.side.id).path));
  const hold = lengths.reduce((sum, n) => sum + n, 0) / Math.max(1, lengths.length);
  return moves.map((m) => widenStep(sideOfHalf(m.half), m.knots, message, { round: ROUND, hold }));
}
