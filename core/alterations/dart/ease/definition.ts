import { define } from '../../kit/define.ts';
import { distance } from '../../../geometry/index.ts';
import { dartShape } from '../../../pattern/index.ts';
import { ADVICE, ok, type Result } from '../../../units/index.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import type { AlterationDefinition, Context, Program, Values } from '../../contract.ts';
import { DART, DART_REFUSALS, findDart, PART, suitsDarts } from '../../kit/dart/find.ts';
import { easeDart, mark, match } from '../../operations/index.ts';

/** A dart left unsewn: a little is eased into the seam it opens in, more is gathered between two notches. */
function plan(context: Context, values: Values): Result<Program> {
  const found = findDart(context, values);
  if (!found.ok) return found;
  const { piece, dart } = found.value;
  const shape = dartShape(piece, dart);
  const intake = distance(shape.start, shape.end);
  const data = { dart: dart.kind, intake };
  const eased = intake <= ADVICE.easeMost;
  return ok({
    piece: piece.id,
    instructions: [
      mark({
        message: { code: 'ease.mark', data },
        lines: [{ id: 'legs', label: '1', points: [shape.start, shape.tip, shape.end] }],
      }),
      easeDart({ stage: 'dart', message: { code: eased ? 'ease.dart' : 'gather.dart', data }, dart: dart.id }),
      match({ message: { code: eased ? 'ease.match' : 'gather.match', data }, kinds: ['side', 'shoulder', 'waist'] }),
    ],
  });
}

export const dartEase: AlterationDefinition = define({
  id: 'dart-ease',
  family: 'dart',
  params: [PART, DART],
  amount: null,
  requires: ['dart'],
  refusals: DART_REFUSALS,
  examples: [
    { name: 'gathered', on: 'causeway-shoulder', values: { dart: 'shoulder' } },
    { name: 'easedBack', on: 'causeway', values: { part: 'back', dart: 'shoulder' } },
  ],
  source: 'A dart left open and drawn up in the seam instead.',
  suits: suitsDarts(),
  plan,
  // The seam that eases is longer by the dart's intake; that is the point of it.
  holds: (before, after) => (before.length === after.length ? [] : seamsHold(before, after)),
});
