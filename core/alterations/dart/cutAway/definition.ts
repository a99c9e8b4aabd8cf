import { define, length } from '../../kit/define.ts';
import { distance } from '../../../geometry/index.ts';
import { dartShape } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import type { AlterationDefinition, Context, Program, Values } from '../../contract.ts';
import { DART, DART_REFUSALS, findDart, PART, suitsDarts } from '../../kit/dart/find.ts';
import { numberOf } from '../../engine/values.ts';
import { changeDart, mark, match } from '../../operations/index.ts';

/** A dart too wide to press is cut open along its legs and keeps a seam allowance on each. */
function plan(context: Context, values: Values): Result<Program> {
  const found = findDart(context, values);
  if (!found.ok) return found;
  const { piece, dart } = found.value;
  const allowance = numberOf(values, 'allowance');
  const shape = dartShape(piece, dart);
  const intake = distance(shape.start, shape.end);
  if (intake < 2 * allowance + 4)
    return refuse('dart-too-narrow-to-cut', { dart: dart.kind, intake, least: 2 * allowance + 4 });
  const data = { dart: dart.kind, allowance, intake };
  return ok({
    piece: piece.id,
    instructions: [
      mark({
        message: { code: 'cutAway.mark', data },
        lines: [{ id: 'legs', label: '1', points: [shape.start, shape.tip, shape.end] }],
      }),
      changeDart({ message: { code: 'cutAway.dart', data }, dart: dart.id, change: { cutAway: allowance } }),
      match({ message: { code: 'dart.match', data }, kinds: ['side', 'shoulder', 'waist'] }),
    ],
  });
}

export const dartCutAway: AlterationDefinition = define({
  id: 'dart-cut-away',
  family: 'dart',
  params: [PART, DART, length('allowance', 6, 25, 10)],
  amount: 'allowance',
  requires: ['dart'],
  refusals: [...DART_REFUSALS, 'dart-too-narrow-to-cut'],
  examples: [{ name: 'waist', on: 'causeway-waist', values: { dart: 'waist' } }],
  source: 'Usual practice for darts too wide to fold: a seam allowance along both legs.',
  suits: suitsDarts(),
  plan,
  holds: seamsHold,
});
