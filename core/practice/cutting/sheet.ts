import {
  distance,
  flatten,
  insidePolygon,
  nearestOnPath,
  polyline,
  ringArea,
  type Point,
} from '../../geometry/index.ts';
import { outlineOf, type Piece } from '../../pattern/index.ts';
import { cutPiece, type Divided } from '../../paper/slash/index.ts';
import { ok, refuse, TOL, type Result } from '../../units/index.ts';
import { snappedLines } from './snap.ts';

/** A line drawn by hand. At either end the scissors may stop at the seam line or the other cut and leave a hinge of paper. */
export interface Line {
  readonly id: string;
  readonly points: readonly Point[];
  readonly hinge: { readonly start: boolean; readonly end: boolean };
}

/** Two panels that a hinge of paper holds together. */
export interface Pin {
  readonly line: string;
  readonly at: Point;
  readonly panels: readonly [number, number];
}

/** A piece cut along its lines. Panels are named by their number. */
export interface CutSheet {
  readonly piece: Piece;
  readonly lines: readonly Line[];
  readonly divided: Divided;
  readonly rings: readonly (readonly Point[])[];
  readonly pins: readonly Pin[];
  /** The panel that stays pinned to the mat: it holds the grain line’s middle. */
  readonly root: number;
}

/** The end of a line that reaches neither the seam line nor another line, and how far it is from the seam line, mm. */
export interface ShortEnd {
  readonly line: string;
  readonly at: Point;
  readonly by: number;
}
export function shortEnds(piece: Piece, lines: readonly Line[]): readonly ShortEnd[] {
  const outline = outlineOf(piece);
  return lines.flatMap((l) =>
    [l.points[0], l.points.at(-1)].flatMap((at) => {
      if (!at) return [];
      const by = nearestOnPath(outline, at).distance;
      const others = lines.filter((o) => o !== l).map((o) => nearestOnPath(polyline(o.points), at).distance);
      return Math.min(by, ...others) < TOL.join ? [] : [{ line: l.id, at, by }];
    }),
  );
}

/**
 * Cuts a piece along lines drawn by hand, which are first brought onto the seam line and onto each other where they nearly
 * meet. Refused in the words of paper: a line that leaves the paper, lines that cut nothing off.
 */
export function cutAlong(piece: Piece, drawn: readonly Line[]): Result<CutSheet> {
  const lines = snappedLines(piece, drawn);
  if (lines.length === 0) return refuse('practice-no-line');
  const [short] = shortEnds(piece, lines);
  if (short) return refuse('practice-line-short', { line: numberOf(lines, short.line), by: short.by });
  const divided = cutPiece(piece, { cuts: lines.map(({ id, points }) => ({ id, points })), panels: [] });
  if (!divided.ok) return refuse('practice-cut-fails');
  const { graph } = divided.value;
  return ok({
    ...{ piece, lines, divided: divided.value, rings: graph.rings, pins: pinsOf(lines, divided.value) },
    root: panelAt(graph.rings, grainMiddle(piece)),
  });
}

const numberOf = (lines: readonly Line[], id: string): number => lines.findIndex((l) => l.id === id) + 1;

/** An end of a line that two panels share, and whether it was left whole. */
export interface Joint extends Pin {
  readonly end: 'start' | 'end';
  readonly whole: boolean;
}

const pinsOf = (lines: readonly Line[], divided: Divided): readonly Pin[] =>
  jointsOf(lines, divided)
    .filter((j) => j.whole)
    .map(({ line, at, panels }) => ({ line, at, panels }));

/** Every end of a line with the panels on its two sides. */
export function jointsOf(lines: readonly Line[], { graph }: Divided): readonly Joint[] {
  return lines.flatMap(({ id, points, hinge }) =>
    (['start', 'end'] as const).flatMap((which): readonly Joint[] => {
      const end = which === 'start' ? points[0] : points.at(-1);
      if (!end) return [];
      for (const [i, h] of graph.halfEdges.entries()) {
        const at = graph.nodes[h.from];
        if (h.cut !== id || !at || distance(at, end) > 2 * TOL.join) continue;
        const [one, two] = [graph.faceOf[i], graph.faceOf[h.twin]];
        if (one !== undefined && two !== undefined && one !== two)
          return [{ line: id, at, panels: [one, two], end: which, whole: hinge[which] }];
      }
      return [];
    }),
  );
}

/** The panel that holds a place of the paper; beside all of them the nearest. */
export function panelAt(rings: readonly (readonly Point[])[], p: Point): number {
  const inside = rings.findIndex((r) => insidePolygon(p, r));
  if (inside >= 0) return inside;
  const off = rings.map((r) => nearestOnPath(polyline(r), p).distance);
  return off.indexOf(Math.min(...off));
}

/** The middle of the grain line, or of the paper where there is none. */
export function grainMiddle(piece: Piece): Point {
  const grain = piece.marks.find((m) => m.kind === 'grain');
  if (grain) return { x: (grain.from.x + grain.to.x) / 2, y: (grain.from.y + grain.to.y) / 2 };
  return middleOf(flatten(outlineOf(piece), 1));
}

/** The middle of the paper inside a ring. */
export function middleOf(ring: readonly Point[]): Point {
  const area = ringArea(ring);
  let [x, y] = [0, 0];
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    const part = a.x * b.y - b.x * a.y;
    x += (a.x + b.x) * part;
    y += (a.y + b.y) * part;
  });
  return { x: x / (6 * area), y: y / (6 * area) };
}
