import { ok, type Result } from '../../units/index.ts';
import type { AlterationDefinition, Context, Program, Values } from '../contract.ts';
import { define, held, length } from '../kit/define.ts';
import { fitsSway, longBack, swayAdvice } from '../kit/sway.ts';
import { wedge } from '../kit/wedge.ts';
import { numberOf } from '../values.ts';

/** Folded out across at the waist: all of it at the centre back, nothing at the side. */
function plan(context: Context, values: Values): Result<Program> {
  const back = longBack(context);
  if (!back.ok) return back;
  const { piece, waist } = back.value;
  const by = numberOf(values, 'by');
  const done = wedge({ piece, y: waist, by: -by, words: 'sway', max: 60 });
  if (!done.ok) return done;
  return ok({
    piece: piece.id,
    grips: done.value.grips,
    instructions: [
      ...done.value.instructions,
      ...swayAdvice(piece, by),
      { op: 'match', stage: 'match', message: { code: 'sway.match', data: { by } }, kinds: ['side'] },
    ],
  });
}

export const swaybackFold: AlterationDefinition = define({
  id: 'swayback-fold',
  family: 'back',
  phase: 'swayback',
  params: [length('by', 0, 60, 15)],
  requires: ['centreBack', 'side', 'hem'],
  refusals: ['back-not-found', 'back-ends-at-waist', 'line-off-piece', 'wedge-too-large'],
  examples: [
    { name: 'on the fold', on: 'causeway-side', values: { by: 15 } },
    { name: 'with a centre back seam', on: 'causeway-french', values: { by: 12 } },
  ],
  source: 'Excess folded out across the back at the waist, to nothing at a hinge on the side seam line.',
  why: 'why.swayback-fold',
  grade: 'best',
  needs: longBack,
  fits: fitsSway,
  plan,
  holds: held({ part: ['back'], role: 'side' }),
});
