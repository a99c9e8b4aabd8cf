import { pathLength, splitAtLength } from '../geometry/index.ts';
import { requireEdge } from './access.ts';
import type { Edge, Piece, Seam, SeamSide } from './types.ts';

/** An id not yet taken on the piece: `side`, `side 2`, `side 3` … */
export function freshId(taken: readonly string[], wanted: string): string {
  for (let i = 1; ; i++) {
    const id = i === 1 ? wanted : `${wanted} ${i}`;
    if (!taken.includes(id)) return id;
  }
}

export interface SplitEdge {
  readonly piece: Piece;
  /** The edge that was split, and the ids it became, in outline order; the first keeps the old id. */
  readonly edge: string;
  readonly parts: readonly [string, string];
}

/**
 * Splits an edge at arc length `at` into two of the same role; what lies between `at` and `at + width` becomes
 * `mouth`, an edge of its own, when the width is not nothing. Notches keep their places. Throws when `at` or
 * `at + width` is not within the edge.
 */
export function splitEdge(piece: Piece, id: string, at: number, width = 0, mouth?: string): SplitEdge {
  const edge = requireEdge(piece, id);
  const size = pathLength(edge.path);
  if (at <= 0 || at + width >= size)
    throw new Error(`splitEdge: expected 0 < ${at} and ${at + width} < ${size} on ${id}`);
  const [head, rest] = splitAtLength(edge.path, at);
  const [between, tail] = width > 0 ? splitAtLength(rest, width) : [null, rest];
  const second = freshId([...piece.edges.map((e) => e.id), ...(mouth ? [mouth] : [])], id);
  const edges = piece.edges.flatMap((e): readonly Edge[] =>
    e.id !== id
      ? [e]
      : [
          { ...e, path: head },
          ...(between && mouth ? [{ ...e, id: mouth, role: 'dart' as const, path: between }] : []),
          { ...e, id: second, path: tail },
        ],
  );
  const marks = piece.marks.map((m) =>
    m.kind !== 'notch' || m.edge !== id || m.at <= at ? m : { ...m, edge: second, at: Math.max(0, m.at - at - width) },
  );
  return { piece: { ...piece, edges, marks }, edge: id, parts: [id, second] };
}

/** Seams that named the whole edge name both of its parts. */
export function seamsAfterSplit(seams: readonly Seam[], pieceId: string, split: SplitEdge): readonly Seam[] {
  const side = (s: SeamSide): SeamSide =>
    s.piece !== pieceId || !s.edges.includes(split.edge)
      ? s
      : {
          ...s,
          edges: s.edges.flatMap((e) =>
            e !== split.edge ? [e] : s.reversed ? [...split.parts].reverse() : [...split.parts],
          ),
        };
  return seams.map((s) => ({ ...s, first: side(s.first), second: side(s.second) }));
}
