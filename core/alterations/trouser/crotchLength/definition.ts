import type { AlterationDefinition, Context, Program, Values } from '../../contract.ts';
import type { Result } from '../../../units/index.ts';
import { choice, define, length, share, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { RISE_COMMON, riseProgram } from '../../kit/rise.ts';
import { trousersOn } from '../../kit/trousers.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';

const BY = length('by', -80, 100, 25, true);
/** Room in the crotch seam, mm. */
const EASE = 38;
/** What the front takes, by where the body needs it. */
const FRONT: Readonly<Record<string, number>> = { both: 0.5, seat: 0, belly: 1 };

function plan(context: Context, values: Values): Result<Program> {
  const on = trousersOn(context.pieces);
  if (!on.ok) return on;
  const by = numberOf(values, 'by');
  const front = FRONT[choiceOf(values, 'takes')] ?? 0.5;
  return riseProgram({
    on: on.value,
    words: 'crotchLength',
    gains: { front: by * front, back: by * (1 - front) },
    share: numberOf(values, 'fork'),
    by,
    limits: BY,
  });
}

export const crotchLength: AlterationDefinition = define({
  ...RISE_COMMON,
  id: 'crotch-length',
  params: [BY, choice('takes', 'both', 'seat', 'belly'), share('fork', 0, 0.6, 0)],
  examples: [
    { name: 'longer, front and back', on: 'landing', values: { by: 24 } },
    { name: 'shorter in front', on: 'landing', values: { by: -12, takes: 'belly' } },
    { name: 'longer behind, part of it at the inseam', on: 'landing', values: { by: 30, takes: 'seat', fork: 0.4 } },
  ],
  source:
    'Cut along the hip line from the crotch seam to a pin in the side seam and opened by the amount at the crotch seam; of a large amount a part at the inseam point, inseams matched again.',
  why: 'why.crotch-length',
  reads: ['crotchLength'],
  fits: (context) => fitBy(context, 'crotchLength', 1 / 2, (by) => ({ by: tenth(by) }), EASE),
  plan,
});
