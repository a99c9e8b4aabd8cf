import { distance, pointAt, type Point } from '../../geometry/index.ts';
import {
  cuttingLine,
  dartShape,
  doubleDartsOf,
  edgeOf,
  paperOutline,
  placesOfMark,
  type Mark,
  type Piece,
} from '../../pattern/index.ts';
import { TOL, nth } from '../../units/index.ts';
import { about, either, FLAT, grow, regionOf, unite, type Region } from './regions.ts';

/** Paper about a mark that has moved, mm: what a notch or a cross takes. */
const MARK = 8;

/** Two lines nearer than this are one under a pencil: such slivers are no change. */
const sliversOff = (region: Region): Region => grow(grow(region, -TOL.seam / 2), TOL.seam / 2);

/** The corners of every dart of a piece, by its id. */
const cornersOf = (piece: Piece): Map<string, readonly Point[]> =>
  new Map([
    ...piece.darts.map((d): [string, readonly Point[]] => {
      const s = dartShape(piece, d);
      return [d.id, [s.start, s.tip, s.end]];
    }),
    ...doubleDartsOf(piece).map((d): [string, readonly Point[]] => [d.id, placesOfMark(d)]),
  ]);
const sameCorners = (a: readonly Point[], b: readonly Point[] | undefined): boolean =>
  b !== undefined && a.every((p, i) => distance(p, nth(b, i)) < TOL.seam);

/** Darts drawn on one piece and not so on the other: their wedges. */
function dartsApart(a: Piece, b: Piece): Region {
  const theirs = cornersOf(b);
  return [...cornersOf(a)].flatMap(([id, corners]) => (sameCorners(corners, theirs.get(id)) ? [] : [corners]));
}

/** Where a mark is drawn; levels are lines one measures along and are not drawn on paper, darts are looked at as such. */
function placesOf(piece: Piece, m: Mark): readonly Point[] {
  if (m.kind === 'level' || m.kind === 'doubleDart') return [];
  if (m.kind !== 'notch') return placesOfMark(m);
  const edge = edgeOf(piece, m.edge);
  return edge ? [pointAt(edge.path, m.at)] : [];
}
function marksApart(a: Piece, b: Piece): Region {
  const theirs = b.marks.map((m) => ({ kind: m.kind, at: placesOf(b, m) }));
  return a.marks.flatMap((m) => {
    const at = placesOf(a, m);
    const [from, to] = at;
    if (!from) return [];
    const there = theirs.some((t) => t.kind === m.kind && t.at.length === at.length && sameCorners(at, t.at));
    return there ? [] : about(from, to ?? { x: from.x + 0.1, y: from.y }, MARK);
  });
}

/**
 * What of a piece differs from the untouched one lying in its place: paper on one side of old and new line, wedges of
 * darts and the surroundings of marks that are drawn anew or no longer hold. Half a millimetre is no difference.
 */
export function changedOn(before: Piece, after: Piece): Region {
  const lines = [cuttingLine, paperOutline].map((line) =>
    either(regionOf(line(before), FLAT), regionOf(line(after), FLAT)),
  );
  const slim = sliversOff(unite(...lines));
  return unite(
    slim,
    dartsApart(before, after),
    dartsApart(after, before),
    marksApart(before, after),
    marksApart(after, before),
  );
}
