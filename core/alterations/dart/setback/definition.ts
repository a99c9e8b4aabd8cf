import { amountGrip } from '../../kit/grip.ts';
import { define, length } from '../../kit/define.ts';
import { sub, unit } from '../../../geometry/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import type { AlterationDefinition, Context, Program, Values } from '../../contract.ts';
import { DART, DART_REFUSALS, findDart, suitsDarts } from '../../kit/dart/find.ts';
import { numberOf } from '../../engine/values.ts';
import { capDart, mark, match, retip } from '../../operations/index.ts';

const SETBACK = length('setback', 5, 120, 30);

/** A dart lengthened or shortened until its tip stays so far behind the bust point. */
function plan(context: Context, values: Values): Result<Program> {
  const found = findDart(context, { ...values, part: 'front' });
  if (!found.ok) return found;
  const { piece, dart, aim, setback: was } = found.value;
  const setback = numberOf(values, 'setback');
  const data = { dart: dart.kind, setback, was };
  return ok({
    piece: piece.id,
    instructions: [
      mark({ message: { code: 'setback.mark', data }, points: [{ id: 'bustPoint', kind: 'bustPoint', at: aim }] }),
      retip({
        message: { code: setback > was ? 'setback.shorter' : 'setback.longer', data },
        dart: dart.id,
        to: { bustPoint: aim, setback },
      }),
      capDart({ message: { code: 'dart.cap', data }, dart: dart.id }),
      match({ message: { code: 'dart.match', data }, kinds: ['side', 'shoulder', 'waist'] }),
    ],
    grips: [
      amountGrip({
        piece: piece.id,
        id: 'tip',
        shown: 'tip',
        from: aim,
        axis: unit(sub(dart.tip, aim)),
        value: was,
        limits: SETBACK,
        at: dart.tip,
      }),
    ],
  });
}

export const dartSetback: AlterationDefinition = define({
  id: 'dart-setback',
  family: 'dart',
  params: [DART, SETBACK],
  amount: 'setback',
  requires: ['dart'],
  refusals: DART_REFUSALS,
  examples: [
    { name: 'shorter', on: 'causeway', values: { dart: 'side', setback: 40 } },
    { name: 'longer', on: 'causeway-french', values: { dart: 'french', setback: 15 } },
  ],
  source: 'The tip set back from the bust point along the dart, legs drawn equal.',
  suits: suitsDarts(['front']),
  plan,
  holds: seamsHold,
});
