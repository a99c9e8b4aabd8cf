import { distance, endOf, insidePolygon, isSimplePolygon, pathLength } from '../../geometry/index.ts';
import { edgeOf, pieceArea, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';
import type { Fault, FaultCode } from './fault.ts';
import { outlineRing, ringOf } from './ring.ts';

/** Pieces smaller than this cannot be sewn, mm². */
export const LEAST_AREA = 100;

type Say = (code: FaultCode, data?: Fault['data'], at?: Fault['at']) => void;

/** Edges that join in one closed line, each with a length and a name of its own. */
export function edgeFaults(piece: Piece, say: Say): void {
  const n = piece.edges.length;
  piece.edges.forEach((edge, i) => {
    const next = piece.edges[(i + 1) % n];
    if (pathLength(edge.path) < TOL.join) say('edge-without-length', { role: edge.role }, edge.path.start);
    if (!next) return;
    const gap = distance(endOf(edge.path), next.path.start);
    // Not "greater than": a place that is not a number must not pass.
    if (!(gap <= TOL.join)) say('edges-do-not-join', { role: edge.role, next: next.role, gap }, endOf(edge.path));
  });
  for (const [what, ids] of [
    ['edge', piece.edges.map((e) => e.id)],
    ['dart', piece.darts.map((d) => d.id)],
    ['mark', piece.marks.map((m) => m.id)],
  ] as const) {
    const twice = ids.find((id, i) => ids.indexOf(id) !== i);
    if (twice !== undefined) say('id-repeated', { what, id: twice });
  }
  if (piece.fold !== null && !edgeOf(piece, piece.fold)) say('fold-missing', { edge: piece.fold });
}

/** An outline that is simple, runs clockwise and holds paper. */
export function outlineFaults(piece: Piece, say: Say): void {
  const area = pieceArea(piece);
  if (!isSimplePolygon(outlineRing(piece))) say('outline-crosses');
  else if (area < 0) say('outline-inside-out');
  else if (!(area >= LEAST_AREA)) say('piece-too-small', { area });
}

/** Notches on their edges. */
export function notchFaults(piece: Piece, say: Say): void {
  for (const mark of piece.marks) {
    if (mark.kind !== 'notch') continue;
    const edge = edgeOf(piece, mark.edge);
    const size = edge ? pathLength(edge.path) : 0;
    const past = edge ? Math.max(-mark.at, mark.at - size) : Infinity;
    if (!(past <= TOL.join)) say('notch-off-edge', { role: edge?.role ?? mark.edge, past: edge ? past : 0 });
  }
}

export const holds = (piece: Piece, p: Parameters<typeof insidePolygon>[0]): boolean =>
  insidePolygon(p, ringOf(piece).points);
