import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { choice, define, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { alongLines, lineAcross, type LengthLine } from '../../kit/lengthLines.ts';
import { ownLine, SHARED, type SharedPlace } from '../../kit/ownLine.ts';
import { sidesOf } from '../../kit/sides.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { match } from '../../operations/index.ts';

/** As far as a tunic is let down; what a piece has no room for is refused on it. */
const BY = length('by', -400, 600, -10, true);

function crossings(context: Context, from: SharedPlace, away: number, by: number): Result<readonly LengthLine[]> {
  const out: LengthLine[] = [];
  for (const [piece, y] of ownLine(context, from, away)) {
    const met = lineAcross(piece, 'own', y, by);
    if (!met.ok) return met;
    if (met.value) out.push(met.value);
  }
  return out.length > 0 ? ok(out) : refuse('no-line-here', { where: from });
}

function plan(context: Context, values: Values): Result<Program> {
  const by = numberOf(values, 'by');
  const from = choiceOf(values, 'from') as SharedPlace;
  const away = numberOf(values, 'away');
  const found = crossings(context, from, away, by);
  if (!found.ok) return found;
  const lines = found.value;
  const [first] = lines;
  if (!first) return refuse('no-line-here', { where: from });
  const data = {
    by: Math.abs(by),
    shares: 'even',
    where: 'own',
    from,
    away: Math.abs(away),
    side: away < 0 ? 'above' : 'below',
    pieces: lines.length,
    lines: 1,
  };
  const say = (code: Under<'length'>): Message => ({ code: `length.${code}`, data });
  return ok({
    piece: first.piece.id,
    instructions: [
      ...lines.flatMap((line) => alongLines(line.piece, [line], say)),
      match({
        message: say(
          lines.some((l) => [l.left, l.right].some((m) => m.edge.role === 'armhole')) ? 'match.armhole' : 'match',
        ),
        kinds: ['side', 'princess', 'armhole', 'raglan', 'waist'],
      }),
    ],
    grips: [
      amountGrip({
        piece: first.piece.id,
        shown: 'opened',
        from: first.left.at,
        axis: { x: 0, y: 1 },
        value: by,
        limits: BY,
      }),
    ],
  });
}

export const lengthAnywhere: AlterationDefinition = define({
  id: 'length-anywhere',
  family: 'length',
  params: [BY, choice('from', ...SHARED), length('away', -300, 900, 80, true)],
  amounts: ['by'],
  requires: ['side'],
  refusals: ['line-off-piece', 'no-line-here', 'overlap-too-large'],
  examples: [
    { name: 'below the underarm', on: 'causeway-shirt', values: { by: 12 } },
    { name: 'through the armhole', on: 'causeway', values: { by: -8, away: -40 } },
    { name: 'above the hem', on: 'causeway-shirt', values: { by: 60, from: 'bottom', away: -20 } },
    { name: 'below the notch of the side', on: 'skerry-armhole', values: { by: 10, from: 'notch', away: 30 } },
    { name: 'on the skirt', on: 'causeway', values: { by: -30, from: 'skirtWaist', away: 300 } },
  ],
  source:
    'A line so far from a corner or notch that front and back share, carried on from panel to panel: no line on the pattern is needed.',
  why: 'why.length-anywhere',
  needs: ({ pieces }) => (sidesOf(pieces).length > 0 ? ok(true) : refuse('side-missing', {})),
  plan,
});
