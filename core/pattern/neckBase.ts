import { add, distance, dot, endOf, endTangent, scale, startTangent, sub, type Point } from '../geometry/index.ts';
import { centreEdgeOf } from './access.ts';
import type { Mark, Piece } from './types.ts';
import { cyclic } from '../units/index.ts';

/** Where the neckline meets the shoulder seam, and the way on along the seam towards the neck. */
export interface NeckPoint {
  readonly at: Point;
  /** Unit vector from the shoulder towards the neck: the seam run on at its slope. */
  readonly on: Point;
}

/** Null on a piece whose neckline meets no shoulder seam, a raglan front for one. */
export function neckPointOf(piece: Piece): NeckPoint | null {
  for (const [i, edge] of piece.edges.entries()) {
    const next = cyclic(piece.edges, i + 1);
    if (edge.role === 'neck' && next.role === 'shoulder')
      return { at: endOf(edge.path), on: scale(startTangent(next.path), -1) };
    if (edge.role === 'shoulder' && next.role === 'neck') return { at: endOf(edge.path), on: endTangent(edge.path) };
  }
  return null;
}

const markOf = (piece: Piece, kind: 'neckBase' | 'neckCentre'): Point | undefined =>
  piece.marks.flatMap((m) => (m.kind === kind ? [m.at] : []))[0];

/** Where the body's neck begins at the shoulder: as marked, else where the neckline meets the seam. */
export const neckBaseOf = (piece: Piece): Point | null => markOf(piece, 'neckBase') ?? neckPointOf(piece)?.at ?? null;

/** The nape on a back, the pit of the neck on a front: as marked, else the upper end of the centre. */
export function neckCentreOf(piece: Piece): Point | null {
  const marked = markOf(piece, 'neckCentre');
  if (marked) return marked;
  const centre = centreEdgeOf(piece);
  if (!centre) return null;
  const end = endOf(centre.path);
  return end.y < centre.path.start.y ? end : centre.path.start;
}

/** How far a neckline lies from the neck, mm: out along the shoulder, and down the centre. Nothing where it lies on it. */
export interface NeckAway {
  readonly out: number;
  readonly below: number;
}

export function neckAway(piece: Piece): NeckAway {
  const [neck, base, centre, pit] = [neckPointOf(piece), neckBaseOf(piece), centreEdgeOf(piece), neckCentreOf(piece)];
  const top = centre ? Math.min(centre.path.start.y, endOf(centre.path).y) : null;
  return {
    out: neck && base ? dot(sub(base, neck.at), neck.on) : 0,
    below: top !== null && pit ? top - pit.y : 0,
  };
}

/** A piece marked with where the neck of the body lies; the marks are taken off where the neckline lies on it. */
export function withNeckAway(piece: Piece, { out, below }: NeckAway): Piece {
  const neck = neckPointOf(piece);
  const centre = centreEdgeOf(piece);
  const marks: Mark[] = piece.marks.filter((m) => m.kind !== 'neckBase' && m.kind !== 'neckCentre');
  if (neck && out !== 0) marks.push({ kind: 'neckBase', id: 'neckBase', at: add(neck.at, scale(neck.on, out)) });
  if (centre && below !== 0) {
    const end = endOf(centre.path);
    const top = end.y < centre.path.start.y ? end : centre.path.start;
    marks.push({ kind: 'neckCentre', id: 'neckCentre', at: { x: top.x, y: top.y - below } });
  }
  return { ...piece, marks };
}

/**
 * The neck base of a piece whose shoulder seam was drawn again: it lies on the seam run on at its slope, as before.
 * A neckline that was cut wider, lower or higher leaves the neck of the body where it is.
 */
export function settledNeckBase(piece: Piece): Piece {
  const base = markOf(piece, 'neckBase');
  const neck = base ? neckPointOf(piece) : null;
  if (!base || !neck) return piece;
  const foot = add(neck.at, scale(neck.on, dot(sub(base, neck.at), neck.on)));
  if (distance(foot, base) === 0) return piece;
  return { ...piece, marks: piece.marks.map((m) => (m.kind === 'neckBase' ? { ...m, at: foot } : m)) };
}
