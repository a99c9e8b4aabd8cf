import {
  compose,
  distance,
  endOf,
  inverse,
  lerp,
  lineMeet,
  move,
  pathLength,
  polyline,
  REST,
  rotationAbout,
  sub,
  turnBetween,
  type Path,
  type Point,
  type Rigid,
} from '../../geometry/index.ts';
import { dartShape, replaceEdge, requireEdge, type Dart, type Piece } from '../../pattern/index.ts';
import { capDart } from './dart.ts';
import { nth } from '../../units/index.ts';

/** Edges of one seam in outline order with the darts that lie between them folded shut. */
export interface ClosedSeam {
  readonly edges: readonly string[];
  /** What lies before each edge after the first: a dart, or nothing where one was eased in. */
  readonly darts: readonly (Dart | null)[];
  /** What brings each edge beside the first: the first itself rests. */
  readonly motions: readonly Rigid[];
}

/** Folds the darts between the edges shut, one after another, everything brought to the first edge. */
export function closeSeam(piece: Piece, edges: readonly string[]): ClosedSeam {
  const darts: (Dart | null)[] = [];
  const motions: Rigid[] = [REST];
  const n = piece.edges.length;
  edges.slice(1).forEach((id, k) => {
    const i = piece.edges.findIndex((e) => e.id === id);
    const between = piece.edges[(i + n - 1) % n]?.id;
    if (between === edges[k]) {
      darts.push(null);
      motions.push(motions.at(-1) ?? REST);
      return;
    }
    const dart = piece.darts.find((d) => d.mouth === between);
    if (!dart) throw new Error(`closeSeam: expected a dart before "${id}" on ${piece.id}`);
    const { start, end, tip } = dartShape(piece, dart);
    darts.push(dart);
    const shut = rotationAbout(tip, turnBetween(sub(end, tip), sub(start, tip)));
    motions.push(compose(motions.at(-1) ?? REST, shut));
  });
  return { edges, darts, motions };
}

/** A point of the last edge as it lies when the darts are shut, and back again. */
export const shutPoint = (seam: ClosedSeam, p: Point): Point => move(seam.motions.at(-1) ?? REST, p);
export const openPoint = (seam: ClosedSeam, p: Point): Point => move(inverse(seam.motions.at(-1) ?? REST), p);

/** Length from the beginning of the first edge straight to the end of the last, darts shut. */
export const straightLength = (piece: Piece, seam: ClosedSeam): number => {
  const first = requireEdge(piece, seam.edges[0] ?? '').path.start;
  return distance(first, shutPoint(seam, endOf(requireEdge(piece, seam.edges.at(-1) ?? '').path)));
};

/**
 * Draws a seam straight from end to end as it will be sewn: darts in it are folded shut, one line is ruled, and
 * where it crosses a dart both legs end there, equally long. The ends stay; caps are drawn again.
 */
export function ruleSeam(piece: Piece, edges: readonly string[]): Piece {
  const seam = closeSeam(piece, edges);
  const first = requireEdge(piece, edges[0] ?? '').path;
  const last = requireEdge(piece, edges.at(-1) ?? '').path;
  const from = first.start;
  const to = shutPoint(seam, endOf(last));
  const stops: Point[] = [from];
  const sizes = edges.map((id) => pathLength(requireEdge(piece, id).path));
  const whole = sizes.reduce((a, c) => a + c, 0);
  seam.darts.forEach((dart, k) => {
    if (!dart) {
      // Edges that simply run on share the line as they shared the seam.
      stops.push(lerp(from, to, sizes.slice(0, k + 1).reduce((a, c) => a + c, 0) / whole));
      return;
    }
    const { start, tip } = dartShape(piece, dart);
    const m = seam.motions[k] ?? REST;
    const at = lineMeet(from, sub(to, from), move(m, tip), sub(move(m, start), move(m, tip)));
    stops.push(at?.point ?? move(m, start));
  });
  stops.push(to);
  let out = piece;
  edges.forEach((id, k) => {
    const back = inverse(seam.motions[k] ?? REST);
    const line: Path = polyline([move(back, nth(stops, k)), move(back, nth(stops, k + 1))]);
    out = replaceEdge(out, id, line);
  });
  seam.darts.forEach((dart, k) => {
    if (!dart) return;
    const before = requireEdge(out, edges[k] ?? '').path;
    const after = requireEdge(out, edges[k + 1] ?? '').path;
    out = capDart(replaceEdge(out, dart.mouth, polyline([endOf(before), after.start])), dart);
  });
  return out;
}
