import { pathLength, rotateAbout, scale, sub, type Point } from '../../../geometry/index.ts';
import { solveBetween } from '../../../numeric/index.ts';
import { requireEdge, type Piece } from '../../../pattern/index.ts';
import { carryEdge } from '../../../paper/truing/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Values } from '../../contract.ts';
import { choice, define, held, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { downSide } from '../../kit/underarm.ts';
import {
  keepShoulderCorners,
  shoulderPair,
  shoulderTo,
  type ShoulderOn,
  type ShoulderPair,
} from '../../kit/shoulder.ts';
import { BODICE } from '../../kit/shoulderFit.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { mark, match, moveEdge, rule } from '../../operations/index.ts';

const BY = length('by', -30, 40, 8, true);

/** The shoulder turned about the neck point until its end has dropped by so much, darts folded; its length is kept. */
function dropped(on: ShoulderOn, by: number): Point | null {
  const { neckPoint, shoulderPoint } = on.shut;
  const drop = shoulderPoint.y - neckPoint.y + by;
  if (Math.abs(drop) > on.length * 0.9) return null;
  const now = Math.asin((shoulderPoint.y - neckPoint.y) / on.length);
  return on.open(rotateAbout(shoulderPoint, neckPoint, Math.asin(drop / on.length) - now));
}

/**
 * How far both underarms go down the side so that front and back armhole together keep their size: the drop itself,
 * but for the little by which the shoulder end also swings sideways.
 */
function underarmFor({ front, back }: ShoulderPair, by: number): number {
  const grown = (down: number): number =>
    [front, back].reduce((sum, on) => {
      const to = dropped(on, by);
      const side = downSide(on.piece, on.armhole);
      if (!to || !side) return sum;
      const shift = sub(to, on.shoulderPoint);
      const under = scale(side, down);
      const [start, end] = on.neckFirst ? [shift, under] : [under, shift];
      const length = (piece: Piece): number => pathLength(requireEdge(piece, on.armhole).path);
      return sum + length(carryEdge(on.piece, on.armhole, start, end)) - length(on.piece);
    }, 0);
  const [low, high] = [by * 0.5, by * 1.5];
  return by === 0 || grown(low) > 0 === grown(high) > 0 ? by : solveBetween(grown, low, high, 1e-7);
}

function plan(context: Context, values: Values): Result<Program> {
  const pair = shoulderPair(context);
  if (!pair.ok) return pair;
  const by = numberOf(values, 'by');
  const follow = choiceOf(values, 'underarm') === 'follow';
  const { front, back } = pair.value;
  const data = { by: Math.abs(by), length: front.length };
  const lowered = follow ? underarmFor(pair.value, by) : 0;
  const instructions: Instruction[] = [];
  for (const on of [front, back]) {
    const to = dropped(on, by);
    const side = downSide(on.piece, on.armhole);
    if (!to) return refuse('shoulder-too-steep', { by });
    if (!side) return refuse('underarm-missing', { piece: on.piece.name });
    const shift = sub(to, on.shoulderPoint);
    const under = scale(side, lowered);
    const message: Message = { code: by > 0 ? 'slope.lower' : 'slope.raise', data };
    const piece = on.piece.id;
    instructions.push(
      mark({
        piece,
        message: { code: 'slope.mark', data },
        lines: [{ id: `shoulder ${piece}`, label: '1', points: [on.neckPoint, to] }],
        points: [{ id: `turn ${piece}`, kind: 'hinge', at: on.neckPoint }],
      }),
    );
    if (follow)
      instructions.push(
        moveEdge({
          piece,
          message: { code: 'slope.underarm', data },
          edge: on.armhole,
          start: on.neckFirst ? shift : under,
          end: on.neckFirst ? under : shift,
        }),
        rule({ piece, message, edges: on.edges }),
      );
    else instructions.push(...shoulderTo(on, to, on.hinge.reach, { stage: 'true', message }));
    instructions.push(...keepShoulderCorners(on, { code: 'shoulder.smooth', data }));
  }
  instructions.push(
    match({
      message: { code: follow ? 'slope.match.follow' : 'slope.match.stay', data },
      kinds: ['shoulder', 'side', 'armhole'],
    }),
  );
  const to = dropped(front, by) ?? front.shoulderPoint;
  return ok({
    piece: front.piece.id,
    instructions,
    grips: [
      amountGrip({
        piece: front.piece.id,
        shown: 'drawn',
        from: front.shoulderPoint,
        axis: { x: 0, y: 1 },
        value: by,
        limits: BY,
        id: 'shoulderPoint',
        at: to,
      }),
    ],
  });
}

/** Drop of the pattern's front shoulder from neck point to shoulder point, mm. */
export const shoulderSlope: AlterationDefinition = define({
  id: 'shoulder-slope',
  family: 'shoulder',
  params: [BY, choice('underarm', 'follow', 'stay')],
  requires: ['shoulder', 'armhole', 'neck', 'side'],
  refusals: ['shoulder-seam-missing', 'shoulder-too-steep', 'underarm-missing'],
  examples: [
    { name: 'sloping', on: 'causeway', values: { by: 10 } },
    { name: 'square', on: 'causeway-shirt', values: { by: -8, underarm: 'stay' } },
  ],
  source: 'The shoulder pivoted at the neck point; a slash or a wider seam allowance gives the same line.',
  why: 'why.shoulder-slope',
  needs: shoulderPair,
  reads: ['shoulderSlope'],
  fits: (context) => fitBy(context, 'shoulderSlope', 1, (by) => ({ by: tenth(by) })),
  plan,
  holds: held({ part: BODICE, role: 'neck', slack: TOL.seam }, { part: BODICE, role: 'shoulder' }),
});
