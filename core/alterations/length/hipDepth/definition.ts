import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Values } from '../../contract.ts';
import { define, held, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { alongLines, type LengthLine, type LineWord } from '../../kit/lengthLines.ts';
import { numberOf } from '../../engine/values.ts';
import { match } from '../../operations/index.ts';
import { SIDED } from '../../kit/sides.ts';
import { curveOf, linesOn, piecesOverHip } from './layout.ts';

const BY = length('by', -70, 90, -10, true);

function plan({ pieces }: Context, values: Values): Result<Program> {
  const by = numberOf(values, 'by');
  const over = piecesOverHip(pieces);
  const [first] = over;
  if (!first) return refuse('hip-missing', { piece: pieces[0]?.name ?? '' });
  const say = (code: LineWord | 'match'): Message => ({
    code: `hipDepth.${code === 'open' || code === 'lap' ? (by > 0 ? 'lower' : 'higher') : code}`,
    data: { by: Math.abs(by), pieces: over.length },
  });
  const all: LengthLine[] = [];
  for (const piece of over) {
    const lines = linesOn(piece, by);
    if (!lines.ok) return lines;
    all.push(...lines.value);
  }
  const at = all[0]?.left.at ?? { x: 0, y: 0 };
  return ok({
    piece: first.id,
    instructions: [
      ...over.flatMap((p) =>
        alongLines(
          p,
          all.filter((l) => l.piece === p),
          say,
        ),
      ),
      ...over.flatMap((p) => curveOf(p, by, say('true.curve'))),
      match({ message: say('match'), kinds: ['side', 'pocket'] }),
    ],
    grips: [
      amountGrip({ piece: first.id, shown: 'opened', from: at, axis: { x: 0, y: 1 }, value: by, limits: BY, per: 1 }),
    ],
  });
}

export const hipDepth: AlterationDefinition = define({
  id: 'hip-depth',
  family: 'length',
  params: [BY],
  amounts: ['by'],
  requires: ['waist', 'side', 'hem'],
  refusals: ['hip-missing', 'line-off-piece', 'overlap-too-large'],
  examples: [
    { name: 'higher', on: 'causeway', values: { by: -12 } },
    { name: 'lower', on: 'causeway', values: { by: 15 } },
    { name: 'lower, in one', on: 'jetty', values: { by: 15 } },
  ],
  source:
    'A skirt, or a dress in one, lapped or spread between waist and hip and the other way below the hip: the curve of the hip moves, darts become shorter or longer with it, the hem stays.',
  why: 'why.hip-depth',
  needs: ({ pieces }) => {
    const [first] = piecesOverHip(pieces);
    if (!first) return refuse('hip-missing', { piece: pieces[0]?.name ?? '' });
    const lines = linesOn(first, 0);
    return lines.ok ? ok(true) : lines;
  },
  reads: ['hipDepth'],
  fits: (context) => fitBy(context, 'hipDepth', 1, (by) => ({ by: tenth(by) })),
  plan,
  holds: held({ part: SIDED, role: 'waist' }),
});
