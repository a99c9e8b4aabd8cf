import type { AlterationDefinition, Context, Program, Values } from '../../contract.ts';
import type { Result } from '../../../units/index.ts';
import { define, length, share } from '../../kit/define.ts';
import { RISE_COMMON, riseProgram } from '../../kit/rise.ts';
import { trousersOn } from '../../kit/trousers.ts';
import { numberOf } from '../../engine/values.ts';

const BY = length('by', -50, 60, 20, true);

function plan(context: Context, values: Values): Result<Program> {
  const on = trousersOn(context.pieces);
  if (!on.ok) return on;
  const by = numberOf(values, 'by');
  return riseProgram({
    on: on.value,
    words: 'fullSeatTrousers',
    gains: { front: 0, back: by },
    share: numberOf(values, 'fork'),
    by,
    limits: BY,
  });
}

export const fullSeatTrousers: AlterationDefinition = define({
  ...RISE_COMMON,
  id: 'full-seat-trousers',
  params: [BY, share('fork', 0, 0.6, 0.35)],
  examples: [
    { name: 'full seat', on: 'landing', values: { by: 20 } },
    { name: 'flat seat', on: 'landing', values: { by: -15 } },
  ],
  source:
    'The back alone: opened along the hip line at the centre back, and put on at the inseam point, so that the seat has length and room; the other way for a flat seat.',
  why: 'why.full-seat-trousers',
  plan,
});
