import { TROUSERS } from '../../../pattern/index.ts';
import { pathLength } from '../../../geometry/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { choice, define, held, length, tenth } from '../../kit/define.ts';
import { fitBy, USUAL_EASE } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { alongAt, targetAt } from '../../kit/sides.ts';
import { sideSteps, type SideMove } from '../../kit/sidesAlike.ts';
import { halves, sideOfHalf, trousersOn, type TrousersOn } from '../../kit/trousers.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { mark, match } from '../../operations/index.ts';
import { slashed } from './slash.ts';

const BY = length('by', -120, 160, 24, true);

function plan(context: Context, values: Values): Result<Program> {
  const on = trousersOn(context.pieces);
  if (!on.ok) return on;
  const by = numberOf(values, 'by');
  const say = (code: Under<'trouserHip'>): Message => ({
    code: `trouserHip.${code}`,
    data: { by: Math.abs(by), each: Math.abs(by / 4) },
  });
  return choiceOf(values, 'way') === 'slash' ? bySlash(on.value, by, say) : atSides(on.value, by, say);
}

type Say = (code: Under<'trouserHip'>) => Message;

function bySlash(on: TrousersOn, by: number, say: Say): Result<Program> {
  const cut = slashed(on, by / 4, say);
  if (!cut.ok) return cut;
  const { piece, out } = on.front;
  return ok({
    piece: piece.id,
    instructions: [
      ...cut.value.instructions,
      match({ message: say('slash.match'), kinds: ['side', 'inseam', 'waist', 'pocket'] }),
    ],
    grips: [
      amountGrip({
        ...{ piece: piece.id, shown: 'opened', from: cut.value.crossing, axis: { x: out, y: 0 }, value: by },
        ...{ limits: BY, per: 4 },
      }),
    ],
  });
}

function atSides(on: TrousersOn, by: number, say: Say): Result<Program> {
  const each = by / 4;
  const marks: Instruction[] = [];
  const moves: SideMove[] = [];
  for (const half of halves(on)) {
    const side = sideOfHalf(half);
    const [hip, knee] = [alongAt(side, half.hip), alongAt(side, half.knee)];
    if (hip === null) return refuse('hip-missing', { piece: half.piece.name });
    marks.push(
      mark({
        piece: half.piece.id,
        message: say('mark'),
        points: [{ id: `hip ${half.piece.id}`, kind: 'target', at: targetAt(side, hip, each) }],
      }),
    );
    const to = knee ?? pathLength(half.side.path);
    const knots = [
      { at: 0, by: 0 },
      { at: hip, by: each },
      { at: to, by: 0 },
    ];
    moves.push({ side, knots });
  }
  const { front } = on;
  const side = sideOfHalf(front);
  const at = alongAt(side, front.hip) ?? 0;
  return ok({
    piece: front.piece.id,
    instructions: [
      ...marks,
      ...sideSteps(moves, say(by < 0 ? 'in' : 'out')),
      match({ message: say('match'), kinds: ['side', 'pocket'] }),
    ],
    grips: [
      amountGrip({
        piece: front.piece.id,
        shown: 'drawn',
        from: targetAt(side, at, 0),
        axis: { x: front.out, y: 0 },
        value: by,
        limits: BY,
        per: 4,
      }),
    ],
  });
}

export const trouserHip: AlterationDefinition = define({
  id: 'trouser-hip',
  family: 'trouser',
  params: [BY, choice('way', 'side', 'slash')],
  amounts: ['by'],
  requires: ['crotch', 'side'],
  refusals: ['trousers-not-found', 'crotch-not-found', 'hip-missing', 'overlap-too-large'],
  examples: [
    { name: 'wider', on: 'landing', values: { by: 24 } },
    { name: 'narrower', on: 'landing', values: { by: -20 } },
    { name: 'wider, slashed', on: 'landing', values: { by: 24, way: 'slash' } },
  ],
  source:
    'A quarter of the difference added or taken off at each side edge at the hip line, to nothing at the waist and at the knee; or slashed from the hem to a hinge at the waist and across to a hinge at the side, the leg as much wider down to the hem.',
  why: 'why.trouser-hip',
  needs: ({ pieces }) => trousersOn(pieces),
  reads: ['hip'],
  fits: (context) => fitBy(context, 'hip', 1 / 4, (by) => ({ by: tenth(by) }), USUAL_EASE.hip),
  plan,
  holds: held(
    { part: TROUSERS, role: 'waist', slack: 0.5 },
    { part: TROUSERS, role: 'crotch' },
    { part: TROUSERS, role: 'inseam' },
  ),
});
