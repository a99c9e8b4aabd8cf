import { amountGrip } from '../../kit/grip.ts';
import { endOf, pathLength } from '../../../geometry/index.ts';
import { requireEdge } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, StepCode, Values } from '../../contract.ts';
import { define, held, length } from '../../kit/define.ts';
import { shoulderPair } from '../../kit/shoulder.ts';
import { BODICE } from '../../kit/shoulderFit.ts';
import { numberOf } from '../../engine/values.ts';
import { mark, match, moveJoint } from '../../operations/index.ts';
import { from, jointOnCap, passSliver } from './layout.ts';

const BY = length('by', -25, 30, 10, true);

function plan(context: Context, values: Values): Result<Program> {
  const pair = shoulderPair(context);
  if (!pair.ok) return pair;
  const by = numberOf(values, 'by');
  const neck = numberOf(values, 'neck');
  if (by * neck < 0) return refuse('sliver-crosses', { by, neck });
  const forward = by + neck > 0;
  const { front, back } = pair.value;
  const [giver, taker] = forward ? [front, back] : [back, front];
  if (giver.edges.length > 1) return refuse('dart-in-sliver', { piece: giver.piece.name });
  const [n, t] = [Math.abs(neck), Math.abs(by)];
  const neckSize = pathLength(requireEdge(giver.piece, giver.neck).path);
  if (n > neckSize / 2) return refuse('sliver-too-wide', { wanted: n, most: neckSize / 2 });
  const data = { by: t, neck: n };
  const say = (code: StepCode): Message => ({ code, data });
  const ends = [from(giver, giver.neck, n), from(giver, giver.armhole, t)];
  const joint = jointOnCap(context, front.piece.id);
  const instructions: Instruction[] = [
    mark({
      piece: giver.piece.id,
      message: say('forward.mark'),
      lines: [{ id: 'new seam', label: '1', points: ends }],
    }),
    mark({ stage: 'cut', piece: giver.piece.id, message: say(forward ? 'forward.cut' : 'forward.cut.back') }),
    ...passSliver(giver, taker, { neck: n, shoulder: t }, say(forward ? 'forward.join' : 'forward.join.back')),
  ];
  if (joint)
    instructions.push(
      moveJoint({
        stage: 'match',
        piece: joint.sleeve,
        message: say('forward.cap'),
        edge: joint.edge,
        longer: joint.backFirst ? by : -by,
      }),
    );
  instructions.push(match({ message: say('forward.match'), kinds: ['shoulder', 'armhole', 'neck'] }));
  const at = ends[1] ?? endOf(requireEdge(giver.piece, giver.armhole).path);
  return ok({
    piece: giver.piece.id,
    instructions,
    grips: forward
      ? [
          amountGrip({
            piece: front.piece.id,
            id: 'shoulderPoint',
            shown: 'laidOut',
            from: front.shoulderPoint,
            axis: { x: 0, y: 1 },
            value: by,
            limits: BY,
            min: 0,
            at,
          }),
        ]
      : [],
  });
}

export const forwardShoulder: AlterationDefinition = define({
  id: 'forward-shoulder',
  family: 'shoulder',
  params: [BY, length('neck', -12, 25, 0, true)],
  amounts: ['by', 'neck'],
  requires: ['shoulder', 'armhole', 'neck'],
  refusals: ['shoulder-seam-missing', 'sliver-crosses', 'dart-in-sliver', 'sliver-too-wide'],
  examples: [
    { name: 'forward', on: 'causeway', values: { by: 10, neck: 3 } },
    { name: 'backward', on: 'causeway-shirt', values: { by: -8 } },
  ],
  source: 'The sliver between the old seam and the new one passes from front to back along the seam, unchanged.',
  why: 'why.forward-shoulder',
  needs: shoulderPair,
  plan,
  // Both pieces together: what one gives the other takes.
  holds: held({ part: BODICE, role: 'neck' }, { part: BODICE, role: 'armhole' }),
});
