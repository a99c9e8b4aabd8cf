import {
  add,
  blend,
  distance,
  endOf,
  endTangent,
  pathFromSpans,
  pathLength,
  polyline,
  reversePath,
  rotate,
  scale,
  splitAtLength,
  startTangent,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { dartShape, edgesWithRole, replaceEdge, requireEdge, type Edge, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';
import { edgeBefore } from './corner.ts';
import { capDart, measureDart, narrowDart } from './dart.ts';

/** The part of a waist that lies on one of several panels. */
export interface WaistPanel {
  /** The edge at the end nearer the centre, and the one at the far end: the seams to the panels beside, or the side. */
  readonly inner: string;
  readonly outer: string;
  /** How much of the waist lies on the panels nearer the centre, and all of it, mm across. */
  readonly before: number;
  readonly whole: number;
}

/**
 * Draws a waist again from `by` above (below nothing: below) where it meets the centre to nothing at the side,
 * square to the centre. Darts it crosses keep their width and their tip: both ends of the mouth rise alike. The
 * rise falls off smoothly, level at both ends, so that the corner at the side stays as it was. On a panel it is the
 * part of that rise which comes to it; the seams between panels become shorter along themselves, so that they still
 * match.
 */
export function raiseCentre(piece: Piece, by: number, panel?: WaistPanel): Piece {
  const waist = edgesWithRole(piece, 'waist');
  const centres = [...edgesWithRole(piece, 'centreBack'), ...edgesWithRole(piece, 'centreFront')];
  const first = waist[0];
  const last = waist.at(-1);
  if (!first || !last || (centres.length === 0 && !panel)) return piece;
  const starts = panel
    ? edgeBefore(piece, first.id) === panel.inner
    : centres.some((c) => distance(endOf(c.path), first.path.start) < TOL.join);
  const centre = starts ? first.path.start : endOf(last.path);
  const side = starts ? endOf(last.path) : first.path.start;
  const before = panel?.before ?? 0;
  const width = panel?.whole ?? Math.abs(side.x - centre.x);
  const share = (x: number): number => Math.min(1, (before + Math.abs(x - centre.x)) / width);
  const rise = (x: number): number => {
    const u = share(x);
    return by * (1 - u * u * (3 - 2 * u));
  };
  // A line that runs to the right turns clockwise (down) where the rise falls off, and the other way round.
  const turn = (x: number): number =>
    Math.atan((6 * by * share(x) * (1 - share(x))) / width) * (side.x > centre.x ? 1 : -1);
  let out = piece;
  const ends = seamEnds();
  for (const dart of piece.darts) {
    if (!isBetween(piece, dart.mouth, waist)) continue;
    const shape = dartShape(piece, dart);
    const up = (p: Point): Point => ({ x: p.x, y: p.y - rise((shape.start.x + shape.end.x) / 2) });
    out = replaceEdge(out, dart.mouth, polyline([up(shape.start), up(shape.end)]));
  }
  for (const edge of waist) {
    const path = edge.path;
    const a = ends.get(edge.path.start) ?? endAt(out, piece, edge, 'start', rise);
    const b = ends.get(endOf(edge.path)) ?? endAt(out, piece, edge, 'end', rise);
    const u = direction(startTangent(path), path.start, 1);
    const v = direction(endTangent(path), endOf(path), 1);
    out = replaceEdge(out, edge.id, curved(a, u, b, v));
    function direction(tangent: Point, at: Point, sign: number): Point {
      if (distance(at, side) < TOL.join && share(at.x) >= 1) return tangent;
      const opening = distance(at, centre) < TOL.join || distance(at, side) < TOL.join ? 0 : widened(at) * sign;
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
  if (before === 0) out = moveCentreEnd(out, centres, centre, { x: centre.x, y: centre.y - by });
  const darts = piece.darts.filter((d) => isBetween(piece, d.mouth, waist));
  // Drawn on a slant the seam is a little longer or shorter; the darts take that up, so that its partner still fits.
  const sewn = (p: Piece): number => edgesWithRole(p, 'waist').reduce((n, e) => n + pathLength(e.path), 0);
  const over = sewn(piece) - sewn(out);
  return darts.reduce(
    capDart,
    darts.reduce((p, d) => narrowDart(p, d, over / darts.length), out),
  );

  /** Where the waist now comes to the seams between panels: so far up them as it rises there. */
  function seamEnds(): ReadonlyMap<Point, Point> {
    const found = new Map<Point, Point>();
    for (const [id, at] of panel
      ? ([
          [panel.inner, centre],
          [panel.outer, side],
        ] as const)
      : []) {
      const risen = rise(at.x);
      if (Math.abs(risen) < TOL.same || centres.some((c) => c.id === id)) continue;
      const was = requireEdge(piece, id).path;
      const path = shortened(was, at, risen);
      out = heldFromFarEnd(replaceEdge(out, id, path), id, near(at, was.start) ? -risen : 0);
      found.set(at, near(at, was.start) ? path.start : endOf(path));
    }
    return found;
  }
}

const near = (a: Point, b: Point): boolean => distance(a, b) < TOL.join;

/** Notches of an edge that has become longer or shorter at its start: they keep their distance from the other end. */
const heldFromFarEnd = (piece: Piece, edge: string, grown: number): Piece => ({
  ...piece,
  marks: piece.marks.map((m) => (m.kind === 'notch' && m.edge === edge ? { ...m, at: Math.max(0, m.at + grown) } : m)),
});

/** A path made shorter by so much at the end that lies at `at`; longer, straight on, where it is below nothing. */
function shortened(path: Path, at: Point, by: number): Path {
  if (near(at, path.start)) return reversePath(shortened(reversePath(path), endOf(reversePath(path)), by));
  if (by >= 0) return splitAtLength(path, pathLength(path) - by)[0];
  const to = add(endOf(path), scale(endTangent(path), -by));
  return { start: path.start, segments: [...path.segments, { kind: 'line', to }] };
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
    if (distance(path.start, from) < TOL.join) {
      const moved: Path = { start: to, segments: path.segments };
      return heldFromFarEnd(replaceEdge(out, c.id, moved), c.id, pathLength(moved) - pathLength(path));
    }
    if (distance(endOf(path), from) < TOL.join) {
      const segments = path.segments.map((s, i) =>
        i < path.segments.length - 1 ? s : s.kind === 'line' ? { ...s, to } : { ...s, c2: add(s.c2, by), to },
      );
      return replaceEdge(out, c.id, { start: path.start, segments });
    }
    return out;
  }, piece);
}
