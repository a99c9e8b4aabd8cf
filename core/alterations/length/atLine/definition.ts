import type { Piece } from '../../../pattern/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Fit, Message, Program, Values } from '../../contract.ts';
import { choice, define, difference, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import { flatOf } from '../../kit/flat.ts';
import { amountGrip } from '../../kit/grip.ts';
import { heightShare, ONE_LINE } from '../../kit/height.ts';
import { alongLines, lineAcross, type LengthLine } from '../../kit/lengthLines.ts';
import { lineHeight, LINES, type LineName } from '../../kit/levels.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { match } from '../../operations/index.ts';

/** As far as a tunic is let down; what a piece has no room for is refused on it. */
const BY = length('by', -400, 600, -10, true);

function crossings(pieces: readonly Piece[], line: LineName, moved: number, by: number): Result<readonly LengthLine[]> {
  const out: LengthLine[] = [];
  for (const piece of pieces) {
    const drawn = lineHeight(pieces, piece, line);
    const met = drawn === null ? null : lineAcross(piece, line, drawn + moved, by);
    if (met && !met.ok) return met;
    if (met?.value) out.push(met.value);
  }
  return out.length > 0 ? ok(out) : refuse('no-line-here', { where: line });
}

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
  const say = (code: string): Message => ({ code: `length.${code}`, data });
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

/**
 * Lengths by another size than widths, where the chart gives each size its height and the pattern is drawn in all of
 * them: the back waist of the size of that height, less that of the size in hand. Null where the nest does not tell.
 */
function lengthsOfSize(context: Context, height: number): Fit | null {
  const { nest, size, seams } = context;
  const rows = (context.chart ?? []).filter((r) => r.body.height !== undefined && nest?.[r.size]);
  const off = (r: (typeof rows)[number]): number => Math.abs((r.body.height ?? 0) - height);
  const best = [...rows].sort((a, b) => off(a) - off(b))[0];
  if (!best || !nest || !size || rows.length < 2) return null;
  const back = (of: string): number | null => flatOf({ pieces: nest[of] ?? [], seams }, 'napeToWaist')?.value ?? null;
  const [own, other] = [back(size), back(best.size)];
  if (own === null || other === null) return null;
  const by = tenth(other - own);
  return {
    values: { by, where: Math.abs(by) > ONE_LINE ? 'both' : 'belowBust' },
    sum: { code: 'fit.lengths', data: { key: 'height', body: height, size, lengths: best.size, own, other, by } },
  };
}

/** Nothing of the body tells: what a skirt pulls down alone. */
function hung({ hung: drop = 0 }: Context): Fit | null {
  if (drop === 0) return null;
  return { values: { by: tenth(-drop), where: 'belowBust' }, sum: { code: 'fit.hung', data: { by: -drop } } };
}

/** The side of the body beats the back, the back beats a share of the height. What a skirt pulls down is taken off each. */
function fits(context: Context): Fit | null {
  const { napeToWaist, height } = context.wearer;
  const side = fitBy(context, 'sideWaist', 1, (by) => ({ by: tenth(by), where: 'belowBust' }));
  if (side) return side;
  const back = fitBy(context, 'napeToWaist', 1, (by) => ({ by: tenth(by), where: 'belowBust' }));
  if (back) return back;
  const chart = context.chart?.find((r) => r.size === context.size)?.body.napeToWaist;
  if (napeToWaist !== undefined && chart !== undefined)
    return difference('napeToWaist', napeToWaist, -(context.hung ?? 0), chart, 1, (by) => ({
      by: tenth(by),
      where: 'belowBust',
    }));
  const drafted = context.chart?.find((r) => r.size === context.size)?.body.height ?? context.draftedHeight;
  if (height === undefined || !drafted) return hung(context);
  const lies = context.heightLies ?? 'allOver';
  const nested = lies === 'allOver' ? lengthsOfSize(context, height) : null;
  if (nested && !context.hung) return nested;
  const share = heightShare(height, drafted, lies);
  const pulled = context.hung ?? 0;
  return {
    values: { by: tenth(share.proposed - pulled), where: share.twoLines ? 'both' : 'belowBust' },
    sum: {
      code: 'fit.height',
      data: {
        body: height,
        pattern: drafted,
        by: share.difference,
        least: share.least,
        most: share.most,
        each: share.proposed,
        lies,
        hung: pulled,
      },
    },
  };
}

export const lengthLine: AlterationDefinition = define({
  id: 'length-line',
  family: 'length',
  params: [
    BY,
    choice('where', ...LINES),
    length('moved', -400, 400, 0, true),
    { kind: 'share', key: 'above', min: 0.05, max: 0.95, initial: 0.5 },
  ],
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
  // The centre stays straight, and as much longer as the line asked for: told by the check of each piece.
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
