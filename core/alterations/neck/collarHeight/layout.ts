import {
  add,
  distance,
  dot,
  endOf,
  endTangent,
  nearestOnPath,
  rotate,
  scale,
  startTangent,
  sub,
  unit,
  type Point,
} from '../../../geometry/index.ts';
import { edgeAfter, edgeBefore } from '../../../paper/truing/index.ts';
import { requireEdge, seamLine, type Edge, type Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { Context } from '../../contract.ts';
import { followings } from '../../kit/follow.ts';

/** A place on the outer edge of a collar or stand: which way is outward there, and how high the piece is, mm. */
export interface End {
  readonly at: Point;
  readonly out: Point;
  readonly height: number;
}

/** A collar or stand on the fold: the edge that is not sewn on, and its two ends. */
export interface Collar {
  readonly piece: Piece;
  readonly outer: Edge;
  readonly behind: End;
  readonly front: End;
  /** True where the outer edge begins at the centre back. */
  readonly fromFold: boolean;
}

/** Leaning less than this from the edge, radians, what ends it in front is a rounded corner and not its height. */
const ROUNDED = 0.6;

export function collarOn(context: Pick<Context, 'pieces' | 'seams'>, part: 'band' | 'collar'): Result<Collar> {
  const found = followings(context, 'neck', [part]);
  if (!found.ok) return refuse('collar-not-found', { part });
  const { follower: piece } = found.value[0];
  const sewn = found.value.flatMap((f) => (f.follower === piece ? f.following.edges : []));
  if (piece.fold === null) return refuse('piece-is-whole', { piece: piece.name });
  const fold = requireEdge(piece, piece.fold);
  const fromFold = sewn.includes(edgeAfter(piece, fold.id));
  const outer = requireEdge(piece, fromFold ? edgeBefore(piece, fold.id) : edgeAfter(piece, fold.id));
  if (sewn.includes(outer.id)) return refuse('collar-not-found', { part });
  // The outer edge ends at the fold where the fold begins, or begins where it ends.
  const up = unit(sub(fromFold ? fold.path.start : endOf(fold.path), fromFold ? endOf(fold.path) : fold.path.start));
  const behind = fromFold ? endOf(outer.path) : outer.path.start;
  const front = fromFold ? outer.path.start : endOf(outer.path);
  const seams = found.value.map((f) => seamLine(piece, f.following));
  const height = (p: Point): number => Math.min(...seams.map((s) => nearestOnPath(s, p).distance));
  return ok({
    ...{ piece, outer, fromFold: !fromFold },
    behind: { at: behind, out: up, height: distance(fold.path.start, endOf(fold.path)) },
    front: { at: front, out: outward(piece, outer, fromFold, up), height: height(front) },
  });
}

/** Which way the front end grows: along the edge that ends it, or square to the outer edge where that is rounded. */
function outward(piece: Piece, outer: Edge, endsAtFold: boolean, up: Point): Point {
  const along = endsAtFold ? startTangent(outer.path) : endTangent(outer.path);
  const across = rotate(along, Math.PI / 2);
  const square = dot(across, up) < 0 ? scale(across, -1) : across;
  const beside = requireEdge(piece, endsAtFold ? edgeBefore(piece, outer.id) : edgeAfter(piece, outer.id)).path;
  const end = endsAtFold ? endTangent(beside) : scale(startTangent(beside), -1);
  return Math.abs(dot(end, along)) > Math.cos(ROUNDED) ? square : end;
}

/** Where an end comes to lie when the piece grows there by so much. */
export const grownBy = ({ at, out }: End, by: number): Point => add(at, scale(out, by));
