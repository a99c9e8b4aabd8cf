import { edgesWithRole, levelOf, waistHeight } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { define, held, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { alongAt, sideLength, sidesOf, targetAt, widenStep, type SideOn } from '../../kit/sides.ts';
import { numberOf } from '../../engine/values.ts';
import { mark, match, squareAcross } from '../../operations/index.ts';

const BY = length('by', -200, 400, 80, true);

/** Sides that end in a hem. */
const hemmed = (context: Pick<Context, 'pieces'>): readonly SideOn[] =>
  sidesOf(context.pieces).filter((s) => edgesWithRole(s.piece, 'hem').length > 0);

/** Where the flare begins: at the hip, or else the waist. */
const start = (side: SideOn): number =>
  alongAt(side, levelOf(side.piece, 'hip')?.y ?? Infinity) ??
  alongAt(side, waistHeight(side.piece, 'side') ?? Infinity) ??
  sideLength(side) / 3;

function plan(context: Context, values: Values): Result<Program> {
  const sides = hemmed(context);
  const [first] = sides;
  if (!first) return refuse('no-hem', {});
  const by = numberOf(values, 'by');
  const each = by / 4;
  const data = { by: Math.abs(by), each: Math.abs(each) };
  const say = (code: Under<'sweep'>): Message => ({ code: `sweep.${code}`, data });
  const instructions = sides.flatMap((side): readonly Instruction[] => {
    const size = sideLength(side);
    const from = start(side);
    return [
      mark({
        piece: side.piece.id,
        message: say('mark'),
        points: [{ id: `hem ${side.piece.id}`, kind: 'target', at: targetAt(side, size, each) }],
      }),
      widenStep(
        side,
        [
          { at: 0, by: 0 },
          { at: from, by: 0 },
          { at: size, by: each },
        ],
        say(by < 0 ? 'in' : 'out'),
        { round: 60 },
      ),
      squareAcross({ piece: side.piece.id, message: say('hem'), role: 'hem' }),
    ];
  });
  return ok({
    piece: first.piece.id,
    instructions: [...instructions, match({ message: say('match'), kinds: ['side'] })],
    grips: [
      amountGrip({
        piece: first.piece.id,
        shown: 'drawn',
        from: targetAt(first, sideLength(first), 0),
        axis: { x: first.out, y: 0 },
        value: by,
        limits: BY,
        per: 4,
      }),
    ],
  });
}

export const hemSweep: AlterationDefinition = define({
  id: 'hem-sweep',
  family: 'width',
  params: [BY],
  requires: ['side', 'hem'],
  refusals: ['no-hem'],
  examples: [
    { name: 'wider skirt', on: 'causeway', values: { by: 100 } },
    { name: 'narrower shirt', on: 'causeway-shirt', values: { by: -40 } },
  ],
  source:
    'A quarter of the difference at each side edge of the hem, from nothing at the hip; hem drawn square to the side.',
  why: 'why.hem-sweep',
  needs: (context) => (hemmed(context).length > 0 ? ok(true) : refuse('no-hem', {})),
  plan,
  holds: held({ part: ['front', 'back', 'skirtFront', 'skirtBack'], role: 'side', slack: 0.5 }),
});
