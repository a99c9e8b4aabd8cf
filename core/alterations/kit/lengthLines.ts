import { distance, endOf, pathLength, type Point } from '../../geometry/index.ts';
import type { Edge, Piece } from '../../pattern/index.ts';
import { ok, refuse, TOL, type Result, nth } from '../../units/index.ts';
import type { Instruction, Message } from '../contract.ts';
import { beside, meetings, type Meeting } from './across.ts';
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
}

/** Messages for a lengthen-or-shorten line. */
export type LineWord = 'mark' | 'cut' | 'open' | 'lap' | 'true.straight' | 'true.curve';

const isStraight = ({ path }: Edge): boolean => pathLength(path) - distance(path.start, endOf(path)) < TOL.legs;

/** A line across one piece at a height; null where the piece ends above or below it. Refused where it meets more than two seams. */
export function lineAcross(piece: Piece, line: string, y: number, by: number): Result<LengthLine | null> {
  const met = meetings(piece, y);
  const [left, right] = met;
  // A panel may end above or below the line.
  if (!left || !right) return ok(null);
  return met.length === 2 ? ok({ piece, line, left, right, by }) : refuse('line-off-piece', { piece: piece.name, y });
}

/** One piece, cut along all its lines at once; each part below a line goes down (or up) by what that line takes. */
export function alongLines(
  piece: Piece,
  lines: readonly LengthLine[],
  say: (code: LineWord, line: LengthLine) => Message,
): readonly Instruction[] {
  const id = piece.id;
  const sorted = [...lines].sort((a, b) => a.left.at.y - b.left.at.y);
  const [first] = sorted;
  if (!first) return [];
  /** How far down the part below a line goes: by this line and those above it. */
  const down = sorted.map((_, i) => sorted.slice(0, i + 1).reduce((sum, c) => sum + c.by, 0));
  const cuts = sorted.map((c) => ({ id: `line ${c.line}`, points: [c.left.at, c.right.at] }));
  const panels = sorted.map((c, i) => ({
    id: `below ${c.line}`,
    seed: beside(c.left.at, c.right.at, 2)[1],
    motion: { kind: 'shift' as const, by: { x: 0, y: nth(down, i) } },
    stage: 'open' as const,
  }));
  const truing = sorted.flatMap((c) =>
    [c.left, c.right].map((m): Instruction => {
      // Lines met before this one have moved it along an edge they share.
      const others = sorted
        .filter((o) => o !== c)
        .flatMap((o) =>
          [o.left, o.right].filter((q) => q.edge.id === m.edge.id).map((q) => ({ meeting: q, by: o.by })),
        );
      const passed = others.reduce((sum, o) => sum + (o.meeting.along < m.along ? o.by : 0), 0);
      const beyond = others.reduce((sum, o) => sum + (o.meeting.along >= m.along ? o.by : 0), 0);
      const blend = BLEND + Math.max(0, -c.by);
      return isStraight(m.edge)
        ? rule({ piece: id, message: say('true.straight', c), edges: [m.edge.id], each: true })
        : fair({
            piece: id,
            message: say('true.curve', c),
            edge: m.edge.id,
            from: Math.max(1, m.along + passed - blend),
            toFromEnd: Math.max(1, pathLength(m.edge.path) - m.along + beyond - blend),
          });
    }),
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
        from: { x: c.left.at.x, y: c.left.at.y + nth(down, i) - c.by },
        to: { x: c.left.at.x, y: c.left.at.y + nth(down, i) },
        value: Math.abs(c.by),
      })),
    }),
    ...truing,
  ];
}
