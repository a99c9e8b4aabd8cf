import {
  add,
  blend,
  distance,
  endOf,
  endTangent,
  pathFromSpans,
  pathLength,
  polyline,
  rotate,
  scale,
  startTangent,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { dartShape, edgesWithRole, replaceEdge, requireEdge, type Edge, type Piece } from '../pattern/index.ts';
import { TOL } from '../units/index.ts';
import { capDart, measureDart, narrowDart } from './dart.ts';

/**
 * Draws a waist again from `by` above (below nothing: below) where it meets the centre to nothing at the side,
 * square to the centre. Darts it crosses keep their width and their tip: both ends of the mouth rise alike. The
 * rise falls off smoothly, level at both ends, so that the corner at the side stays as it was.
 */
export function raiseCentre(piece: Piece, by: number): Piece {
  const waist = edgesWithRole(piece, 'waist');
  const centres = [...edgesWithRole(piece, 'centreBack'), ...edgesWithRole(piece, 'centreFront')];
  const first = waist[0];
  const last = waist.at(-1);
  if (!first || !last || centres.length === 0) return piece;
  const starts = centres.some((c) => distance(endOf(c.path), first.path.start) < TOL.join);
  const centre = starts ? first.path.start : endOf(last.path);
  const side = starts ? endOf(last.path) : first.path.start;
  const width = Math.abs(side.x - centre.x);
  const share = (x: number): number => Math.abs(x - centre.x) / width;
  const rise = (x: number): number => {
    const u = Math.min(1, share(x));
    return by * (1 - u * u * (3 - 2 * u));
  };
  // A line that runs to the right turns clockwise (down) where the rise falls off, and the other way round.
  const turn = (x: number): number =>
    Math.atan((6 * by * share(x) * (1 - share(x))) / width) * (side.x > centre.x ? 1 : -1);
  let out = piece;
  for (const dart of piece.darts) {
    if (!isBetween(piece, dart.mouth, waist)) continue;
    const shape = dartShape(piece, dart);
    const up = (p: Point): Point => ({ x: p.x, y: p.y - rise((shape.start.x + shape.end.x) / 2) });
    out = replaceEdge(out, dart.mouth, polyline([up(shape.start), up(shape.end)]));
  }
  for (const edge of waist) {
    const path = edge.path;
    const a = endAt(out, piece, edge, 'start', rise);
    const b = endAt(out, piece, edge, 'end', rise);
    const u = direction(startTangent(path), path.start, 1);
    const v = direction(endTangent(path), endOf(path), 1);
    out = replaceEdge(out, edge.id, curved(a, u, b, v));
    function direction(tangent: Point, at: Point, sign: number): Point {
      if (distance(at, side) < TOL.join) return tangent;
      const opening = distance(at, centre) < TOL.join ? 0 : widened(at) * sign;
      return rotate(tangent, turn(at.x) + opening);
    }
    // Beyond a dart that has become shorter the line turns on by as much as the dart has opened.
    function widened(at: Point): number {
      const dart = piece.darts.find(
        (d) => isBetween(piece, d.mouth, waist) && distance(farEnd(d.mouth), at) < TOL.join,
      );
      if (!dart) return 0;
      const was = measureDart(dartShape(piece, dart)).opening;
      return (measureDart(dartShape(out, dart)).opening - was) * (side.x > centre.x ? 1 : -1);
    }
    function farEnd(mouth: string): Point {
      const m = requireEdge(piece, mouth).path;
      return starts ? endOf(m) : m.start;
    }
  }
  out = moveCentreEnd(out, centres, centre, { x: centre.x, y: centre.y - by });
  const darts = piece.darts.filter((d) => isBetween(piece, d.mouth, waist));
  // Drawn on a slant the seam is a little longer or shorter; the darts take that up, so that its partner still fits.
  const sewn = (p: Piece): number => edgesWithRole(p, 'waist').reduce((n, e) => n + pathLength(e.path), 0);
  const over = sewn(piece) - sewn(out);
  return darts.reduce(
    capDart,
    darts.reduce((p, d) => narrowDart(p, d, over / darts.length), out),
  );
}

function endAt(now: Piece, was: Piece, edge: Edge, at: 'start' | 'end', rise: (x: number) => number): Point {
  const n = was.edges.length;
  const i = was.edges.findIndex((e) => e.id === edge.id);
  const beside = was.edges[(i + (at === 'start' ? n - 1 : 1)) % n];
  if (beside?.role === 'dart') {
    const mouth = requireEdge(now, beside.id).path;
    return at === 'start' ? endOf(mouth) : mouth.start;
  }
  const p = at === 'start' ? edge.path.start : endOf(edge.path);
  return { x: p.x, y: p.y - rise(p.x) };
}

const curved = (a: Point, u: Point, b: Point, v: Point): Path => pathFromSpans([blend(a, u, b, v)]);

const isBetween = (piece: Piece, mouth: string, waist: readonly Edge[]): boolean => {
  const n = piece.edges.length;
  const i = piece.edges.findIndex((e) => e.id === mouth);
  const beside = [piece.edges[(i + n - 1) % n]?.id, piece.edges[(i + 1) % n]?.id];
  return beside.every((id) => waist.some((w) => w.id === id));
};

function moveCentreEnd(piece: Piece, centres: readonly Edge[], from: Point, to: Point): Piece {
  const by = add(to, scale(from, -1));
  return centres.reduce((out, c) => {
    const path = requireEdge(out, c.id).path;
    if (distance(path.start, from) < TOL.join)
      return replaceEdge(out, c.id, { start: to, segments: path.segments.map((s) => s) });
    if (distance(endOf(path), from) < TOL.join) {
      const segments = path.segments.map((s, i) =>
        i < path.segments.length - 1 ? s : s.kind === 'line' ? { ...s, to } : { ...s, c2: add(s.c2, by), to },
      );
      return replaceEdge(out, c.id, { start: path.start, segments });
    }
    return out;
  }, piece);
}
