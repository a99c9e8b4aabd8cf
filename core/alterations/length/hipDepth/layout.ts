import { endOf } from '../../../geometry/index.ts';
import { edgesWithRole, levelOf, type Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import { lineAcross, type LengthLine } from '../../kit/lengthLines.ts';

/** Where the line between waist and hip lies: high enough to cross the darts, as a share of the hip depth. */
const HIGH = 0.45;

/** How far below the hip level the other line lies, mm. */
const BELOW_HIP = 60;

/** Least paper between the lower line and the hem, mm. */
const ABOVE_HEM = 40;

/** The two lines of one skirt piece: what one takes the other gives, so that the hem stays where it is. */
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
