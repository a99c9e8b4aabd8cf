import { pathLength } from '../../../geometry/index.ts';
import { edgesWithRole, requireEdge } from '../../../pattern/index.ts';
import { drawCorner } from '../../../paper/truing/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Values } from '../../contract.ts';
import { define, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { keepShoulderCorners, placeOn, outerShoulders, shoulderTo, type ShoulderOn } from '../../kit/shoulder.ts';
import { fitsShoulder, neckHolds } from '../../kit/shoulderFit.ts';
import { numberOf } from '../../engine/values.ts';
import { drafted } from '../../kit/fitBy.ts';
import { mark, match, tell } from '../../operations/index.ts';

const BY = length('by', -45, 45, -8, true);

/** How much longer the armhole becomes, mm: the drawing is made once to measure it. */
function armholeChange(on: ShoulderOn, steps: readonly Instruction[]): number {
  const corner = steps.find((s) => s.op === 'moveCorner');
  if (!corner) return 0;
  const after = drawCorner(on.piece, corner.between, corner.to, corner.reach);
  return pathLength(requireEdge(after, on.armhole).path) - pathLength(requireEdge(on.piece, on.armhole).path);
}

function plan(context: Context, values: Values): Result<Program> {
  const pair = outerShoulders(context);
  if (!pair.ok) return pair;
  const { front, back } = pair.value;
  const by = numberOf(values, 'by');
  const data = {
    by: Math.abs(by),
    length: front.length,
    wanted: (drafted(context, 'shoulder') ?? front.before + front.length) + by,
  };
  const instructions: Instruction[] = [];
  let change = 0;
  for (const on of [front, back]) {
    const to = placeOn(on, on.length + by);
    const said = {
      stage: 'true' as const,
      message: { code: by < 0 ? 'shoulder.redraw.in' : 'shoulder.redraw.out', data } as const,
    };
    const steps = shoulderTo(on, to, on.hinge.reach, said);
    change += armholeChange(on, steps);
    instructions.push(
      mark({
        piece: on.piece.id,
        message: { code: 'shoulder.mark.redraw', data },
        points: [
          { id: `new ${on.piece.id}`, kind: 'target', at: to },
          { id: `pin ${on.piece.id}`, kind: 'hinge', at: on.hinge.at },
        ],
      }),
      ...steps,
      ...keepShoulderCorners(on, { code: 'shoulder.smooth', data }),
    );
  }
  const message: Message = { code: 'shoulder.match.redraw', data: { ...data, change } };
  instructions.push(
    // A sleeve among the pieces is walked, and found by the check if it has to follow.
    ...(context.pieces.some((p) => edgesWithRole(p, 'cap').length > 0)
      ? []
      : [
          tell({
            what: {
              finding: {
                code: 'cap-follows' as const,
                grade: 'look' as const,
                piece: front.piece.id,
                data: { by: change },
              },
            },
          }),
        ]),
    match({ message, kinds: ['shoulder', 'armhole'] }),
  );
  return ok({
    piece: front.piece.id,
    instructions,
    grips: [
      amountGrip({
        piece: front.piece.id,
        shown: 'drawn',
        from: front.shoulderPoint,
        axis: front.neckFirst ? front.shut.along : { x: -front.shut.along.x, y: front.shut.along.y },
        value: by,
        limits: BY,
        id: 'shoulderPoint',
        at: placeOn(front, front.length + by),
      }),
    ],
  });
}

export const shoulderRedraw: AlterationDefinition = define({
  id: 'shoulder-redraw',
  family: 'shoulder',
  params: [BY],
  requires: ['shoulder', 'armhole'],
  refusals: ['shoulder-seam-missing', 'shoulder-in-sleeve'],
  examples: [
    { name: 'narrow', on: 'causeway', values: { by: -10 } },
    { name: 'broad', on: 'causeway-side', values: { by: 8 } },
  ],
  source: 'The shoulder point moved along the seam, the armhole drawn again to nothing at the notch.',
  why: 'why.shoulder-redraw',
  needs: outerShoulders,
  reads: ['shoulder'],
  fits: fitsShoulder,
  plan,
  holds: neckHolds,
});
