import {
  cross,
  distance,
  dot,
  endOf,
  endTangent,
  midpoint,
  pathLength,
  pointAt,
  startTangent,
  sub,
  turnBetween,
  unit,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import {
  alongSide,
  partsOfSide,
  requireEdge,
  seamLine,
  type Piece,
  type Seam,
  type SeamSide,
} from '../../pattern/index.ts';
import { degrees } from '../../units/index.ts';

/** One side of a seam laid out straight: its length and where its notches fall, mm from the walk's start. */
export interface WalkedSide {
  readonly piece: string;
  readonly length: number;
  readonly notches: readonly { readonly id: string; readonly at: number }[];
  /** Where the walk passes from one edge to the next (a closed dart lies there). */
  readonly joints: readonly number[];
  /** Interior corner angles at the start and the end of the walk, degrees. */
  readonly corners: readonly [number, number];
  /** The edges that meet the walk at its two ends: a princess seam runs on there, nothing need be square. */
  readonly meets: readonly [string, string];
}

export interface Walk {
  readonly seam: Seam;
  readonly first: WalkedSide;
  readonly second: WalkedSide;
  /** second − first − intended ease: 0 when they match. */
  readonly difference: number;
  /** Greatest distance between the two lines laid on each other, mm; only for a piece set into part of a seam. */
  readonly apart: number;
}

/** Interior angle, degrees, where an edge begins (`start`) or ends, measured to its neighbour on the outline. */
export function cornerAngle(piece: Piece, edge: string, at: 'start' | 'end'): number {
  const n = piece.edges.length;
  const i = piece.edges.findIndex((e) => e.id === edge);
  const first = piece.edges[at === 'start' ? (i + n - 1) % n : i];
  const second = piece.edges[at === 'start' ? i : (i + 1) % n];
  if (i < 0 || !first || !second) throw new Error(`cornerAngle: expected an edge "${edge}" on ${piece.id}`);
  return 180 - degrees(turnBetween(endTangent(first.path), startTangent(second.path)));
}

export function walkSide(piece: Piece, side: SeamSide): WalkedSide {
  const { length, joints, notches } = alongSide(piece, side);
  const first = side.edges[0] ?? '';
  const last = side.edges.at(-1) ?? '';
  const corners: readonly [number, number] = side.reversed
    ? [cornerAngle(piece, first, 'end'), cornerAngle(piece, last, 'start')]
    : [cornerAngle(piece, first, 'start'), cornerAngle(piece, last, 'end')];
  const n = piece.edges.length;
  const beside = (id: string, step: number): string =>
    piece.edges[(piece.edges.findIndex((e) => e.id === id) + step + n) % n]?.role ?? '';
  const meets: readonly [string, string] = side.reversed
    ? [beside(first, 1), beside(last, -1)]
    : [beside(first, -1), beside(last, 1)];
  return { piece: piece.id, length, notches, joints, corners, meets };
}

/** A walk that goes on over another piece. */
const runOn = (one: WalkedSide, two: WalkedSide): WalkedSide => {
  const further = (at: number): number => at + one.length;
  return {
    piece: one.piece,
    length: one.length + two.length,
    notches: [...one.notches, ...two.notches.map((n) => ({ ...n, at: further(n.at) }))],
    joints: [...one.joints, one.length, ...two.joints.map(further)],
    corners: [one.corners[0], two.corners[1]],
    meets: [one.meets[0], two.meets[1]],
  };
};

const STATIONS = 24;

/** Greatest distance between two lines laid on one another at their middles, their ends in line, mm. */
function farApart(a: Path, b: Path): number {
  const laid = (path: Path): readonly Point[] => {
    const size = pathLength(path);
    const along = unit(sub(endOf(path), path.start));
    const middle = midpoint(path.start, endOf(path));
    return Array.from({ length: STATIONS + 1 }, (_, i) => {
      const from = sub(pointAt(path, (size * i) / STATIONS), middle);
      return { x: dot(from, along), y: cross(from, along) };
    });
  };
  const other = laid(b);
  return Math.max(...laid(a).map((p, i) => distance(p, other[i] ?? p)));
}

/** Walks the two sides of a seam against each other. Throws where the seam names what is not there. */
export function walkSeam(pieces: readonly Piece[], seam: Seam): Walk {
  const find = (id: string): Piece => {
    const piece = pieces.find((p) => p.id === id);
    if (!piece) throw new Error(`walkSeam: expected piece "${id}" for seam ${seam.id}`);
    return piece;
  };
  const walked = (side: SeamSide): WalkedSide =>
    partsOfSide(side)
      .map((part) => walkSide(find(part.piece), part))
      .reduce(runOn);
  const first = walked(seam.first);
  const second = walked(seam.second);
  const lineOf = (side: SeamSide): Path => seamLine(find(side.piece), side);
  const apart = seam.kind === 'pocket' ? farApart(lineOf(seam.first), lineOf(seam.second)) : 0;
  return { seam, first, second, difference: second.length - first.length - seam.ease, apart };
}

export const straightness = (piece: Piece, edge: string): number => {
  const path = requireEdge(piece, edge).path;
  const end = path.segments.at(-1)?.to ?? path.start;
  return pathLength(path) - distance(path.start, end);
};
