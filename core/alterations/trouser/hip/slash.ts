import { distance, endOf, pathLength, pointAt, rotateAbout, type Point } from '../../../geometry/index.ts';
import { ok, TOL, type Result } from '../../../units/index.ts';
import type { Instruction, Message, Under } from '../../contract.ts';
import { moveCorner, smooth, widen } from '../../operations/index.ts';
import { lowerEnd } from '../../kit/across.ts';
import { halves, sideOfHalf, type TrouserHalf, type TrousersOn } from '../../kit/trousers.ts';
import { linesOf, opened, SMOOTHED, turnOf, type Slashed } from '../../width/hipSlash/layout.ts';

/** One half slashed: where the lower end of its side belongs once the hem is level, and how long the side is then, mm. */
interface Cut {
  readonly half: TrouserHalf;
  readonly found: Slashed;
  readonly foot: Point;
  readonly side: number;
}

/** How far up the side is drawn again from the hem, mm. */
const REACH = 120;
/** The line leans in towards the leg where its hem does not reach as far out as the waist: it ends within these shares of it. */
const WITHIN = 0.25;

function footOn({ hem, side }: TrouserHalf, waist: Point): Point {
  const fromSide = distance(hem.path.start, lowerEnd(side)) < TOL.join;
  const [outer, inner] = fromSide ? [hem.path.start, endOf(hem.path)] : [endOf(hem.path), hem.path.start];
  const out = Math.min(1 - WITHIN, Math.max(WITHIN, (waist.x - inner.x) / (outer.x - inner.x)));
  return pointAt(hem.path, pathLength(hem.path) * (fromSide ? 1 - out : out));
}

function cutOf(half: TrouserHalf, each: number): Result<Cut> {
  const found = linesOf(half.piece, sideOfHalf(half), { x: half.corner.x, y: half.hip }, (_, waist) =>
    footOn(half, waist),
  );
  if (!found.ok) return found;
  const { waist, pin } = found.value;
  const carried = rotateAbout(pin, waist, turnOf(found.value, each));
  const end = lowerEnd(half.side);
  return ok({
    half,
    found: found.value,
    foot: { x: end.x + carried.x - pin.x, y: end.y },
    side: pathLength(half.side.path) - (carried.y - pin.y),
  });
}

/**
 * Both halves slashed from the hem to the waist and across to the side at the hip line, and opened or lapped by the same from
 * hip to hem. The turn carries the waist up or down at the side, as a fuller hip wants it; the hem stays level, and by what
 * that takes both sides become longer or shorter alike.
 */
export function slashed(
  on: TrousersOn,
  each: number,
  say: (code: Under<'trouserHip'>) => Message,
): Result<{ readonly instructions: readonly Instruction[]; readonly crossing: Point }> {
  const cuts: Cut[] = [];
  for (const half of halves(on)) {
    const cut = cutOf(half, each);
    if (!cut.ok) return cut;
    cuts.push(cut.value);
  }
  const length = cuts.reduce((sum, c) => sum + c.side, 0) / cuts.length;
  const instructions = cuts.flatMap(({ half, found, foot }): readonly Instruction[] => {
    const { piece, side, hem } = half;
    return [
      ...opened(found, each, (code) => say(`slash.${code}`)),
      moveCorner({
        ...{ piece: piece.id, message: say('slash.hem'), between: [side.id, hem.id], to: foot },
        reach: [REACH, pathLength(hem.path) / 2],
      }),
      smooth({ piece: piece.id, message: say('slash.side'), reach: SMOOTHED, at: { edge: side.id, near: found.pin } }),
      widen({
        ...{ piece: piece.id, message: say('slash.side'), edges: [side.id], out: half.out },
        ...{ knots: [{ at: 0, by: 0 }], hold: length },
      }),
    ];
  });
  return ok({ instructions, crossing: cuts[0]?.found.crossing ?? on.front.corner });
}
