import { endOf, nearestOnPath, lengthTo, pathLength, pointAt, type Point } from '../../../geometry/index.ts';
import { edgesWithRole, type Dart, type Edge, type EdgeRole, type Piece } from '../../../pattern/index.ts';
import type { RotationTarget } from '../../../paper/truing/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';

export interface Place {
  readonly target: RotationTarget;
  readonly at: Point;
  readonly role: EdgeRole;
}

/** Keeps a new place off the corners, where there is no paper on both sides, mm. */
const CLEAR = 8;

/**
 * A place on the outline for a dart: the point put down by hand, else a share of the seam of that role, from
 * its upper end or its end at the centre. An existing dart in that seam is taken instead when `merge` asks so.
 */
export function findPlace(
  piece: Piece,
  source: Dart,
  role: EdgeRole,
  share: number,
  byHand: Point | null,
  merge: boolean,
): Result<Place> {
  if (byHand) return nearestPlace(piece, byHand);
  const all = edgesWithRole(piece, role);
  const edges = all.filter((e) => e.id !== piece.fold);
  if (edges.length === 0) return refuse(all.length > 0 ? 'dart-on-fold' : 'no-such-seam', { piece: piece.name, role });
  const there = piece.darts.find((d) => d.id !== source.id && neighbours(piece, d).some((e) => e.role === role));
  if (merge && there) return ok({ target: { kind: 'dart', dart: there.id }, at: there.tip, role });
  const total = edges.reduce((n, e) => n + pathLength(e.path), 0);
  let rest = (reads(piece, edges) ? share : 1 - share) * total;
  for (const edge of edges) {
    const size = pathLength(edge.path);
    if (rest <= size || edge === edges.at(-1)) return onEdge(piece, edge, Math.min(rest, size));
    rest -= size;
  }
  return refuse('no-such-seam', { piece: piece.name, role });
}

function onEdge(piece: Piece, edge: Edge, wanted: number): Result<Place> {
  const size = pathLength(edge.path);
  if (size < 3 * CLEAR) return refuse('no-such-seam', { piece: piece.name, role: edge.role });
  const at = Math.min(size - CLEAR, Math.max(CLEAR, wanted));
  return ok({ target: { kind: 'edge', edge: edge.id, at }, at: pointAt(edge.path, at), role: edge.role });
}

/** The place on the seam line nearest to a point; mouths are no place for another dart. */
export function nearestPlace(piece: Piece, p: Point): Result<Place> {
  let best: { edge: Edge; at: number; distance: number } | null = null;
  for (const edge of piece.edges) {
    if (edge.role === 'dart' || edge.id === piece.fold) continue;
    const near = nearestOnPath(edge.path, p);
    if (!best || near.distance < best.distance) best = { edge, at: lengthTo(edge.path, near), distance: near.distance };
  }
  return best ? onEdge(piece, best.edge, best.at) : refuse('no-such-seam', { piece: piece.name, role: 'other' });
}

export function neighbours(piece: Piece, dart: Dart): readonly Edge[] {
  const i = piece.edges.findIndex((e) => e.id === dart.mouth);
  const n = piece.edges.length;
  return [piece.edges[(i + n - 1) % n], piece.edges[(i + 1) % n]].filter((e) => e !== undefined);
}

/** True when the outline runs along the seam from its upper end, or from the centre outwards. */
function reads(piece: Piece, edges: readonly Edge[]): boolean {
  const a = edges[0]?.path.start ?? { x: 0, y: 0 };
  const last = edges.at(-1);
  const b = last ? endOf(last.path) : a;
  const centre = [...edgesWithRole(piece, 'centreFront'), ...edgesWithRole(piece, 'centreBack')][0]?.path.start.x ?? 0;
  const level = Math.abs(b.x - a.x) > Math.abs(b.y - a.y);
  return level ? Math.abs(a.x - centre) < Math.abs(b.x - centre) : a.y < b.y;
}
