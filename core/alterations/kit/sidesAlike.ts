import { requireEdge, type Piece } from '../../pattern/index.ts';
import { pathLength } from '../../geometry/index.ts';
import { widenSquarely, type SideKnot } from '../../paper/truing/index.ts';
import type { Instruction, Message } from '../contract.ts';
import { widenStep, type SideOn } from './sides.ts';

/** Bends of the side are rounded this far, mm. */
export const ROUND = 60;

/** A side, where it is moved, and what its piece is like by then. */
export interface SideMove {
  readonly side: SideOn;
  readonly knots: readonly SideKnot[];
  readonly piece?: Piece;
  /** How far its bends are rounded, mm, where not as usual. */
  readonly round?: number;
}

const lengthOn = (piece: Piece, side: SideOn): number =>
  side.edges.reduce((sum, id) => sum + pathLength(requireEdge(piece, id).path), 0);

/** The piece with its side moved, the seam as long as it then comes out. */
export function drawnSide({ side, knots, piece = side.piece, round = ROUND }: SideMove): Piece {
  const bare = { ...piece, marks: piece.marks.filter((m) => m.kind !== 'notch') };
  return widenSquarely(bare, side.edges, knots, { out: side.out, hold: false, round });
}

/** Sides that are sewn together, moved alike: each becomes longer by the same, the mean of what each would by itself. */
export function sideSteps(moves: readonly SideMove[], message: Message): readonly Instruction[] {
  const grown = moves.map((m) => lengthOn(drawnSide(m), m.side) - lengthOn(m.side.piece, m.side));
  const by = grown.reduce((sum, n) => sum + n, 0) / Math.max(1, grown.length);
  return moves.map(({ side, knots, round = ROUND }) =>
    widenStep(side, knots, message, { round, hold: lengthOn(side.piece, side) + by }),
  );
}
