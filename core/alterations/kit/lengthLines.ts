import { add, distance, endOf, pathLength, scale, spanLength, spansOf, sub, type Point } from '../../geometry/index.ts';
import type { Edge, Piece } from '../../pattern/index.ts';
import { ok, refuse, TOL, type Result, nth } from '../../units/index.ts';
import type { Instruction, Message } from '../contract.ts';
import { beside, meetingsAlong, type Meeting } from './across.ts';
import { fair, mark, rule, slash } from '../operations/index.ts';

/** How far to either side of the line a curved seam is drawn again, mm. */
const BLEND = 55;

/** A line across a piece, where it meets the seam lines, and how much longer the piece becomes there, mm. */
export interface LengthLine {
  readonly piece: Piece;
  readonly line: string;
  readonly left: Meeting;
  readonly right: Meeting;
  readonly by: number;
  /** Which way the part below goes: straight down, or along a forearm that is turned. */
  readonly way: Point;
}

/** Messages for a lengthen-or-shorten line. */
export type LineWord = 'mark' | 'cut' | 'open' | 'lap' | 'true.straight' | 'true.curve';

export const isStraight = ({ path }: Edge): boolean => pathLength(path) - distance(path.start, endOf(path)) < TOL.legs;

const DOWN: Point = { x: 0, y: 1 };

/** A line across one piece at a height; null where the piece ends above or below it. Refused where it meets more than two seams. */
export const lineAcross = (piece: Piece, line: string, y: number, by: number): Result<LengthLine | null> =>
  lineSquareTo(piece, line, { x: 0, y }, DOWN, by);

/** The same of a line through a point, square to the way the part below it goes. */
export function lineSquareTo(
  piece: Piece,
  line: string,
  through: Point,
  way: Point,
  by: number,
): Result<LengthLine | null> {
  const met = meetingsAlong(piece, through, { x: way.y, y: -way.x });
  const [left, right] = met;
  // A panel may end above or below the line.
  if (!left || !right) return ok(null);
  return met.length === 2
    ? ok({ piece, line, left, right, by, way })
    : refuse('line-off-piece', { piece: piece.name, y: through.y });
}

/**
 * One piece, cut along all its lines at once; each part below a line goes down (or up) by what that line takes.
 * `lengths`: how long curved seams are to be, where that is known; else as long as they come out.
 */
export function alongLines(
  piece: Piece,
  lines: readonly LengthLine[],
  say: (code: LineWord, line: LengthLine) => Message,
  lengths: ReadonlyMap<string, number> = new Map(),
): readonly Instruction[] {
  const id = piece.id;
  const sorted = [...lines].sort((a, b) => a.left.at.y - b.left.at.y);
  const [first] = sorted;
  if (!first) return [];
  /** How far the part below a line goes: by this line and those above it. */
  const goes = sorted.map((_, i) =>
    sorted.slice(0, i + 1).reduce((sum, c) => add(sum, scale(c.way, c.by)), { x: 0, y: 0 }),
  );
  const cuts = sorted.map((c) => ({ id: `line ${c.line}`, points: [c.left.at, c.right.at] }));
  const panels = sorted.map((c, i) => ({
    id: `below ${c.line}`,
    seed: beside(c.left.at, c.right.at, 2)[1],
    motion: { kind: 'shift' as const, by: nth(goes, i) },
    stage: 'open' as const,
  }));
  const truing = sorted.flatMap((c, i) =>
    [c.left, c.right].map((m) => truedAt(sorted, i, m, (code) => say(code, c), lengths)),
  );
  return [
    mark({ piece: id, message: say('mark', first), lines: cuts.map((c, i) => ({ ...c, label: String(i + 1) })) }),
    slash({
      piece: id,
      messages: { cut: say('cut', first), open: say(first.by < 0 ? 'lap' : 'open', first) },
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
        from: add(c.left.at, sub(nth(goes, i), scale(c.way, c.by))),
        to: add(c.left.at, nth(goes, i)),
        value: Math.abs(c.by),
      })),
    }),
    ...truing,
  ];
}

/** A seam drawn again where the line `i` has cut it: ruled where it was straight, else in one curve over the step. */
function truedAt(
  lines: readonly LengthLine[],
  i: number,
  m: Meeting,
  say: (code: LineWord) => Message,
  lengths: ReadonlyMap<string, number>,
): Instruction {
  const { piece, by } = nth(lines, i);
  const on = (line: LengthLine): readonly Meeting[] => [line.left, line.right].filter((q) => q.edge.id === m.edge.id);
  if (isStraight(m.edge))
    return rule({ piece: piece.id, message: say('true.straight'), edges: [m.edge.id], each: true });
  // Lines met before this one have moved it along an edge they share.
  const others = lines.flatMap((o, k) => (k === i ? [] : on(o).map((q) => ({ along: q.along, by: o.by }))));
  const passed = others.reduce((sum, o) => sum + (o.along < m.along ? o.by : 0), 0);
  const beyond = others.reduce((sum, o) => sum + (o.along >= m.along ? o.by : 0), 0);
  // Where the length is given, a straight stretch is drawn again from end to end.
  const [before, after] = lengths.has(m.edge.id) ? straightBeside(m) : [0, 0];
  const blend = BLEND + Math.max(0, -by);
  // Of several lines on one seam the last sets its length.
  const isLast = lines.slice(i + 1).every((o) => on(o).length === 0);
  const length = isLast ? lengths.get(m.edge.id) : undefined;
  return fair({
    piece: piece.id,
    message: say('true.curve'),
    edge: m.edge.id,
    from: Math.max(1, m.along + passed - Math.max(blend, before)),
    toFromEnd: Math.max(1, pathLength(m.edge.path) - m.along + beyond - Math.max(blend, after)),
    ...(length === undefined ? {} : { length }),
  });
}

/** A stretch drawn again ends so much before a corner, mm: past it, it would leave in another direction. */
const SHORT_OF = 2;

/** How far a seam runs straight before and after the place where a line meets it, mm. */
function straightBeside({ edge, along }: Meeting): readonly [number, number] {
  let from = 0;
  for (const span of spansOf(edge.path)) {
    const to = from + spanLength(span);
    if (along <= to) return span.kind === 'line' ? [along - from - SHORT_OF, to - along - SHORT_OF] : [0, 0];
    from = to;
  }
  return [0, 0];
}
