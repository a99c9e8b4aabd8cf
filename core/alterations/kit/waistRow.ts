import { endOf, pathLength } from '../../geometry/index.ts';
import { edgesWithRole, requireEdge, type Edge, type Piece } from '../../pattern/index.ts';
import { edgeAfter, edgeBefore, type WaistPanel } from '../../paper/truing/index.ts';
import type { Context } from '../contract.ts';
import { acrossSeam, MOST_PANELS } from './acrossPanels.ts';
import { nth } from '../../units/index.ts';

/** One panel of a waist that is sewn from several, and its part of the whole. */
export interface OnWaist {
  readonly piece: Piece;
  readonly panel: WaistPanel;
}

/**
 * The pieces a waist seam runs over, from the centre of `first` to the side: one, or the panels sewn to it one after
 * another. Null where it does not come to a side seam.
 */
export function waistRow(on: Pick<Context, 'pieces' | 'seams'>, first: Piece): readonly [OnWaist, ...OnWaist[]] | null {
  const found: Omit<OnWaist & { readonly wide: number }, 'panel'>[] = [];
  const seams: { readonly inner: string; readonly outer: string }[] = [];
  let piece = first;
  let inner = neighbours(first)?.find((e) => e.role === 'centreBack' || e.role === 'centreFront');
  while (inner && found.length < MOST_PANELS) {
    const beside = neighbours(piece);
    const outer = beside?.find((e) => e.id !== inner?.id);
    if (!beside?.some((e) => e.id === inner?.id) || !outer || found.some((f) => f.piece.id === piece.id)) return null;
    const waist = edgesWithRole(piece, 'waist');
    const a = waist[0]?.path.start;
    const last = waist.at(-1);
    const b = last ? endOf(last.path) : a;
    found.push({ piece, wide: Math.abs((a?.x ?? 0) - (b?.x ?? 0)) });
    seams.push({ inner: inner.id, outer: outer.id });
    if (outer.role === 'side') return laidOut(found, seams);
    const next = acrossSeam(on, piece, lowerEndOf(piece, outer));
    if (!next) return null;
    piece = next.piece;
    inner = requireEdge(piece, next.at.edge.id);
  }
  return null;
}

/** The edges a waist runs between; null on a piece without one. */
function neighbours(piece: Piece): readonly Edge[] | null {
  const waist = edgesWithRole(piece, 'waist');
  const [first, last] = [waist[0], waist.at(-1)];
  if (!first || !last) return null;
  return [edgeBefore(piece, first.id), edgeAfter(piece, last.id)].map((id) => requireEdge(piece, id));
}

/** The end of a seam that lies at the waist. */
function lowerEndOf(piece: Piece, edge: Edge) {
  const waist = edgesWithRole(piece, 'waist');
  const atStart = edgeBefore(piece, edge.id) === waist.at(-1)?.id;
  const { path } = edge;
  return { edge, at: atStart ? path.start : endOf(path), along: atStart ? 0 : pathLength(path) };
}

function laidOut(
  found: readonly { readonly piece: Piece; readonly wide: number }[],
  seams: readonly { readonly inner: string; readonly outer: string }[],
): readonly [OnWaist, ...OnWaist[]] | null {
  const whole = found.reduce((sum, f) => sum + f.wide, 0);
  const row = found.map(({ piece }, i) => ({
    piece,
    panel: {
      ...nth(seams, i),
      before: found.slice(0, i).reduce((sum, f) => sum + f.wide, 0),
      whole,
    },
  }));
  const [one, ...rest] = row;
  return one ? [one, ...rest] : null;
}
