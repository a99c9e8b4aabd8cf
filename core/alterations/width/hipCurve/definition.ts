import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { numberOf } from '../../engine/values.ts';
import { define, held, length, share } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { SIDED, targetAt } from '../../kit/sides.ts';
import { sideSteps } from '../../kit/sidesAlike.ts';
import { TROUSERS } from '../../../pattern/index.ts';
import { mark, match } from '../../operations/index.ts';
import { curveKnots, roundOf, sidesOverHip } from './layout.ts';

const BY = length('by', -60, 80, 16, true);

function plan(context: Context, values: Values): Result<Program> {
  const by = numberOf(values, 'by');
  const at = numberOf(values, 'fullest');
  const sides = sidesOverHip(context.pieces);
  const [first] = sides;
  if (!first) return refuse('hip-missing', { piece: context.pieces[0]?.name ?? '' });
  const each = by / 4;
  const data = { by: Math.abs(by), each: Math.abs(each), below: at * (first.hip - first.waist) };
  const say = (code: Under<'hipCurve'>): Message => ({ code: `hipCurve.${code}`, data });
  const fullest = (s: typeof first): number => s.waist + at * (s.hip - s.waist);
  return ok({
    piece: first.side.piece.id,
    instructions: [
      ...sides.map((s) =>
        mark({
          piece: s.side.piece.id,
          message: say('mark'),
          points: [{ id: `hip ${s.side.piece.id}`, kind: 'target', at: targetAt(s.side, fullest(s), each) }],
        }),
      ),
      ...sideSteps(
        sides.map((s) => ({ side: s.side, knots: curveKnots(s, at, each), round: roundOf(s, at) })),
        say(by < 0 ? 'in' : 'out'),
      ),
      match({ message: say('match'), kinds: ['side', 'pocket'] }),
    ],
    grips: [
      amountGrip({
        piece: first.side.piece.id,
        shown: 'drawn',
        from: targetAt(first.side, fullest(first), 0),
        axis: { x: first.side.out, y: 0 },
        value: by,
        limits: BY,
        per: 4,
      }),
    ],
  });
}

export const hipCurve: AlterationDefinition = define({
  id: 'hip-curve',
  family: 'width',
  params: [BY, share('fullest', 0.25, 0.75, 0.5)],
  requires: ['waist', 'side'],
  refusals: ['hip-missing'],
  examples: [
    { name: 'fuller, on a skirt', on: 'causeway', values: { by: 16 } },
    { name: 'flatter, on a dress in one', on: 'jetty', values: { by: -12, fullest: 0.4 } },
    { name: 'fuller, on trousers', on: 'landing', values: { by: 12 } },
  ],
  source:
    'The side seam drawn fuller or flatter between waist and hip, a quarter at each side edge, to nothing at both.',
  why: 'why.hip-curve',
  needs: ({ pieces }) =>
    sidesOverHip(pieces).length > 0 ? ok(true) : refuse('hip-missing', { piece: pieces[0]?.name ?? '' }),
  plan,
  holds: held({ part: [...SIDED, ...TROUSERS], role: 'waist' }, { part: SIDED, role: 'hem', slack: 0.5 }),
});
