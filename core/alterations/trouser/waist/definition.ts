import { TROUSERS } from '../../../pattern/index.ts';
import { ok, TOL, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { define, held, length, share, tenth } from '../../kit/define.ts';
import { fitBy, USUAL_EASE } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { targetAt } from '../../kit/sides.ts';
import { sideSteps } from '../../kit/sidesAlike.ts';
import { sideOfHalf, trousersOn } from '../../kit/trousers.ts';
import { numberOf } from '../../engine/values.ts';
import { capDart, changeDart, mark, match } from '../../operations/index.ts';
import { sharedOut, sideKnots, withDarts } from './layout.ts';

const BY = length('by', -120, 160, 20, true);

function plan(context: Context, values: Values): Result<Program> {
  const on = trousersOn(context.pieces);
  if (!on.ok) return on;
  const by = numberOf(values, 'by');
  const each = by / 4;
  const shared = sharedOut(on.value, each, numberOf(values, 'darts'));
  if (!shared.ok) return shared;
  const [front, back] = shared.value;
  const data = {
    by: Math.abs(by),
    each: Math.abs(each),
    way: by < 0 ? 'narrower' : 'wider',
    frontDart: Math.abs(front?.each ?? 0),
    backDart: Math.abs(back?.each ?? 0),
    frontSide: Math.abs(front?.side ?? 0),
    backSide: Math.abs(back?.side ?? 0),
  };
  const say = (code: Under<'trouserWaist'>): Message => ({ code: `trouserWaist.${code}`, data });
  const instructions = shared.value.flatMap((s): readonly Instruction[] => {
    const { half } = s;
    const { piece } = half;
    const bySide = Math.abs(s.side) > TOL.same;
    const side = sideOfHalf(half);
    return [
      mark({
        piece: piece.id,
        message: say('mark'),
        points: bySide ? [{ id: `waist ${piece.id}`, kind: 'target', at: targetAt(side, 0, s.side) }] : [],
      }),
      ...(s.each === 0 ? [] : s.darts).flatMap(({ id }): readonly Instruction[] => [
        changeDart({
          piece: piece.id,
          message: say(s.each > 0 ? 'narrower' : 'wider'),
          dart: id,
          change: { narrower: s.each },
        }),
        capDart({ piece: piece.id, message: say('cap'), dart: id }),
      ]),
    ];
  });
  const moved = shared.value.filter((w) => Math.abs(w.side) > TOL.same);
  const sides = sideSteps(
    moved.map((w) => ({ side: sideOfHalf(w.half), knots: sideKnots(w.side, w.hip), piece: withDarts(w) })),
    say(by < 0 ? 'in' : 'out'),
  );
  const first = on.value.front;
  return ok({
    piece: first.piece.id,
    instructions: [...instructions, ...sides, match({ message: say('match'), kinds: ['side', 'waist', 'pocket'] })],
    grips: [
      amountGrip({
        piece: first.piece.id,
        shown: 'drawn',
        from: first.corner,
        axis: { x: first.out, y: 0 },
        value: by,
        limits: BY,
        per: 4,
      }),
    ],
  });
}

export const trouserWaist: AlterationDefinition = define({
  id: 'trouser-waist',
  family: 'trouser',
  params: [BY, share('darts', 0, 1, 1)],
  amounts: ['by'],
  requires: ['crotch', 'side', 'waist'],
  refusals: ['trousers-not-found', 'crotch-not-found', 'hip-missing'],
  examples: [
    { name: 'wider, in the darts', on: 'landing', values: { by: 20 } },
    { name: 'much narrower, darts and side', on: 'landing', values: { by: -70 } },
    { name: 'wider, at the side alone', on: 'landing', values: { by: 24, darts: 0 } },
  ],
  source:
    'A quarter of the difference on each half: in the darts as far as they go, the rest at the side, to nothing at the hip.',
  why: 'why.trouser-waist',
  needs: ({ pieces }) => trousersOn(pieces),
  reads: ['waist'],
  fits: (context) => fitBy(context, 'waist', 1 / 4, (by) => ({ by: tenth(by) }), USUAL_EASE.waist),
  plan,
  holds: held({ part: TROUSERS, role: 'crotch' }, { part: TROUSERS, role: 'inseam' }),
});
