import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { choice, define, length, share } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { alongLines, type LengthLine } from '../../kit/lengthLines.ts';
import { LINES, type LineName } from '../../kit/levels.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { match } from '../../operations/index.ts';
import { crossings, fits } from './layout.ts';

/** As far as a tunic is let down; what a piece has no room for is refused on it. */
const BY = length('by', -400, 600, -10, true);

function plan(context: Context, values: Values): Result<Program> {
  const by = numberOf(values, 'by');
  const where = choiceOf(values, 'where') as (typeof LINES)[number];
  const lines: readonly LineName[] = where === 'both' ? ['aboveBust', 'belowBust'] : [where];
  const above = numberOf(values, 'above');
  const shareOf = (line: LineName): number => (lines.length === 1 ? 1 : line === 'aboveBust' ? above : 1 - above);
  const found: LengthLine[] = [];
  for (const line of lines) {
    const met = crossings(context.pieces, line, numberOf(values, 'moved'), by * shareOf(line));
    if (!met.ok) return met;
    found.push(...met.value);
  }
  const pieces = context.pieces.filter((p) => found.some((c) => c.piece === p));
  const even = lines.length === 2 && Math.abs(above - 0.5) > 0.005 ? 'uneven' : 'even';
  const data = {
    by: Math.abs(by) / lines.length,
    above: Math.abs(by * above),
    below: Math.abs(by * (1 - above)),
    shares: even,
    where,
    pieces: pieces.length,
    lines: lines.length,
  };
  const say = (code: Under<'length'>): Message => ({ code: `length.${code}`, data });
  const [first] = found.filter((c) => c.piece === pieces[0]);
  if (!first) return refuse('no-line-here', { where });
  const at = first.left.at;
  const through = lines.includes('aboveBust');
  return ok({
    piece: first.piece.id,
    instructions: [
      ...pieces.flatMap((p) =>
        alongLines(
          p,
          found.filter((c) => c.piece === p),
          say,
        ),
      ),
      match({
        message: say(through ? 'match.armhole' : 'match'),
        kinds: ['side', 'princess', 'armhole', 'raglan', 'waist'],
      }),
    ],
    grips: [
      amountGrip({
        piece: first.piece.id,
        shown: 'opened',
        from: at,
        axis: { x: 0, y: 1 },
        value: by,
        limits: BY,
        per: 1 / shareOf(first.line as LineName),
      }),
    ],
  });
}

export const lengthLine: AlterationDefinition = define({
  id: 'length-line',
  family: 'length',
  params: [BY, choice('where', ...LINES), length('moved', -400, 400, 0, true), share('above', 0.05, 0.95, 0.5)],
  amounts: ['by'],
  requires: ['side'],
  refusals: ['line-off-piece', 'no-line-here', 'overlap-too-large'],
  examples: [
    { name: 'shorter', on: 'causeway', values: { by: -12 } },
    { name: 'longer on two lines', on: 'causeway', values: { by: 24, where: 'both' } },
    { name: 'more of it above the bust', on: 'causeway', values: { by: 24, where: 'both', above: 0.75 } },
    { name: 'longer, the line moved up', on: 'causeway', values: { by: 10, moved: -20 } },
    { name: 'longer at the hem', on: 'causeway-shirt', values: { by: 30, where: 'hem' } },
    { name: 'to a tunic', on: 'causeway-shirt', values: { by: 280, where: 'hem' } },
  ],
  source:
    'A parallel spread or fold across every panel, as far from a shared landmark on each; seams trued from end to end.',
  why: 'why.length-line',
  grade: 'best',
  needs: (context) => crossings(context.pieces, 'belowBust', 0, 0),
  reads: ['sideWaist', 'napeToWaist'],
  fits,
  plan,
  // The centre stays straight, and gains exactly what the line asked for; the check of each piece reports it.
  holds: (before, after) =>
    after.flatMap((p) => {
      const was = before.find((b) => b.id === p.id);
      const fold = p.edges.find((e) => e.id === p.fold)?.path;
      const off = fold ? Math.abs(fold.start.x - (fold.segments.at(-1)?.to.x ?? fold.start.x)) : 0;
      return was && off > TOL.legs
        ? [{ code: 'centre-not-straight' as const, grade: 'fault' as const, piece: p.id, data: { by: off } }]
        : [];
    }),
});
