import { edgesWithRole } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { centreEdge, upperEnd } from '../../kit/across.ts';
import { facingDepth } from '../../kit/facing.ts';
import { define, held, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { shoulderPair } from '../../kit/shoulder.ts';
import { numberOf } from '../../engine/values.ts';
import { drawAlong, mark, match } from '../../operations/index.ts';
import { atCentre, atShoulder } from './layout.ts';

const BY = length('by', -40, 120, 15, true);

function plan(context: Context, values: Values): Result<Program> {
  const pair = shoulderPair(context);
  if (!pair.ok) return pair;
  const { front, back } = pair.value;
  for (const on of [front, back])
    if (edgesWithRole(on.piece, 'neck').length > 1) return refuse('dart-in-neckline', { piece: on.piece.name });
  const by = numberOf(values, 'by');
  const backBy = numberOf(values, 'backBy');
  const wide = numberOf(values, 'wide');
  const most = Math.min(front.length, back.length) * 0.6;
  if (wide > most) return refuse('neck-too-wide', { wanted: wide, most });
  const data = { by: Math.abs(by), back: Math.abs(backBy), wide: Math.abs(wide) };
  const say = (code: Under<'neckline'>): Message => ({ code: `neckline.${code}`, data });
  const instructions: Instruction[] = [mark({ piece: front.piece.id, message: say('mark') })];
  for (const [on, amount] of [
    [front, by],
    [back, backBy],
  ] as const) {
    const where = on === front ? 'front' : 'back';
    const centre = atCentre(on.piece, on.neck, amount, say(`${where}.${amount > 0 ? 'lower' : 'higher'}`));
    instructions.push(...centre, ...atShoulder(on, wide, say(wide > 0 ? 'wider' : 'narrower')));
  }
  for (const facing of context.pieces.filter((p) => p.part === 'facingFront' || p.part === 'facingBack')) {
    const of = facing.part === 'facingFront' ? front.piece.id : back.piece.id;
    instructions.push(
      drawAlong({ stage: 'match', piece: facing.id, message: say('facing'), of, as: { facing: facingDepth(facing) } }),
    );
  }
  instructions.push(match({ message: say('match'), kinds: ['neck', 'shoulder'] }));
  const centre = centreEdge(front.piece);
  const top = centre ? upperEnd(centre) : front.neckPoint;
  return ok({
    piece: front.piece.id,
    instructions,
    grips: [
      amountGrip({ piece: front.piece.id, shown: 'drawn', from: top, axis: { x: 0, y: 1 }, value: by, limits: BY }),
    ],
  });
}

export const neckline: AlterationDefinition = define({
  id: 'neckline',
  family: 'neck',
  params: [BY, length('backBy', -20, 80, 0, true), length('wide', -25, 60, 0, true)],
  amounts: ['by', 'backBy', 'wide'],
  requires: ['neck', 'shoulder'],
  refusals: ['shoulder-seam-missing', 'neck-too-wide', 'dart-in-neckline'],
  examples: [
    { name: 'lower in front', on: 'causeway', values: { by: 20 } },
    { name: 'wider and higher', on: 'causeway-shirt', values: { by: -8, wide: 6 } },
  ],
  source:
    'The neckline drawn again between new ends on centre and shoulder, square to both; the facing drawn on the new neck.',
  why: 'why.neckline',
  needs: shoulderPair,
  plan,
  holds: held({ part: ['front', 'back'], role: 'armhole' }, { part: ['front', 'back'], role: 'side' }),
});
