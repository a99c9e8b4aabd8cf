import { choice, define, length } from '../../kit/define.ts';
import { distance } from '../../../geometry/index.ts';
import { dartShape, type Dart, type Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import type { AlterationDefinition, Context, Instruction, Program, Values } from '../../contract.ts';
import { suitsDarts } from '../../kit/dart/find.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { capDart, changeDart, mark, match } from '../../operations/index.ts';

/** How many pieces go around the body for the darts chosen: each half counts. */
const SHARED = { front: 2, back: 2, both: 4 } as const;
/** A dart left with less is not worth sewing. */
const LEAST = 2;

/** The whole waist made wider or narrower in its darts: the difference shared over the pieces, half of each share on each leg. */
function plan(context: Context, values: Values): Result<Program> {
  const over = choiceOf(values, 'over') as keyof typeof SHARED;
  const by = numberOf(values, 'by');
  const each = by / SHARED[over];
  const parts = over === 'both' ? ['front', 'back'] : [over];
  const found: { piece: Piece; dart: Dart; intake: number }[] = [];
  for (const part of parts) {
    const piece = context.pieces.find((p) => p.part === part);
    const dart = piece?.darts.find((d) => d.kind === 'waist');
    if (!piece || !dart) return refuse('no-such-dart', { piece: piece?.name ?? part, dart: 'waist' });
    const { start, end } = dartShape(piece, dart);
    found.push({ piece, dart, intake: distance(start, end) });
  }
  const narrowest = found.reduce((least, f) => Math.min(least, f.intake), Infinity);
  if (each > narrowest - LEAST)
    return refuse('dart-cannot-give', { wanted: by, most: (narrowest - LEAST) * SHARED[over] });
  const first = found[0];
  if (!first) return refuse('front-not-found');
  const data = { by, each: Math.abs(each), leg: Math.abs(each) / 2, pieces: SHARED[over], dart: 'waist' };
  const code = by >= 0 ? 'waistDarts.narrower' : 'waistDarts.wider';
  return ok({
    piece: first.piece.id,
    instructions: [
      mark({ message: { code: 'waistDarts.mark', data } }),
      ...found.flatMap(({ piece, dart }): readonly Instruction[] => [
        changeDart({ piece: piece.id, message: { code, data }, dart: dart.id, change: { narrower: each } }),
        capDart({ piece: piece.id, message: { code: 'dart.cap', data }, dart: dart.id }),
      ]),
      match({ message: { code: 'waistDarts.match', data }, kinds: ['side', 'waist'] }),
    ],
  });
}

export const dartWaistWidth: AlterationDefinition = define({
  id: 'dart-waist-width',
  family: 'dart',
  params: [length('by', -160, 160, 20, true), choice('over', 'both', 'front', 'back')],
  requires: ['waist', 'dart'],
  refusals: ['no-such-dart', 'dart-cannot-give', 'front-not-found'],
  examples: [
    { name: 'wider', on: 'causeway', values: { by: 24 } },
    { name: 'narrower', on: 'causeway', values: { by: -24, over: 'back' } },
  ],
  source: 'Total waist difference divided by the number of pieces it is spread over, half on each leg.',
  suits: suitsDarts(['front', 'back'], ['waist']),
  plan,
  holds: seamsHold,
});
