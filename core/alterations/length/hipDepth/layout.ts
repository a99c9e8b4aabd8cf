import { endOf, pathLength } from '../../../geometry/index.ts';
import { edgesWithRole, levelOf, type Piece } from '../../../pattern/index.ts';
import { isInOne } from '../../../paper/truing/index.ts';
import type { Instruction, Message } from '../../contract.ts';
import { upperEnd } from '../../kit/across.ts';
import { pieceOverHip } from '../../kit/overHip.ts';
import { SIDED } from '../../kit/sides.ts';
import { fair } from '../../operations/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import { lineAcross, type LengthLine } from '../../kit/lengthLines.ts';

/** Where the line between waist and hip lies: high enough to cross the darts, as a share of the hip depth. */
const HIGH = 0.45;

/** How far below the hip level the other line lies, mm. */
const BELOW_HIP = 60;

/** Least paper between the lower line and the hem, mm. */
const ABOVE_HEM = 40;

/** The pieces that run over the hip: of a skirt, or of a dress in one. */
export const piecesOverHip = (pieces: readonly Piece[]): readonly Piece[] =>
  pieces.filter((p) => SIDED.includes(p.part) && (p.part.startsWith('skirt') || isInOne(p)));

/** The curve is drawn so far clear of waist and hip, mm. */
const CLEAR = 12;

/**
 * The curve of the hip as long as it was: what one line takes the other gives, so that the sides stay as long as each
 * other.
 */
export function curveOf(piece: Piece, by: number, message: Message): readonly Instruction[] {
  const over = pieceOverHip(piece);
  if (!over || by === 0) return [];
  const { edge } = over.side;
  const length = pathLength(edge.path);
  const [from, to] = [over.waist + CLEAR, over.hip + by - CLEAR];
  const down = upperEnd(edge) === edge.path.start;
  const ends = down ? { from, toFromEnd: length - to } : { from: length - to, toFromEnd: from };
  return [fair({ piece: piece.id, message, edge: edge.id, length, ...ends })];
}

/** The two lines of one piece: what one takes the other gives, so that the hem stays where it is. */
export function linesOn(piece: Piece, by: number): Result<readonly LengthLine[]> {
  const [waist, hip] = [levelOf(piece, 'waist'), levelOf(piece, 'hip')];
  const hem = edgesWithRole(piece, 'hem').flatMap((e) => [e.path.start.y, endOf(e.path).y]);
  const lower = hip ? hip.y + BELOW_HIP : NaN;
  if (!waist || !hip || hem.length === 0 || Math.min(...hem) < lower + ABOVE_HEM + Math.max(0, by))
    return refuse('hip-missing', { piece: piece.name });
  const out: LengthLine[] = [];
  for (const [line, y, amount] of [
    ['aboveHip', waist.y + HIGH * (hip.y - waist.y), by],
    ['belowHip', lower, -by],
  ] as const) {
    const met = lineAcross(piece, line, y, amount);
    if (!met.ok) return met;
    if (!met.value) return refuse('hip-missing', { piece: piece.name });
    out.push(met.value);
  }
  return ok(out);
}
