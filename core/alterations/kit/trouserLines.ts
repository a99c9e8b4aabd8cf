import { dot, pathLength, tangentAt } from '../../geometry/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import { lineAcross, type LengthLine, type LineWord } from './lengthLines.ts';
import { halves, type TrouserHalf, type TrousersOn } from './trousers.ts';

/** A line across both halves: where it lies on each, and how much longer they become there, mm. */
export interface AcrossBoth {
  readonly line: string;
  readonly y: (half: TrouserHalf) => number;
  readonly by: number;
}

/** Lines across one half, and how long its seams are to be once it is cut along them. */
export interface HalfLines {
  readonly half: TrouserHalf;
  readonly lines: readonly LengthLine[];
  readonly lengths: ReadonlyMap<string, number>;
}

/** Straight or curved, a seam of trousers is said in one sentence. */
export const sameSeam = <Word extends LineWord>(code: Word) =>
  (code === 'true.straight' ? 'true.curve' : code) as Exclude<Word, 'true.straight'>;

/** How much longer a seam becomes where lines cross it: by what runs along it. */
const growthOf = (lines: readonly LengthLine[], edge: string): number =>
  lines.reduce(
    (sum, l) =>
      sum +
      [l.left, l.right]
        .filter((m) => m.edge.id === edge)
        .reduce((n, m) => n + l.by * Math.abs(dot(l.way, tangentAt(m.edge.path, m.along))), 0),
    0,
  );

/**
 * Both halves of trousers cut along the same lines. Seams that front and back share become longer by the same, the mean of what
 * the two would by themselves. Refused where a line leaves a half.
 */
export function linesOnBoth(on: TrousersOn, across: readonly AcrossBoth[]): Result<readonly HalfLines[]> {
  const cut: { readonly half: TrouserHalf; readonly lines: readonly LengthLine[] }[] = [];
  for (const half of halves(on)) {
    const lines: LengthLine[] = [];
    for (const { line, y, by } of across) {
      const met = lineAcross(half.piece, line, y(half), by);
      if (!met.ok) return met;
      if (!met.value) return refuse('line-off-piece', { piece: half.piece.name, y: y(half) });
      lines.push(met.value);
    }
    cut.push({ half, lines });
  }
  const shared = (of: (half: TrouserHalf) => string): number =>
    cut.reduce((sum, c) => sum + growthOf(c.lines, of(c.half)), 0) / cut.length;
  const [side, inseam] = [shared((h) => h.side.id), shared((h) => h.inseam.id)];
  return ok(
    cut.map(({ half, lines }) => ({
      half,
      lines,
      lengths: new Map(
        [
          [half.side, side] as const,
          [half.inseam, inseam] as const,
          [half.crotch, growthOf(lines, half.crotch.id)] as const,
        ].map(([edge, grown]) => [edge.id, pathLength(edge.path) + grown]),
      ),
    })),
  );
}
