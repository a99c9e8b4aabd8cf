import { distance, endOf, pathLength, type Point } from '../../geometry/index.ts';
import type { Edge, Piece } from '../../pattern/index.ts';
import { ok, refuse, TOL, type Result } from '../../units/index.ts';
import type { AlterationDefinition, Context, Fit, Instruction, Message, Program, Values } from '../contract.ts';
import { beside, meetings, type Meeting } from '../kit/across.ts';
import { choice, define, difference, length, tenth } from '../kit/define.ts';
import { fitBy } from '../kit/fitBy.ts';
import { amountGrip } from '../kit/grip.ts';
import { heightShare } from '../kit/height.ts';
import { lineHeight, LINES, type LineName } from '../kit/levels.ts';
import { choiceOf, numberOf } from '../values.ts';

const BY = length('by', -80, 120, -10, true);

/** How far to either side of the line a curved seam is drawn again, mm. */
const BLEND = 55;

interface Crossing {
  readonly piece: Piece;
  readonly line: LineName;
  readonly left: Meeting;
  readonly right: Meeting;
}

const isStraight = ({ path }: Edge): boolean => pathLength(path) - distance(path.start, endOf(path)) < TOL.legs;

function crossings(pieces: readonly Piece[], line: LineName, moved = 0): Result<readonly Crossing[]> {
  const out: Crossing[] = [];
  for (const piece of pieces) {
    const drawn = lineHeight(pieces, piece, line);
    if (drawn === null) continue;
    const y = drawn + moved;
    const met = meetings(piece, y);
    const [left, right] = met;
    // A panel may end above or below the line.
    if (!left || !right) continue;
    if (met.length !== 2) return refuse('line-off-piece', { piece: piece.name, y });
    out.push({ piece, line, left, right });
  }
  return out.length > 0 ? ok(out) : refuse('no-line-here', { where: line });
}

/** One piece, cut along all its lines at once; each part below a line goes down (or up) by that line's share more. */
function onOne(
  piece: Piece,
  lines: readonly Crossing[],
  by: number,
  say: (code: string) => Message,
): readonly Instruction[] {
  const id = piece.id;
  const sorted = [...lines].sort((a, b) => a.left.at.y - b.left.at.y);
  const [first] = sorted;
  if (!first) return [];
  const cuts = sorted.map((c) => ({ id: `line ${c.line}`, points: [c.left.at, c.right.at] }));
  const panels = sorted.map((c, i) => ({
    id: `below ${c.line}`,
    seed: beside(c.left.at, c.right.at, 2)[1],
    motion: { kind: 'shift' as const, by: { x: 0, y: by * (i + 1) } },
    stage: 'open' as const,
  }));
  const truing = sorted.flatMap((c) =>
    [c.left, c.right].map((m): Instruction => {
      // Lines met before this one have moved it along an edge they share.
      const others = sorted
        .filter((o) => o !== c)
        .flatMap((o) => [o.left, o.right].filter((q) => q.edge.id === m.edge.id));
      const passed = by * others.filter((q) => q.along < m.along).length;
      const beyond = by * others.filter((q) => q.along >= m.along).length;
      const blend = BLEND + Math.max(0, -by);
      return isStraight(m.edge)
        ? { op: 'straighten', stage: 'true', piece: id, message: say('true.straight'), edges: [m.edge.id] }
        : {
            op: 'fairRun',
            stage: 'true',
            piece: id,
            message: say('true.curve'),
            edge: m.edge.id,
            from: Math.max(1, m.along + passed - blend),
            toFromEnd: Math.max(1, pathLength(m.edge.path) - m.along + beyond - blend),
          };
    }),
  );
  return [
    {
      op: 'mark',
      stage: 'mark',
      piece: id,
      message: say('mark'),
      lines: cuts.map((c, i) => ({ ...c, label: String(i + 1) })),
      points: [],
    },
    {
      op: 'slash',
      stage: 'cut',
      piece: id,
      messages: { cut: say('cut'), open: say(by < 0 ? 'lap' : 'open') },
      spec: {
        cuts,
        hinges: [],
        panels: [
          { id: 'upper', seed: beside(first.left.at, first.right.at, 2)[0], motion: { kind: 'rest' }, stage: 'open' },
          ...panels,
        ],
      },
      dimensions: sorted.map((c, i): { id: string; from: Point; to: Point; value: number } => ({
        id: `gap ${c.line}`,
        from: { x: c.left.at.x, y: c.left.at.y + by * i },
        to: { x: c.left.at.x, y: c.left.at.y + by * (i + 1) },
        value: Math.abs(by),
      })),
    },
    ...truing,
  ];
}

function plan(context: Context, values: Values): Result<Program> {
  const by = numberOf(values, 'by');
  const where = choiceOf(values, 'where') as (typeof LINES)[number];
  const lines: readonly LineName[] = where === 'both' ? ['aboveBust', 'belowBust'] : [where];
  const each = by / lines.length;
  const found: Crossing[] = [];
  for (const line of lines) {
    const met = crossings(context.pieces, line, numberOf(values, 'moved'));
    if (!met.ok) return met;
    found.push(...met.value);
  }
  const pieces = context.pieces.filter((p) => found.some((c) => c.piece === p));
  const data = { by: Math.abs(each), where, pieces: pieces.length, lines: lines.length };
  const say = (code: string): Message => ({ code: `length.${code}`, data });
  const [first] = found.filter((c) => c.piece === pieces[0]);
  if (!first) return refuse('no-line-here', { where });
  const at = first.left.at;
  const through = lines.includes('aboveBust');
  return ok({
    piece: first.piece.id,
    instructions: [
      ...pieces.flatMap((p) =>
        onOne(
          p,
          found.filter((c) => c.piece === p),
          each,
          say,
        ),
      ),
      {
        op: 'match',
        stage: 'match',
        message: say(through ? 'match.armhole' : 'match'),
        kinds: ['side', 'princess', 'armhole', 'raglan', 'waist'],
      },
    ],
    grips: [
      amountGrip({
        piece: first.piece.id,
        shown: 'opened',
        from: at,
        axis: { x: 0, y: 1 },
        value: by,
        limits: BY,
        per: lines.length,
      }),
    ],
  });
}

/** The side of the body beats the back, the back beats a share of the height. */
function fits(context: Context): Fit | null {
  const { napeToWaist, height } = context.wearer;
  const side = fitBy(context, 'sideWaist', 1, (by) => ({ by: tenth(by), where: 'belowBust' }));
  if (side) return side;
  const back = fitBy(context, 'napeToWaist', 1, (by) => ({ by: tenth(by), where: 'belowBust' }));
  if (back) return back;
  const chart = context.chart?.find((r) => r.size === context.size)?.body.napeToWaist;
  if (napeToWaist !== undefined && chart !== undefined)
    return difference('napeToWaist', napeToWaist, 0, chart, 1, (by) => ({ by: tenth(by), where: 'belowBust' }));
  if (height === undefined || !context.draftedHeight) return null;
  const share = heightShare(height, context.draftedHeight);
  return {
    values: { by: tenth(share.proposed), where: share.twoLines ? 'both' : 'belowBust' },
    sum: {
      code: 'fit.height',
      data: {
        body: height,
        pattern: context.draftedHeight,
        by: share.difference,
        least: share.least,
        most: share.most,
        each: share.proposed,
      },
    },
  };
}

export const lengthLine: AlterationDefinition = define({
  id: 'length-line',
  family: 'length',
  params: [BY, choice('where', ...LINES), length('moved', -80, 80, 0, true)],
  requires: ['side'],
  refusals: ['line-off-piece', 'no-line-here', 'overlap-too-large'],
  examples: [
    { name: 'shorter', on: 'causeway', values: { by: -12 } },
    { name: 'longer on two lines', on: 'causeway', values: { by: 24, where: 'both' } },
    { name: 'longer, the line moved up', on: 'causeway', values: { by: 10, moved: -20 } },
    { name: 'longer at the hem', on: 'causeway-shirt', values: { by: 30, where: 'hem' } },
  ],
  source:
    'A parallel spread or fold across every panel, as far from a shared landmark on each; seams trued from end to end.',
  why: 'why.length-line',
  grade: 'best',
  needs: (context) => crossings(context.pieces, 'belowBust'),
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
