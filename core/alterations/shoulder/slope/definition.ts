import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Values } from '../../contract.ts';
import { choice, define, held, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { downSide } from '../../kit/underarm.ts';
import { keepShoulderCorners, shoulderPair, shoulderTo } from '../../kit/shoulder.ts';
import { BODICE } from '../../kit/shoulderFit.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { mark, match, moveEdge, rule } from '../../operations/index.ts';
import { dropped, followed, underarmFor } from './layout.ts';

const BY = length('by', -30, 40, 8, true);

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
          ...followed(on, to, side, lowered),
          // Cut lower for the arm to keep its room; the underarm of the body lies where it lay.
          underarm: lowered,
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
