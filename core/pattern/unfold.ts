import { distance, endOf, polyline } from '../geometry/index.ts';
import { TOL } from '../units/index.ts';
import { requireEdge } from './access.ts';
import { mirrorPiece } from './mirror.ts';
import type { Dart, Edge, Mark, Piece } from './types.ts';

/** A piece opened out, and how far the two halves miss each other at the ends of the fold, mm. */
export interface Unfolded {
  readonly piece: Piece;
  readonly apart: number;
}

const RIGHT = ' right';

/**
 * Opens a piece on a fold out to a whole: `left` as it is drawn, `right` turned over along the fold beside it. Where
 * the halves differ in length along the fold a short straight edge joins them, and `apart` tells by how much. Edges,
 * darts and notches of the right half carry "right" in their ids. Throws on a piece without a fold.
 */
export function unfoldPiece(left: Piece, right: Piece): Unfolded {
  const fold = left.fold;
  if (fold === null || right.fold === null) throw new Error(`unfoldPiece: expected a fold on ${left.id}`);
  const axis = requireEdge(left, fold).path.start.x;
  const shift = axis - requireEdge(right, right.fold).path.start.x;
  const turned = mirrorPiece(right, axis - shift / 2);
  const moved: Piece = shift === 0 ? mirrorPiece(right, axis) : turned;
  const chain = (piece: Piece, edge: string): readonly Edge[] => {
    const i = piece.edges.findIndex((e) => e.id === edge);
    return [...piece.edges.slice(i + 1), ...piece.edges.slice(0, i)];
  };
  const one = chain(left, fold);
  const two = chain(moved, right.fold).map((e) => ({ ...e, id: `${e.id}${RIGHT}` }));
  const edges: Edge[] = [];
  let apart = 0;
  const join = (part: readonly Edge[], id: string): void => {
    const end = edges.at(-1) ? endOf((edges.at(-1) as Edge).path) : null;
    const start = part[0]?.path.start;
    if (end && start && distance(end, start) > TOL.join) {
      apart = Math.max(apart, distance(end, start));
      edges.push({ id, role: 'other', path: polyline([end, start]), allowance: part[0]?.allowance ?? 0 });
    }
    edges.push(...part);
  };
  join(one, 'step');
  join(two, 'step');
  const first = edges[0];
  const last = edges.at(-1);
  if (first && last && distance(endOf(last.path), first.path.start) > TOL.join) {
    apart = Math.max(apart, distance(endOf(last.path), first.path.start));
    edges.push({ id: 'step top', role: 'other', path: polyline([endOf(last.path), first.path.start]), allowance: 0 });
  }
  const marks = moved.marks
    .filter((m) => m.kind !== 'grain' && m.kind !== 'level')
    .map((m): Mark =>
      m.kind === 'notch' ? { ...m, id: `${m.id}${RIGHT}`, edge: `${m.edge}${RIGHT}` } : { ...m, id: `${m.id}${RIGHT}` },
    );
  const darts = moved.darts.map((d): Dart => ({ ...d, id: `${d.id}${RIGHT}`, mouth: `${d.mouth}${RIGHT}` }));
  return {
    apart,
    piece: {
      ...left,
      fold: null,
      half: false,
      edges,
      darts: [...left.darts, ...darts],
      marks: [...left.marks, ...marks],
    },
  };
}
