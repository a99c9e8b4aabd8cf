import { distance, pathLength, pointAt, spanLength, spansOf, type Path, type Point } from '../../../geometry/index.ts';
import { bustPointOf, edgesWithRole, type Dart, type Edge, type Piece } from '../../../pattern/index.ts';
import { edgeAfter, edgeBefore } from '../../../paper/truing/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { Context } from '../../contract.ts';
import { centreEdge } from '../../kit/across.ts';

/** Where along the neckline, from the centre, the line begins unless it is put elsewhere. */
export const ALONG = 0.5;

export interface Gaping {
  readonly piece: Piece;
  readonly neck: Edge;
  readonly dart: Dart;
  readonly pivot: Point;
  /** On the neckline. */
  readonly at: Point;
  readonly neckFirst: boolean;
}

/** A front with a bust point and a dart that can take what the neckline gives. */
export function gaping(context: Pick<Context, 'pieces'>, share = ALONG): Result<Gaping> {
  const piece = context.pieces.find((p) => p.part === 'front' && bustPointOf(p));
  const pivot = piece ? bustPointOf(piece) : undefined;
  if (!piece || !pivot) return refuse('bust-point-not-found', {});
  // With a dart in the neckline, the part of it that begins at the centre.
  const necks = edgesWithRole(piece, 'neck');
  const neck =
    necks.find((e) => [edgeBefore(piece, e.id), edgeAfter(piece, e.id)].includes(centreEdge(piece)?.id ?? '')) ??
    necks[0];
  const dart = [...piece.darts].sort((a, b) => Number(b.kind === 'side') - Number(a.kind === 'side'))[0];
  if (!neck) return refuse('neck-missing', { piece: piece.name });
  if (!dart) return refuse('no-dart', { piece: piece.name });
  const i = piece.edges.indexOf(neck);
  const neckFirst = piece.edges[(i + 1) % piece.edges.length]?.id !== centreEdge(piece)?.id;
  const size = pathLength(neck.path);
  const along = size * (neckFirst ? share : 1 - share);
  return ok({ piece, neck, dart, pivot, at: pointAt(neck.path, along), neckFirst });
}

/** Arc length of the bend that the fold has left, the one nearest to where it was made. */
export function bendNear(path: Path, near: Point): number {
  let along = 0;
  let best = { along: 0, off: Infinity };
  for (const span of spansOf(path).slice(0, -1)) {
    along += spanLength(span);
    const off = distance(span.b, near);
    if (off < best.off) best = { along, off };
  }
  return best.along;
}
