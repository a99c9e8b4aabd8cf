import { ok, type Result } from '../../units/index.ts';
import type { AlterationDefinition, Context, Program, Values } from '../contract.ts';
import { define, held, length } from '../kit/define.ts';
import { fitsSway, longBack, swayAdvice } from '../kit/sway.ts';
import { wedge } from '../kit/wedge.ts';
import { numberOf } from '../values.ts';

/** The wrinkle sits between waist and hip: the line is cut and lapped there. */
function plan(context: Context, values: Values): Result<Program> {
  const back = longBack(context);
  if (!back.ok) return back;
  const { piece, waist } = back.value;
  const by = numberOf(values, 'by');
  const done = wedge({ piece, y: waist + numberOf(values, 'belowWaist'), by: -by, words: 'swayLower', max: 60 });
  if (!done.ok) return done;
  return ok({
    piece: piece.id,
    grips: done.value.grips,
    instructions: [
      ...done.value.instructions,
      ...swayAdvice(piece, by),
      { op: 'match', stage: 'match', message: { code: 'swayLower.match', data: { by } }, kinds: ['side'] },
    ],
  });
}

export const swaybackLower: AlterationDefinition = define({
  id: 'swayback-lower',
  family: 'back',
  phase: 'swayback',
  params: [length('by', 0, 60, 15), length('belowWaist', 20, 120, 60)],
  requires: ['centreBack', 'side', 'hem'],
  refusals: ['back-not-found', 'back-ends-at-waist', 'line-off-piece', 'wedge-too-large'],
  examples: [
    { name: 'on the fold', on: 'causeway-shirt', values: { by: 15 } },
    { name: 'with a centre back seam', on: 'causeway-french', values: { by: 12, belowWaist: 70 } },
  ],
  source: 'The slash placed between waist and hip and lapped, to nothing at the side, where the wrinkle sits lower.',
  why: 'why.swayback-lower',
  needs: longBack,
  fits: fitsSway,
  plan,
  holds: held({ part: ['back'], role: 'side' }),
});
