import { TROUSERS } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { define, held, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { sideOfHalf, halves, trousersOn } from '../../kit/trousers.ts';
import { sideSteps } from '../../kit/sidesAlike.ts';
import { numberOf } from '../../engine/values.ts';
import { capDart, landmark, mark, match, retip } from '../../operations/index.ts';
import { hipMoved, type HipMoved } from './layout.ts';

const BY = length('by', -60, 70, 12, true);

function plan(context: Context, values: Values): Result<Program> {
  const on = trousersOn(context.pieces);
  if (!on.ok) return on;
  const by = numberOf(values, 'by');
  const moved: HipMoved[] = [];
  for (const half of halves(on.value)) {
    const one = hipMoved(half, by);
    if (!one.ok) return one;
    moved.push(one.value);
  }
  const say = (code: Under<'trouserHipDepth'>): Message => ({
    code: `trouserHipDepth.${code}`,
    data: { by: Math.abs(by), way: by < 0 ? 'higher' : 'lower' },
  });
  const { front } = on.value;
  return ok({
    piece: front.piece.id,
    instructions: [
      ...moved.flatMap(({ half, at }) => [
        mark({
          piece: half.piece.id,
          message: say('mark'),
          points: [{ id: `hip ${half.piece.id}`, kind: 'target', at }],
        }),
        landmark({ piece: half.piece.id, message: say('mark'), levels: { hip: half.hip + by } }),
      ]),
      ...moved.flatMap(({ half, tips }) =>
        tips.flatMap(({ dart, tip }) => [
          retip({ piece: half.piece.id, message: say('dart'), dart: dart.id, to: { tip } }),
          capDart({ piece: half.piece.id, message: say('dart'), dart: dart.id }),
        ]),
      ),
      ...sideSteps(
        moved.map(({ half, knots }) => ({ side: sideOfHalf(half), knots })),
        say('side'),
      ),
      match({ message: say('match'), kinds: ['side', 'pocket'] }),
    ],
    grips: [
      amountGrip({
        piece: front.piece.id,
        shown: 'drawn',
        from: { x: front.corner.x, y: front.hip },
        axis: { x: 0, y: 1 },
        value: by,
        limits: BY,
      }),
    ],
  });
}

export const trouserHipDepth: AlterationDefinition = define({
  id: 'trouser-hip-depth',
  family: 'trouser',
  params: [BY],
  amounts: ['by'],
  requires: ['crotch', 'side'],
  refusals: ['trousers-not-found', 'crotch-not-found', 'hip-missing', 'hip-dart-too-short'],
  examples: [
    { name: 'lower', on: 'landing', values: { by: 15 } },
    { name: 'higher', on: 'landing', values: { by: -15 } },
  ],
  source:
    'The hip line drawn at the wearer’s hip depth: the curve of the side moves with it, the half stays as wide at the line, darts become longer or shorter by as much.',
  why: 'why.trouser-hip-depth',
  needs: ({ pieces }) => {
    const on = trousersOn(pieces);
    if (!on.ok) return on;
    const one = hipMoved(on.value.front, 0);
    return one.ok ? ok(true) : refuse(one.error.code, one.error.data);
  },
  reads: ['hipDepth'],
  fits: (context) => fitBy(context, 'hipDepth', 1, (by) => ({ by: tenth(by) })),
  plan,
  holds: held(
    { part: TROUSERS, role: 'waist', slack: 0.5 },
    { part: TROUSERS, role: 'crotch' },
    { part: TROUSERS, role: 'inseam' },
  ),
});
