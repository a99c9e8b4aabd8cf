import { levelOf, type Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Program, Values } from '../../contract.ts';
import { define, held, length } from '../../kit/define.ts';
import { backOf, wedge } from '../../kit/wedge.ts';
import { numberOf } from '../../engine/values.ts';
import { match } from '../../operations/index.ts';

const SEAT = length('by', 0, 60, 15);

/** The back of a skirt with a hip level, or a back that runs on over the seat. */
function overSeat(context: Pick<Context, 'pieces'>): Result<{ readonly piece: Piece; readonly y: number }> {
  const skirt = backOf(context.pieces, ['skirtBack']);
  const back = skirt.ok ? skirt : backOf(context.pieces, ['back']);
  if (!back.ok) return back;
  const hip = levelOf(back.value, 'hip');
  const waist = levelOf(back.value, 'waist');
  if (hip) return ok({ piece: back.value, y: hip.y - 60 });
  return waist ? ok({ piece: back.value, y: waist.y + 90 }) : refuse('back-ends-at-waist', { piece: back.value.name });
}

function plan(context: Context, values: Values): Result<Program> {
  const found = overSeat(context);
  if (!found.ok) return found;
  const by = numberOf(values, 'by');
  const { piece, y } = found.value;
  const done = wedge({ context, piece, y, by, words: 'seat', limits: SEAT, turnsUpper: true });
  if (!done.ok) return done;
  return ok({
    piece: piece.id,
    grips: done.value.grips,
    instructions: [
      ...done.value.instructions,
      match({ message: { code: 'seat.match', data: { by } }, kinds: ['side', 'princess', 'waist'] }),
    ],
  });
}

export const fullSeat: AlterationDefinition = define({
  id: 'full-seat',
  family: 'width',
  params: [SEAT],
  requires: ['centreBack', 'side', 'hem'],
  refusals: ['back-not-found', 'back-ends-at-waist', 'line-off-piece', 'wedge-too-large'],
  examples: [
    { name: 'skirt', on: 'causeway', values: { by: 15 } },
    { name: 'on the fold', on: 'causeway-side', values: { by: 12 } },
  ],
  source: 'A wedge let in across the seat: the amount at the centre back, nothing at the side.',
  why: 'why.full-seat',
  needs: overSeat,
  plan,
  holds: held({ part: ['back', 'sideBack', 'skirtBack'], role: 'side' }),
});
