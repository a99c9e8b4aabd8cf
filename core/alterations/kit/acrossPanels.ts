import { distance, pathLength, pointAt, type Point } from '../../geometry/index.ts';
import { requireEdge, type EdgeRole, type Piece, type SeamSide } from '../../pattern/index.ts';
import type { Context } from '../contract.ts';
import { meetingOn, meetings, type Meeting } from './across.ts';
import { sideLengthOf } from './follow.ts';
import { nth } from '../../units/index.ts';

type OnPieces = Pick<Context, 'pieces' | 'seams'>;

/** A piece that a line across the garment crosses, from the end nearer the centre to the far one. */
export interface Crossed {
  readonly piece: Piece;
  readonly inner: Meeting;
  readonly outer: Meeting;
  /** How much of the line lies on the pieces nearer the centre, mm. */
  readonly before: number;
}
export type Row = readonly [Crossed, ...Crossed[]];

/** Nobody sews a half of more panels than this: a ring of seams ends here. */
export const MOST_PANELS = 8;
/** Seams at which a wedge runs on into the panel beside. */
const RUNS_ON: readonly EdgeRole[] = ['princess'];

export const wholeWidth = (row: Row): number => {
  const last = nth(row, row.length - 1);
  return last.before + distance(last.inner.at, last.outer.at);
};

/**
 * The pieces that a level line crosses on its way from the centre of `first` to the nearest seam where a wedge may run
 * to nothing (`ends`): one piece, or the panels sewn to it one after another. The line is met on the next panel where
 * the seam brings it together. Null where it leaves the pieces before it comes to such a seam.
 */
export function rowAcross(on: OnPieces, first: Piece, y: number, ends: readonly EdgeRole[]): Row | null {
  const centre = meetingOn(first, y, ['centreBack', 'centreFront']);
  if (!centre) return null;
  const row: Crossed[] = [];
  let piece = first;
  let inner: Meeting = centre;
  for (let n = 0; n < MOST_PANELS; n++) {
    const end = farMeeting(piece, inner, ends);
    const outer = end ?? farMeeting(piece, inner, RUNS_ON);
    if (!outer) return null;
    const last = row.at(-1);
    row.push({ piece, inner, outer, before: last ? last.before + distance(last.inner.at, last.outer.at) : 0 });
    if (end) return row as [Crossed, ...Crossed[]];
    const next = acrossSeam(on, piece, outer);
    if (!next || row.some((c) => c.piece.id === next.piece.id)) return null;
    piece = next.piece;
    inner = next.at;
  }
  return null;
}

/** Where the level line through a meeting comes to an edge of one of these roles, farthest from it. */
function farMeeting(piece: Piece, from: Meeting, roles: readonly EdgeRole[]): Meeting | null {
  const met = meetings(piece, from.at.y).filter((m) => roles.includes(m.edge.role) && m.edge.id !== from.edge.id);
  return met.sort((a, b) => distance(b.at, from.at) - distance(a.at, from.at))[0] ?? null;
}

/** The piece sewn on at a place of the seam line, and where that place lies on it; null where nothing is sewn on there. */
export function acrossSeam(
  { pieces, seams }: OnPieces,
  piece: Piece,
  at: Meeting,
): { readonly piece: Piece; readonly at: Meeting } | null {
  for (const seam of seams)
    for (const [own, other] of [
      [seam.first, seam.second],
      [seam.second, seam.first],
    ] as const) {
      if (own.piece !== piece.id || !own.edges.includes(at.edge.id)) continue;
      const there = pieces.find((p) => p.id === other.piece && p.id !== piece.id);
      if (!there) continue;
      const share = walkedTo(piece, own, at) / sideLengthOf(piece, own);
      return { piece: there, at: placeAlong(there, other, share * sideLengthOf(there, other)) };
    }
  return null;
}

function walkedTo(piece: Piece, side: SeamSide, { edge, along }: Meeting): number {
  const passed = sideLengthOf(piece, { ...side, edges: side.edges.slice(0, side.edges.indexOf(edge.id)) });
  return passed + (side.reversed ? pathLength(edge.path) - along : along);
}

function placeAlong(piece: Piece, side: SeamSide, walked: number): Meeting {
  let left = walked;
  const last = side.edges.at(-1);
  for (const id of side.edges) {
    const edge = requireEdge(piece, id);
    const size = pathLength(edge.path);
    if (left <= size || id === last) {
      const along = Math.min(size, Math.max(0, side.reversed ? size - left : left));
      return { at: pointAt(edge.path, along), edge, along };
    }
    left -= size;
  }
  throw new Error(`placeAlong: expected a side with edges on "${piece.id}"`);
}

/** The pin at the end of the line, laid out from one of its panels as if the others lay beside it. */
export function pinFrom(row: Row, { piece, inner, outer, before }: Crossed): Point {
  const last = nth(row, row.length - 1);
  if (last.piece === piece) return outer.at;
  const way = outer.at.x > inner.at.x ? 1 : -1;
  return { x: inner.at.x + way * (wholeWidth(row) - before), y: inner.at.y };
}
