import {
  distance,
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
  splitAtLength,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { solveBetween } from '../../numeric/index.ts';
import { replaceEdge, requireEdge, type Mark, type Piece } from '../../pattern/index.ts';
import { last, TOL, nth } from '../../units/index.ts';
import { capDart } from './dart.ts';
import { drawToTip } from './drawToTip.ts';
import { moveEnd, moveStart } from './moveEnd.ts';
import { turnCorner } from './carry.ts';
import { edgeAfter, edgeBefore } from './corner.ts';
import { roundKinks } from './smooth.ts';
import { cornerAngle } from './walk.ts';

/** How much of the edges at both ends of the side turns with it, mm. */
const CORNER_REACH = 60;

/**
 * Moves a side seam sideways as one line, however many edges it is drawn in and whatever darts open in it: along the
 * seam with its darts shut, by each knot's amount at its place. Legs and mouths of darts are carried along, legs equal
 * and caps drawn again. Bends at the knots are rounded within `round` (through the knots, so that widths there are
 * exact), and the waist, hem or armhole it meets is turned so that its corners are what they were. With `hold` the
 * sewn length of the whole side stays what it was, or becomes what is given. `edges` run from the top down.
 */
export function widenSquarely(
  piece: Piece,
  edges: readonly string[],
  knots: readonly SideKnot[],
  options: { readonly out: 1 | -1; readonly hold: boolean | number; readonly round?: number },
): Piece {
  const { hold } = options;
  const goal =
    typeof hold === 'number' ? hold : edges.reduce((sum, id) => sum + pathLength(requireEdge(piece, id).path), 0);
  const sewn = (p: Piece): number => edges.reduce((sum, id) => sum + pathLength(requireEdge(p, id).path), 0);
  const drawn = (longer: number): Piece =>
    edges.reduce<Piece>(
      (out, id) => {
        const path = requireEdge(out, id).path;
        const rounded = options.round === undefined ? path : roundKinks(path, options.round);
        return { ...out, edges: out.edges.map((e) => (e.id === id ? { ...e, path: rounded } : e)) };
      },
      widenSide(piece, edges, knots, options.out, hold !== false ? goal + longer : null),
    );
  // Rounding shortens a little: as much is put in below, so that the seam held is the seam drawn.
  let smooth = drawn(0);
  let longer = 0;
  for (let i = 0; hold !== false && i < 6; i++) {
    const short = goal - sewn(smooth);
    if (Math.abs(short) < TOL.same * 10) break;
    longer += short;
    smooth = drawn(longer);
  }
  // Rounding has moved places along the seam: notches go straight across once it is drawn.
  const marks = smooth.marks.map((m): Mark => {
    const was = m.kind === 'notch' && edges.includes(m.edge) ? piece.marks.find((o) => o.id === m.id) : undefined;
    if (m.kind !== 'notch' || was?.kind !== 'notch') return m;
    return {
      ...m,
      at: notchOn(requireEdge(smooth, m.edge).path, pointAt(requireEdge(piece, was.edge).path, was.at), m.at),
    };
  });
  smooth = { ...smooth, marks };
  const ends = [edges[0] ?? '', edges.at(-1) ?? ''];
  return ends.reduce<Piece>(
    (out, id) =>
      (['before', 'after'] as const).reduce<Piece>((now, where) => {
        const beside = where === 'before' ? edgeBefore(piece, id) : edgeAfter(piece, id);
        if (requireEdge(piece, beside).role === 'dart' || edges.includes(beside)) return now;
        const at = where === 'before' ? 'end' : 'start';
        return turnCorner(now, beside, at, cornerAngle(piece, beside, at), CORNER_REACH);
      }, out),
    smooth,
  );
}

/** How far a side seam goes out (`by` above nothing) or in, at a height along it. */
export interface SideKnot {
  /** Arc length from the upper end of the edge, mm. */
  readonly at: number;
  readonly by: number;
}

/**
 * Moves a side seam sideways: by each knot's amount at its place along the sewn seam, evenly between, and by the
 * outermost knot's amount beyond it. Every stretch between two knots is an affine image of what it was, so curves stay
 * curves. With `hold` the stretch below the last change is shortened or lengthened until the seam is that long. The
 * edges it meets are drawn to its new ends; notches of the side stay at their height, those of its neighbours at their
 * distance from the end that stays. `out` is +1 where the side lies to the right; `edges` run from the top down.
 */
export function widenSide(
  piece: Piece,
  edges: readonly string[],
  knots: readonly SideKnot[],
  out: 1 | -1,
  hold: number | null,
): Piece {
  if (knots.length === 0) return piece;
  const down = runsDown(piece, edges);
  const now = new Map<string, Path>();
  let along = 0;
  let drawnLength = 0;
  edges.forEach((id, k) => {
    const path = requireEdge(piece, id).path;
    const side = down ? path : reversePath(path);
    const size = pathLength(side);
    const rest = k === edges.length - 1 && hold !== null ? hold - drawnLength : null;
    const drawn = drawnSide(side, knotsBetween(knots, along, size), out, rest);
    now.set(id, down ? drawn : reversePath(drawn));
    along += size;
    drawnLength += pathLength(drawn);
  });
  const moved: Piece = {
    ...piece,
    edges: piece.edges.map((e) => ({ ...e, path: now.get(e.id) ?? e.path })),
    marks: piece.marks.map((m): Mark => {
      const path = m.kind === 'notch' ? now.get(m.edge) : undefined;
      return m.kind === 'notch' && path
        ? { ...m, at: notchOn(path, pointAt(requireEdge(piece, m.edge).path, m.at), m.at) }
        : m;
    }),
  };
  return withNeighbours(withDarts(moved, edges), edges);
}

/** True where the outline runs down the side, its edges given from the top down. */
function runsDown(piece: Piece, edges: readonly string[]): boolean {
  const top = requireEdge(piece, edges[0] ?? '').path;
  if (edges.length === 1) return endOf(top).y >= top.start.y;
  const at = (id: string | undefined): number => piece.edges.findIndex((e) => e.id === id);
  const n = piece.edges.length;
  const apart = (at(edges[1]) - at(edges[0]) + n) % n;
  return apart <= 2;
}

/** The knots of one stretch of the seam, its two ends among them. */
function knotsBetween(knots: readonly SideKnot[], from: number, size: number): readonly SideKnot[] {
  const places = [...knots].sort((a, b) => a.at - b.at);
  const byAt = (at: number): number => {
    const i = places.findIndex((k) => k.at >= at);
    const after = nth(places, i < 0 ? places.length - 1 : i);
    const before = nth(places, Math.max(0, (i < 0 ? places.length : i) - 1));
    if (i <= 0 || after.at === before.at) return after.by;
    return before.by + ((after.by - before.by) * (at - before.at)) / (after.at - before.at);
  };
  const inner = places.filter((k) => k.at > from + TOL.same && k.at < from + size - TOL.same);
  return [
    { at: 0, by: byAt(from) },
    ...inner.map((k) => ({ at: k.at - from, by: k.by })),
    { at: size, by: byAt(from + size) },
  ];
}

/** One edge of the side, running down, sheared stretch by stretch. */
function drawnSide(side: Path, knots: readonly SideKnot[], out: 1 | -1, hold: number | null): Path {
  // Cut off one after the other: each part begins where the one before ends, to the last digit.
  let rest = side;
  const parts = knots.slice(1).map((knot, i) => {
    const from = nth(knots, i);
    const [part, below] = i + 2 < knots.length ? splitAtLength(rest, knot.at - from.at) : [rest, rest];
    rest = below;
    return sheared(part, from.by * out, knot.by * out);
  });
  const drawn = joinPaths(parts);
  return hold === null ? drawn : stretchedEnd(drawn, last(parts), parts.slice(0, -1), hold);
}

/** Darts that open in the side: their mouths go with the seam, their legs are made equal, their caps drawn again. */
function withDarts(piece: Piece, edges: readonly string[]): Piece {
  return piece.darts.reduce<Piece>((out, dart) => {
    const [before, after] = [edgeBefore(piece, dart.mouth), edgeAfter(piece, dart.mouth)];
    const touches = [before, after].some((id) => edges.includes(id));
    if (!touches) return out;
    const from = endOf(requireEdge(out, before).path);
    const to = requireEdge(out, after).path.start;
    const mouth = requireEdge(out, dart.mouth).path;
    if (distance(from, mouth.start) < TOL.same && distance(to, endOf(mouth)) < TOL.same) return out;
    const carried = replaceEdge(out, dart.mouth, polyline([from, to]));
    return capDart(drawToTip(carried, dart, dart.tip), dart);
  }, piece);
}

/** The edges at the two ends of the side, drawn to where it now ends. */
function withNeighbours(piece: Piece, edges: readonly string[]): Piece {
  return [...new Set([edges[0] ?? '', edges.at(-1) ?? ''])].reduce<Piece>((out, id) => {
    const path = requireEdge(out, id).path;
    const before = requireEdge(out, edgeBefore(out, id));
    const after = requireEdge(out, edgeAfter(out, id));
    const outer = (e: { readonly id: string; readonly role: string }): boolean =>
      e.role !== 'dart' && !edges.includes(e.id);
    const start = outer(after) ? moveStart(after.path, endOf(path), Infinity) : after.path;
    const grown = outer(after) ? pathLength(start) - pathLength(after.path) : 0;
    return {
      ...out,
      edges: out.edges.map((e) =>
        e.id === before.id && outer(before)
          ? { ...e, path: moveEnd(e.path, path.start, Infinity) }
          : e.id === after.id
            ? { ...e, path: start }
            : e,
      ),
      marks: out.marks.map((m): Mark =>
        m.kind === 'notch' && m.edge === after.id && grown !== 0 ? { ...m, at: Math.max(0, m.at + grown) } : m,
      ),
    };
  }, piece);
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
  if (Math.abs(pathLength(whole) - goal) < TOL.zero) return whole;
  const off = (k: number): number => rest + pathLength(by(k)) - goal;
  const [low, high] = [0.5, 1.6];
  // Beyond these factors the seam would lose its shape, so its length is left as it comes.
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
