import { TROUSERS, dartShape } from '../../../pattern/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { define, held, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { amountGrip } from '../../kit/grip.ts';
import { alongLines } from '../../kit/lengthLines.ts';
import { linesOnBoth, sameSeam } from '../../kit/trouserLines.ts';
import { halves, trousersOn, type TrousersOn } from '../../kit/trousers.ts';
import { numberOf } from '../../engine/values.ts';
import { match } from '../../operations/index.ts';

const BY = length('by', -80, 80, 15, true);
/** Room under the seat, sitting, mm. */
const EASE = 15;
/** Where the line lies between the hip line and the tips of the darts, and at least how far above the hip line, mm. */
const UP_TO_TIPS = 0.7;
const ABOVE_HIP = 10;

/** How far above the hip line both halves are cut: below the tips of their darts, and far enough up for the hip to keep its curve. */
function aboveHip(on: TrousersOn): number {
  const room = halves(on).map(({ piece, hip, corner }) => {
    const tips = piece.darts.map((d) => dartShape(piece, d).tip.y);
    return hip - Math.max(corner.y, ...tips);
  });
  return Math.max(ABOVE_HIP, UP_TO_TIPS * Math.min(...room));
}

function plan(context: Context, values: Values): Result<Program> {
  const on = trousersOn(context.pieces);
  if (!on.ok) return on;
  const by = numberOf(values, 'by');
  const above = aboveHip(on.value);
  const cut = linesOnBoth(on.value, [{ line: 'depth', y: ({ hip }) => hip - above, by }]);
  if (!cut.ok) return cut;
  const say = (code: Under<'crotchDepth'>): Message => ({
    code: `crotchDepth.${code}`,
    data: { by: Math.abs(by), above },
  });
  const { front } = on.value;
  return ok({
    piece: front.piece.id,
    instructions: [
      ...cut.value.flatMap(({ half, lines, lengths }) =>
        alongLines(half.piece, lines, (code) => say(sameSeam(code)), lengths),
      ),
      match({ message: say('match'), kinds: ['side', 'pocket', 'waist'] }),
    ],
    grips: [
      amountGrip({
        piece: front.piece.id,
        shown: 'opened',
        from: { x: front.fork.x, y: front.crotchLine },
        axis: { x: 0, y: 1 },
        value: by,
        limits: BY,
      }),
    ],
  });
}

export const crotchDepth: AlterationDefinition = define({
  id: 'crotch-depth',
  family: 'trouser',
  params: [BY],
  requires: ['crotch', 'inseam', 'side'],
  refusals: ['trousers-not-found', 'crotch-not-found', 'line-off-piece', 'overlap-too-large'],
  examples: [
    { name: 'deeper', on: 'landing', values: { by: 15 } },
    { name: 'less deep', on: 'landing', values: { by: -15 } },
  ],
  source:
    'Front and back spread or folded on one line between waist and hip, by what the body sitting differs from the pattern, with room under the seat.',
  why: 'why.crotch-depth',
  grade: 'best',
  needs: ({ pieces }) => trousersOn(pieces),
  reads: ['crotchDepth'],
  fits: (context) => fitBy(context, 'crotchDepth', 1, (by) => ({ by: tenth(by) }), EASE),
  plan,
  holds: held({ part: TROUSERS, role: 'inseam' }, { part: TROUSERS, role: 'waist' }, { part: TROUSERS, role: 'hem' }),
});
