import {
  add,
  distance,
  endOf,
  endTangent,
  pathLength,
  scale,
  startTangent,
  sub,
  unit,
  type Point,
} from '../../geometry/index.ts';
import { solveBetween } from '../../numeric/index.ts';
import { edgesWithRole, requireEdge, type Edge, type Piece } from '../../pattern/index.ts';
import { edgeAfter, edgeBefore, isStraightPath, moveEnd, moveStart, stretchFrom } from '../../paper/truing/index.ts';
import { TOL } from '../../units/index.ts';

export interface Underarm {
  readonly piece: Piece;
  /** The curve that ends at the underarm: armhole or cap, and the seam below it. */
  readonly curve: Edge;
  readonly seam: Edge;
  readonly at: Point;
  /** Down the seam, and out of the piece. */
  readonly down: Point;
  readonly out: 1 | -1;
}

/** Every place where an armhole or a cap comes down to the underarm. */
export function underarms(pieces: readonly Piece[]): readonly Underarm[] {
  return pieces.flatMap((piece) =>
    [...edgesWithRole(piece, 'armhole'), ...edgesWithRole(piece, 'cap')].flatMap((curve): readonly Underarm[] => {
      const beside = [edgeBefore(piece, curve.id), edgeAfter(piece, curve.id)].map((id) => requireEdge(piece, id));
      const seam = beside.find((e) => e.role === 'side' || e.role === 'underarm');
      if (!seam) return [];
      const at = seam === beside[1] ? endOf(curve.path) : curve.path.start;
      const straight = isStraightPath(seam.path);
      const starts = distance(seam.path.start, at) < TOL.join;
      const far = starts ? endOf(seam.path) : seam.path.start;
      const down = straight ? unit(sub(far, at)) : starts ? startTangent(seam.path) : scale(endTangent(seam.path), -1);
      const middle = (Math.min(...xs(piece)) + Math.max(...xs(piece))) / 2;
      return [{ piece, curve, seam, at, down, out: at.x > middle ? 1 : -1 }];
    }),
  );
}

const xs = (piece: Piece): readonly number[] => piece.edges.map((e) => e.path.start.x);

/**
 * The underarm so far out, and as far up or down its seam as makes that seam longer by just `by`: front, back and
 * sleeve then still meet, however their seams slant.
 */
export function targetOf(u: Underarm, by: number, out: number): Point {
  const aside = add(u.at, { x: u.out * out, y: 0 });
  const atStart = distance(u.seam.path.start, u.at) < TOL.join;
  const reach = stretchFrom(u.piece, u.seam.id, atStart ? 'start' : 'end');
  const drawn = (to: Point): number =>
    pathLength(atStart ? moveStart(u.seam.path, to, reach) : moveEnd(u.seam.path, to, reach));
  const over = (down: number): number => drawn(add(aside, scale(u.down, down))) - pathLength(u.seam.path) - by;
  const [low, high] = [-by - 25, -by + 25];
  const down = over(low) > 0 === over(high) > 0 ? -by : solveBetween(over, low, high, TOL.solve);
  return add(aside, scale(u.down, down));
}

/** From the underarm to the notch, along the curve: what is drawn again. */
export function reachOf({ piece, curve, at }: Underarm): number {
  const size = pathLength(curve.path);
  const fromStart = distance(curve.path.start, at) < TOL.join;
  const notch = piece.marks.find((m) => m.kind === 'notch' && m.edge === curve.id);
  const reach = notch?.kind === 'notch' ? (fromStart ? notch.at : size - notch.at) : size * 0.5;
  return Math.max(20, reach);
}
