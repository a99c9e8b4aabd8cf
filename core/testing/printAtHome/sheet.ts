import {
  endOf,
  endTangent,
  nearestOnPath,
  pathLength,
  pointAt,
  polyline,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { boundsOf, flatten, mapPath } from '../../geometry/index.ts';
import { cuttingLine, dartShape, requireEdge, type Piece } from '../../pattern/index.ts';

/** What stands on the sheet for one piece in one size: its lines where they lie, mm, y down. */
export interface Drawn {
  readonly size: string;
  readonly cutting: Path;
  readonly notches: readonly Path[];
  readonly darts: readonly Path[];
  /** Centre and fold where a facing is cut on. */
  readonly inner: readonly Path[];
}
export interface DrawnPiece {
  readonly name: string;
  readonly words: readonly string[];
  readonly at: Point;
  readonly grain: readonly [Point, Point];
  readonly sizes: readonly Drawn[];
}

/** The same allowance at every edge but the fold. */
export const withAllowance = (piece: Piece, allowance: number): Piece => ({
  ...piece,
  edges: piece.edges.map((e) => ({ ...e, allowance: e.id === piece.fold ? 0 : allowance })),
  ...(piece.beyond ? { beyond: { ...piece.beyond, edges: piece.beyond.edges.map((e) => ({ ...e, allowance })) } } : {}),
});

const shifted = (path: Path, by: Point): Path => mapPath(path, (p) => ({ x: p.x + by.x, y: p.y + by.y }));

/** A tick so long, from the cutting line inward, where a notch of the seam line lies. */
function tick(cutting: Path, seamAt: Point, long: number): Path {
  const on = nearestOnPath(cutting, seamAt).point;
  const size = Math.hypot(seamAt.x - on.x, seamAt.y - on.y) || 1;
  return polyline([on, { x: on.x + ((seamAt.x - on.x) * long) / size, y: on.y + ((seamAt.y - on.y) * long) / size }]);
}

/** Legs of a dart drawn on over the allowance to the cutting line. */
function legs(piece: Piece, cutting: Path): readonly Path[] {
  return piece.darts.flatMap((d) => {
    const shape = dartShape(piece, d);
    return [shape.start, shape.end].map((end) => {
      const far = { x: shape.tip.x + (end.x - shape.tip.x) * 2, y: shape.tip.y + (end.y - shape.tip.y) * 2 };
      const line = polyline([shape.tip, far]);
      const box = flatten(cutting, 0.01);
      let meet = end;
      for (let i = 1; i < box.length; i++) {
        const hit = crossing(line.start, endOf(line), box[i - 1] as Point, box[i] as Point);
        if (hit && Math.hypot(hit.x - end.x, hit.y - end.y) < 40) meet = hit;
      }
      return polyline([shape.tip, meet]);
    });
  });
}

function crossing(a: Point, b: Point, c: Point, d: Point): Point | null {
  const det = (b.x - a.x) * (d.y - c.y) - (b.y - a.y) * (d.x - c.x);
  if (Math.abs(det) < 1e-12) return null;
  const s = ((c.x - a.x) * (d.y - c.y) - (c.y - a.y) * (d.x - c.x)) / det;
  const t = ((c.x - a.x) * (b.y - a.y) - (c.y - a.y) * (b.x - a.x)) / det;
  return s > 0 && s <= 1 && t >= 0 && t <= 1 ? { x: a.x + s * (b.x - a.x), y: a.y + s * (b.y - a.y) } : null;
}

/** Centre line and folds of a facing that is cut on, from edge to edge. */
function innerLines(piece: Piece): readonly Path[] {
  const centre = piece.edges.find((e) => e.role === 'centreFront' || e.role === 'centreBack');
  if (!piece.beyond || !centre) return [];
  return [centre.path, ...piece.beyond.folds.map((f) => polyline([f.from, f.to]))];
}

function drawnIn(size: string, piece: Piece, by: Point): Drawn {
  const cutting = cuttingLine(piece);
  const notches = piece.marks.flatMap((m): readonly Path[] => {
    if (m.kind !== 'notch') return [];
    const edge = requireEdge(piece, m.edge).path;
    const along = Math.min(pathLength(edge), m.at);
    return Array.from({ length: m.count }, (_, i) =>
      tick(cutting, pointAt(edge, Math.min(pathLength(edge), along + 6 * i)), 5),
    );
  });
  return {
    size,
    cutting: shifted(cutting, by),
    notches: notches.map((n) => shifted(n, by)),
    darts: legs(piece, cutting).map((n) => shifted(n, by)),
    inner: innerLines(piece).map((n) => shifted(n, by)),
  };
}

/** Sizes of one piece drawn inside each other: the same corner of the centre in all, as they are nested. */
export function nested(
  name: string,
  words: readonly string[],
  bySize: readonly (readonly [string, Piece])[],
  at: Point,
): DrawnPiece {
  const anchor = (piece: Piece): Point => {
    const centre = piece.edges.find((e) => e.id === piece.fold) ?? piece.edges[0];
    return centre ? centre.path.start : { x: 0, y: 0 };
  };
  const first = bySize[0]?.[1] as Piece;
  const box = boundsOf(flatten(cuttingLine(first), 0.5));
  const place = (piece: Piece): Point => ({
    x: at.x - box.minX + anchor(first).x - anchor(piece).x,
    y: at.y - box.minY + anchor(first).y - anchor(piece).y,
  });
  const [x, y] = [at.x + (box.maxX - box.minX) / 2, at.y + (box.maxY - box.minY) / 2];
  const long = Math.min(80, (box.maxY - box.minY) / 4);
  return {
    name,
    words,
    at: { x: x - 20, y },
    grain: [
      { x, y: y - long },
      { x, y: y + long },
    ],
    sizes: bySize.map(([size, piece]) => drawnIn(size, piece, place(piece))),
  };
}

/** A grain line with an arrowhead at both ends, three lines each. */
export function arrow([from, to]: readonly [Point, Point]): readonly Path[] {
  const head = (tip: Point, other: Point): readonly Path[] => {
    const way = endTangent(polyline([other, tip]));
    return [0.5, -0.5].map((turn) => {
      const [c, s] = [Math.cos(Math.PI + turn), Math.sin(Math.PI + turn)];
      return polyline([tip, { x: tip.x + 6 * (way.x * c - way.y * s), y: tip.y + 6 * (way.x * s + way.y * c) }]);
    });
  };
  return [polyline([from, to]), ...head(to, from), ...head(from, to)];
}
