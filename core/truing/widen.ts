import {
  endOf,
  intersectPaths,
  joinPaths,
  lengthTo,
  mapPath,
  nearestLength,
  pathLength,
  pointAt,
  polyline,
  reversePath,
  solveBetween,
  splitAtLength,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { requireEdge, type Mark, type Piece } from '../pattern/index.ts';
import { TOL } from '../units/index.ts';
import { moveEnd, moveStart } from './moveEnd.ts';
import { turnCorner } from './carry.ts';
import { edgeAfter, edgeBefore } from './corner.ts';
import { roundKinks } from './smooth.ts';
import { cornerAngle } from './walk.ts';

/** How much of the edges at both ends of the side turns with it, mm. */
const CORNER_REACH = 60;

/**
 * `widenSide`, and what belongs to it: bends at the knots are rounded (through the knots, so that widths there are
 * exact) within `round`, and the waist, hem or armhole it meets is turned so that its corners are what they were.
 */
export function widenSquarely(
  piece: Piece,
  edge: string,
  knots: readonly SideKnot[],
  options: { readonly out: 1 | -1; readonly hold: boolean; readonly round?: number },
): Piece {
  const goal = pathLength(requireEdge(piece, edge).path);
  const drawn = (longer: number): Piece => {
    const wide = widenSide(piece, edge, knots, options.out, options.hold ? goal + longer : null);
    const path = requireEdge(wide, edge).path;
    const rounded = options.round === undefined ? path : roundKinks(path, options.round);
    return { ...wide, edges: wide.edges.map((e) => (e.id === edge ? { ...e, path: rounded } : e)) };
  };
  // Rounding shortens a little: as much is put in below, so that the seam held is the seam drawn.
  let smooth = drawn(0);
  let longer = 0;
  for (let i = 0; options.hold && i < 6; i++) {
    const short = goal - pathLength(requireEdge(smooth, edge).path);
    if (Math.abs(short) < TOL.same * 10) break;
    longer += short;
    smooth = drawn(longer);
  }
  return (['before', 'after'] as const).reduce<Piece>((out, where) => {
    const beside = where === 'before' ? edgeBefore(piece, edge) : edgeAfter(piece, edge);
    if (requireEdge(piece, beside).role === 'dart') return out;
    const at = where === 'before' ? 'end' : 'start';
    return turnCorner(out, beside, at, cornerAngle(piece, beside, at), CORNER_REACH);
  }, smooth);
}

/** How far a side seam goes out (`by` above nothing) or in, at a height along it. */
export interface SideKnot {
  /** Arc length from the upper end of the edge, mm. */
  readonly at: number;
  readonly by: number;
}

/**
 * Moves a side seam sideways: by each knot's amount at its place, evenly between, nothing beyond the outermost.
 * Every stretch between two knots is an affine image of what it was, so curves stay curves. With `hold` the
 * stretch below the last change is shortened or lengthened until the seam is that long. The edges it
 * meets are drawn to its new ends; notches stay at their height. `out` is +1 where the side lies to the right.
 */
export function widenSide(
  piece: Piece,
  edge: string,
  knots: readonly SideKnot[],
  out: 1 | -1,
  hold: number | null,
): Piece {
  const path = requireEdge(piece, edge).path;
  const down = endOf(path).y >= path.start.y;
  const side = down ? path : reversePath(path);
  const size = pathLength(side);
  const places = [...knots].sort((a, b) => a.at - b.at);
  const first = places[0];
  const last = places.at(-1);
  if (!first || !last) return piece;
  const all: readonly SideKnot[] = [
    ...(first.at > 1e-6 ? [{ at: 0, by: first.by }] : []),
    ...places,
    ...(last.at < size - 1e-6 ? [{ at: size, by: last.by }] : []),
  ];
  const parts = all.slice(1).map((knot, i) => {
    const from = all[i] as SideKnot;
    const part = splitAtLength(splitAtLength(side, from.at)[1], Math.min(knot.at, size) - from.at)[0];
    return sheared(part, from.by * out, knot.by * out);
  });
  let drawn = joinPaths(parts);
  if (hold !== null) drawn = stretchedEnd(drawn, parts.at(-1) as Path, parts.slice(0, -1), hold);
  const now = down ? drawn : reversePath(drawn);
  const moved = { ...piece, edges: piece.edges.map((e) => (e.id === edge ? { ...e, path: now } : e)) };
  const before = requireEdge(moved, edgeBefore(piece, edge));
  const after = requireEdge(moved, edgeAfter(piece, edge));
  return {
    ...moved,
    edges: moved.edges.map((e) =>
      e.id === before.id && e.role !== 'dart'
        ? { ...e, path: moveEnd(e.path, now.start, Infinity) }
        : e.id === after.id && e.role !== 'dart'
          ? { ...e, path: moveStart(e.path, endOf(now), Infinity) }
          : e,
    ),
    marks: moved.marks.map((m): Mark =>
      m.kind === 'notch' && m.edge === edge ? { ...m, at: notchOn(now, pointAt(path, m.at), m.at) } : m,
    ),
  };
}

function sheared(path: Path, from: number, to: number): Path {
  const y0 = path.start.y;
  const height = endOf(path).y - y0;
  return mapPath(path, (p) => ({ x: p.x + from + ((to - from) * (p.y - y0)) / height, y: p.y }));
}

/** The lowest stretch made longer or shorter along the grain until the whole is as long as it was. */
function stretchedEnd(whole: Path, last: Path, before: readonly Path[], goal: number): Path {
  const rest = before.reduce((n, p) => n + pathLength(p), 0);
  const y0 = last.start.y;
  const by = (k: number): Path => mapPath(last, (p) => ({ x: p.x, y: y0 + (p.y - y0) * k }));
  if (Math.abs(pathLength(whole) - goal) < 1e-9) return whole;
  const off = (k: number): number => rest + pathLength(by(k)) - goal;
  const [low, high] = [0.5, 1.6];
  // Beyond these a seam would be drawn with another character: it stays as it comes.
  if (off(low) > 0 === off(high) > 0) return whole;
  return joinPaths([...before, by(solveBetween(off, low, high, TOL.same / 100))]);
}

const FAR = 10_000;
/** A notch goes straight across to the new line; where that ends short of its height, to the nearest place on it. */
function notchOn(path: Path, was: Point, at: number): number {
  const across = polyline([
    { x: was.x - FAR, y: was.y },
    { x: was.x + FAR, y: was.y },
  ]);
  const met = [...intersectPaths(across, path)].sort(
    (a, b) => Math.abs(a.point.x - was.x) - Math.abs(b.point.x - was.x),
  )[0];
  const near = met ? lengthTo(path, met.second) : nearestLength(path, was);
  return Number.isFinite(near) ? near : at;
}
