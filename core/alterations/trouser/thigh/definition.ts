import { distance } from '../../../geometry/index.ts';
import { TROUSERS, widthAt } from '../../../pattern/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { define, held, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { THIGH_BELOW } from '../../kit/flatTrousers.ts';
import { forksFor, forkSteps } from '../../kit/fork.ts';
import { amountGrip } from '../../kit/grip.ts';
import { trousersOn, type TrouserHalf } from '../../kit/trousers.ts';
import { numberOf } from '../../engine/values.ts';
import { mark, match } from '../../operations/index.ts';

const BY = length('by', -80, 120, 20, true);
/** Usual ease around the thigh, mm. */
const EASE = 50;

function plan(context: Context, values: Values): Result<Program> {
  const on = trousersOn(context.pieces);
  if (!on.ok) return on;
  const by = numberOf(values, 'by');
  const each = by / 2;
  const moves = forksFor(on.value, { front: each, back: each }, (piece, half) => {
    const width = widthAt(piece, half.crotchLine + THIGH_BELOW);
    return width.ok ? width.value.width : null;
  });
  if (!moves.ok) return moves;
  const { front } = on.value;
  const out = (half: TrouserHalf): number => {
    const move = moves.value.find((m) => m.half === half);
    return move ? distance(half.fork, move.to) : 0;
  };
  const data = { by: Math.abs(by), each: Math.abs(each), outFront: out(front), outBack: out(on.value.back) };
  const say = (code: Under<'thigh'>): Message => ({ code: `thigh.${code}`, data });
  return ok({
    piece: front.piece.id,
    instructions: [
      ...moves.value.flatMap((move) => {
        const { piece } = move.half;
        return [
          mark({
            piece: piece.id,
            message: say('mark'),
            points: [{ id: `fork ${piece.id}`, kind: 'target', at: move.to }],
          }),
          ...forkSteps(move, say(by < 0 ? 'in' : 'out')),
        ];
      }),
      match({ message: say('match'), kinds: ['inseam'] }),
    ],
    grips: [
      amountGrip({
        piece: front.piece.id,
        shown: 'drawn',
        from: front.fork,
        axis: { x: -front.out, y: 0 },
        value: by,
        limits: BY,
        per: 2,
      }),
    ],
  });
}

export const thigh: AlterationDefinition = define({
  id: 'thigh',
  family: 'trouser',
  params: [BY],
  requires: ['crotch', 'inseam'],
  refusals: ['trousers-not-found', 'crotch-not-found', 'fork-cannot-give'],
  examples: [
    { name: 'wider', on: 'landing', values: { by: 24 } },
    { name: 'narrower', on: 'landing', values: { by: -16 } },
  ],
  source:
    'Half of the difference at the inseam of front and back, tapering to nothing at the knee; the crotch curve drawn on to it, and both inseams equally long.',
  why: 'why.thigh',
  needs: ({ pieces }) => trousersOn(pieces),
  reads: ['thigh'],
  fits: (context) => fitBy(context, 'thigh', 1 / 2, (by) => ({ by: tenth(by) }), EASE),
  plan,
  holds: held({ part: TROUSERS, role: 'waist' }, { part: TROUSERS, role: 'side' }, { part: TROUSERS, role: 'hem' }),
});
