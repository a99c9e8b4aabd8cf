import { TROUSERS } from '../../../pattern/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { define, held, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { trousersOn } from '../../kit/trousers.ts';
import { numberOf } from '../../engine/values.ts';
import { mark, match, redraw } from '../../operations/index.ts';
import { raiseCentre } from '../../../paper/truing/index.ts';

const BY = length('by', -40, 50, 12, true);

function plan(context: Context, values: Values): Result<Program> {
  const on = trousersOn(context.pieces);
  if (!on.ok) return on;
  const by = numberOf(values, 'by');
  const { piece, centre } = on.value.front;
  const say = (code: Under<'frontDip'>): Message => ({
    code: `frontDip.${code}`,
    data: { by: Math.abs(by), way: by < 0 ? 'above' : 'below' },
  });
  return ok({
    piece: piece.id,
    instructions: [
      mark({
        piece: piece.id,
        message: say('mark'),
        points: [{ id: 'new waist', kind: 'target', at: { x: centre.x, y: centre.y + by } }],
      }),
      redraw({ stage: 'true', piece: piece.id, message: say('true'), as: raiseCentre(piece, -by) }),
      match({ message: say('match'), kinds: ['waist', 'side', 'pocket'] }),
    ],
    grips: [amountGrip({ piece: piece.id, shown: 'drawn', from: centre, axis: { x: 0, y: 1 }, value: by, limits: BY })],
  });
}

export const frontDip: AlterationDefinition = define({
  id: 'front-dip',
  family: 'trouser',
  params: [BY],
  requires: ['crotch', 'waist'],
  refusals: ['trousers-not-found', 'crotch-not-found'],
  examples: [
    { name: 'lower in front', on: 'landing', values: { by: 12 } },
    { name: 'higher in front', on: 'landing', values: { by: -10 } },
  ],
  source: 'The waist of the front drawn again, lower at the centre front (higher over a belly) to nothing at the side.',
  why: 'why.front-dip',
  needs: ({ pieces }) => trousersOn(pieces),
  plan,
  holds: held({ part: TROUSERS, role: 'side' }, { part: TROUSERS, role: 'inseam' }, { part: TROUSERS, role: 'waist' }),
});
