import {
  add,
  dot,
  endOf,
  joinPaths,
  lerp,
  mapPath,
  nearestLength,
  pathFromSpans,
  pathLength,
  pointAt,
  scale,
  spansOf,
  splitAtLength,
  sub,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { solveBetween } from '../../numeric/index.ts';
import { requireEdge, type Mark, type Piece } from '../../pattern/index.ts';
import { edgeAfter, edgeBefore } from './corner.ts';
import { moveEnd, moveStart } from './moveEnd.ts';
import { stretchFrom } from './stretch.ts';
import { cornerAngle } from './walk.ts';
import { TOL } from '../../units/index.ts';

/** A further shift of one end of an edge, that runs out smoothly over a share of its chord. */
export interface Swing {
  readonly end: 'start' | 'end';
  readonly by: Point;
  readonly over: number;
}

/**
 * Carries an edge to another place: its start by one shift, its end by another, evenly between along its chord
 * (both alike is a plain shift and keeps its length exactly); what swings besides, runs out on the way. Its neighbours are
 * drawn to its new ends.
 */
export function carryEdge(piece: Piece, edge: string, start: Point, end: Point, swing?: Swing): Piece {
  const path = requireEdge(piece, edge).path;
  const chord = sub(endOf(path), path.start);
  const size = dot(chord, chord);
  const carried = (p: Point): Point => {
    const t = size > 0 ? dot(sub(p, path.start), chord) / size : 0;
    const straight = add(p, lerp(start, end, t));
    if (!swing) return straight;
    const left = Math.max(0, 1 - (swing.end === 'start' ? t : 1 - t) / swing.over);
    return add(straight, scale(swing.by, left ** 2));
  };
  const moved = mapPath(path, carried);
  const before = edgeBefore(piece, edge);
  const after = edgeAfter(piece, edge);
  const afterPath = requireEdge(piece, after).path;
  const afterMoved = moveStart(afterPath, endOf(moved), stretchFrom(piece, after, 'start'));
  const grown = pathLength(afterMoved) - pathLength(afterPath);
  return {
    ...piece,
    edges: piece.edges.map((e) =>
      e.id === edge
        ? { ...e, path: moved }
        : e.id === before
          ? { ...e, path: moveEnd(e.path, moved.start, stretchFrom(piece, before, 'end')) }
          : e.id === after
            ? { ...e, path: afterMoved }
            : e,
    ),
    // Where an edge now begins elsewhere, its notches keep their distance from the end that stays.
    marks: piece.marks.map((m): Mark => {
      if (m.kind !== 'notch') return m;
      // A notch of the edge itself goes with its paper.
      if (m.edge === edge) return { ...m, at: nearestLength(moved, carried(pointAt(path, m.at))) };
      return m.edge === after ? { ...m, at: Math.max(0, m.at + grown) } : m;
    }),
  };
}

/** Moves the joint between an edge and the one after it by so much along them; positive makes the first longer. */
export function shiftJoint(piece: Piece, edge: string, by: number): Piece {
  const next = edgeAfter(piece, edge);
  const whole = joinPaths([requireEdge(piece, edge).path, requireEdge(piece, next).path]);
  const first = pathLength(requireEdge(piece, edge).path);
  const [a, b] = splitAtLength(whole, first + by);
  return {
    ...piece,
    edges: piece.edges.map((e) => (e.id === edge ? { ...e, path: a } : e.id === next ? { ...e, path: b } : e)),
    // A notch stays where it is on the paper, and goes to the edge that now runs through it.
    marks: piece.marks.map((m): Mark => {
      if (m.kind !== 'notch' || (m.edge !== edge && m.edge !== next)) return m;
      const along = m.edge === edge ? m.at : first + m.at;
      return along <= first + by ? { ...m, edge, at: along } : { ...m, edge: next, at: along - first - by };
    }),
  };
}

/**
 * Turns the end of a curve, within `reach` of it, until its corner has the angle asked for (degrees, inside the
 * piece). The ends stay where they are; the length is
 * held, as far as a fuller or flatter curve at that end can hold it.
 */
export function turnCorner(piece: Piece, edge: string, at: 'start' | 'end', angle: number, reach: number): Piece {
  const path = requireEdge(piece, edge).path;
  const by = ((angle - cornerAngle(piece, edge, at)) * Math.PI) / 180;
  const to = at === 'end' ? endOf(path) : path.start;
  const turned = at === 'end' ? moveEnd(path, to, reach, by) : moveStart(path, to, reach, -by);
  const drawn = heldBy(turned, at, pathLength(path));
  const grown = pathLength(drawn) - pathLength(path);
  return {
    ...piece,
    edges: piece.edges.map((e) => (e.id === edge ? { ...e, path: drawn } : e)),
    marks: piece.marks.map((m): Mark =>
      at === 'start' && m.kind === 'notch' && m.edge === edge ? { ...m, at: Math.max(0, m.at + grown) } : m,
    ),
  };
}

/** The curve at one end made fuller or flatter until the path is so long; as near to it as it comes without a bulge. */
function heldBy(path: Path, at: 'start' | 'end', goal: number): Path {
  const spans = spansOf(path);
  const i = at === 'end' ? spans.length - 1 : 0;
  const span = spans[i];
  if (span?.kind !== 'cubic') return path;
  const drawn = (k: number): Path => {
    const c1 = at === 'start' ? lerp(span.a, span.c1, k) : span.c1;
    const c2 = at === 'end' ? lerp(span.b, span.c2, k) : span.c2;
    return pathFromSpans(spans.map((s, j) => (j === i ? { ...span, c1, c2 } : s)));
  };
  const off = (k: number): number => pathLength(drawn(k)) - goal;
  const [low, high] = [0.35, 1.9];
  if (off(low) > 0 === off(high) > 0) return Math.abs(off(low)) < Math.abs(off(high)) ? drawn(low) : drawn(high);
  return drawn(solveBetween(off, low, high, TOL.solve));
}
