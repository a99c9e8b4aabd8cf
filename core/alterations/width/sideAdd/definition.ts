import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { choice, define, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { openings, sidesOf, targetAt, wholeSide, widenStep, type SideOn } from '../../kit/sides.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { mark, match } from '../../operations/index.ts';
import { knotsFor } from './layout.ts';

const BY = length('by', -120, 160, 20, true);

function plan(context: Context, values: Values): Result<Program> {
  const by = numberOf(values, 'by');
  const level = choiceOf(values, 'level');
  const each = by / 4;
  const data = { by: Math.abs(by), each: Math.abs(each), level };
  const message = (code: Under<'sideAdd'>): Message => ({ code: `sideAdd.${code}`, data });
  const instructions: Instruction[] = [];
  // At the underarm the whole side goes out, what opens in it with it; elsewhere what lies below its darts.
  const sides = sidesOf(context.pieces).map((s) => (level === 'underarm' || level === 'bust' ? wholeSide(s) : s));
  for (const side of sides) {
    const found = knotsFor(side, level, each, openings(context.seams));
    if (!found) continue;
    instructions.push(
      mark({
        piece: side.piece.id,
        message: message('mark'),
        points: [{ id: `new ${side.piece.id}`, kind: 'target', at: targetAt(side, found.at, each) }],
      }),
      widenStep(side, found.knots, message(by < 0 ? 'in' : 'out'), { round: 45 }),
    );
  }
  const [first] = instructions;
  if (!first || first.op !== 'mark' || !first.piece) return refuse('no-level-here', { level });
  instructions.push(match({ message: message('match'), kinds: ['side', 'waist', 'armhole'] }));
  const side = sides.find((s) => s.piece.id === first.piece) as SideOn;
  const at = knotsFor(side, level, each, openings(context.seams))?.at ?? 0;
  return ok({
    piece: first.piece,
    instructions,
    grips: [
      amountGrip({
        piece: first.piece,
        shown: 'drawn',
        from: targetAt(side, at, 0),
        axis: { x: side.out, y: 0 },
        value: by,
        limits: BY,
        per: 4,
      }),
    ],
  });
}

export const sideAdd: AlterationDefinition = define({
  id: 'side-add',
  family: 'width',
  params: [BY, choice('level', 'waist', 'underarm', 'bust', 'hip')],
  requires: ['side'],
  refusals: ['no-level-here'],
  examples: [
    { name: 'waist', on: 'causeway', values: { by: 24 } },
    { name: 'hip', on: 'causeway', values: { by: 32, level: 'hip' } },
    { name: 'bust, narrower', on: 'causeway-shirt', values: { by: -20, level: 'bust' } },
    { name: 'underarm, narrower', on: 'causeway-shirt', values: { by: -16, level: 'underarm' } },
  ],
  source: 'A quarter of the difference added at each side edge at one level, to nothing at the next notch.',
  why: 'why.side-add',
  needs: ({ pieces }) => (sidesOf(pieces).length > 0 ? ok(true) : refuse('no-level-here', { level: 'waist' })),
  plan,
});
