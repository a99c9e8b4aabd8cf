import {
  endOf,
  endTangent,
  pathLength,
  splitAtLength,
  startTangent,
  sub,
  turnBetween,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { edgesWithRole, requireEdge, type EdgeRole, type Mark, type Piece } from '../../pattern/index.ts';
import { moveEnd, moveStart } from './moveEnd.ts';
import { stretchFrom } from './stretch.ts';

/** How much of each of the two edges is drawn again, mm from the corner; left out, as far as a redraw may go. */
export type CornerReach = readonly [number | undefined, number | undefined];

const isStraight = (path: Path): boolean => path.segments.every((s) => s.kind === 'line');

/**
 * Moves the corner where two edges meet, named either way round, and draws both to it again, each from nothing at its
 * reach. Throws where they do not meet. A curve keeps its angle to a straight neighbour: when that turns, the curve's end turns
 * with it. Notches keep their distance from the end that stays.
 */
export function drawCorner(
  piece: Piece,
  between: readonly [string, string],
  to: Point,
  [ofOne, ofOther]: CornerReach = [undefined, undefined],
): Piece {
  const [a, b] = [requireEdge(piece, between[0]), requireEdge(piece, between[1])];
  const inOrder = edgeAfter(piece, a.id) === b.id;
  if (!inOrder && edgeAfter(piece, b.id) !== a.id)
    throw new Error(`drawCorner: expected edges that meet, got "${a.id}" and "${b.id}"`);
  const [first, second] = inOrder ? [a, b] : [b, a];
  const firstReach = (inOrder ? ofOne : ofOther) ?? stretchFrom(piece, first.id, 'end');
  const secondReach = (inOrder ? ofOther : ofOne) ?? stretchFrom(piece, second.id, 'start');
  const one = moveEnd(first.path, to, firstReach);
  const two = moveStart(second.path, to, secondReach);
  const turned = (was: Path, now: Path, at: 'start' | 'end'): number =>
    at === 'end' ? turnBetween(endTangent(was), endTangent(now)) : turnBetween(startTangent(was), startTangent(now));
  // The tangent already made is undone and the neighbour's turn put in its place.
  const firstTurn = isStraight(second.path) ? turned(second.path, two, 'start') - turned(first.path, one, 'end') : 0;
  const secondTurn = isStraight(first.path) ? turned(first.path, one, 'end') - turned(second.path, two, 'start') : 0;
  const firstPath = isStraight(first.path) ? one : moveEnd(first.path, to, firstReach, firstTurn);
  const secondPath = isStraight(second.path) ? two : moveStart(second.path, to, secondReach, secondTurn);
  const grown = pathLength(secondPath) - pathLength(second.path);
  return {
    ...piece,
    edges: piece.edges.map((e) =>
      e.id === first.id ? { ...e, path: firstPath } : e.id === second.id ? { ...e, path: secondPath } : e,
    ),
    marks: piece.marks.map((m): Mark =>
      m.kind === 'notch' && m.edge === second.id ? { ...m, at: Math.max(0, m.at + grown) } : m,
    ),
  };
}

/** The edge after another on the outline. */
export function edgeAfter(piece: Piece, edge: string): string {
  const i = piece.edges.findIndex((e) => e.id === edge);
  return piece.edges[(i + 1) % piece.edges.length]?.id ?? edge;
}
export function edgeBefore(piece: Piece, edge: string): string {
  const n = piece.edges.length;
  const i = piece.edges.findIndex((e) => e.id === edge);
  return piece.edges[(i + n - 1) % n]?.id ?? edge;
}

/** How much an edge is cut short at one end, mm, and how much of its neighbour is drawn again. */
export interface Trim {
  readonly at: 'start' | 'end';
  readonly by: number;
  readonly reach: number;
}

/**
 * Cuts an edge shorter by `by` at one end and draws its neighbour there to the new end, from nothing at `reach`.
 * Notches of both keep their distance from the ends that stay.
 */
export function trimEnd(piece: Piece, edge: string, { at, by, reach }: Trim): Piece {
  const path = requireEdge(piece, edge).path;
  const kept = at === 'end' ? splitAtLength(path, pathLength(path) - by)[0] : splitAtLength(path, by)[1];
  const neighbour = at === 'end' ? edgeAfter(piece, edge) : edgeBefore(piece, edge);
  const beside = requireEdge(piece, neighbour).path;
  const drawn = at === 'end' ? moveStart(beside, endOf(kept), reach) : moveEnd(beside, kept.start, reach);
  const grown = at === 'end' ? pathLength(drawn) - pathLength(beside) : 0;
  return {
    ...piece,
    edges: piece.edges.map((e) =>
      e.id === edge ? { ...e, path: kept } : e.id === neighbour ? { ...e, path: drawn } : e,
    ),
    marks: piece.marks.map((m): Mark => {
      if (m.kind !== 'notch') return m;
      if (m.edge === edge && at === 'start') return { ...m, at: Math.max(0, m.at - by) };
      return m.edge === neighbour ? { ...m, at: Math.max(0, m.at + grown) } : m;
    }),
  };
}

/** From the left end of the edges of one role to their right end: a waist or hem as one straight line; null without such edges. */
export function lowerChord(piece: Piece, role: EdgeRole): Point | null {
  const ends = edgesWithRole(piece, role)
    .flatMap((e) => [e.path.start, endOf(e.path)])
    .sort((a, b) => a.x - b.x);
  const [left, right] = [ends[0], ends.at(-1)];
  return left && right && right.x > left.x ? sub(right, left) : null;
}
