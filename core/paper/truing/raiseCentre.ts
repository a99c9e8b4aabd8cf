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

/** The waist as it lies, and how far each place of it rises. */
interface Waist {
  readonly edges: readonly Edge[];
  readonly centres: readonly Edge[];
  /** The outline runs from the centre to the side. */
  readonly starts: boolean;
  readonly centre: Point;
  readonly side: Point;
  /** 1 where the side lies to the right of the centre, −1 where to its left. */
  readonly dir: 1 | -1;
  /** How much of the way from the centre to the side lies before `x`: 0 to 1. */
  readonly share: (x: number) => number;
  /** How far the waist rises at `x`, mm. */
  readonly rise: (x: number) => number;
  /** By how much it turns there, radians. */
  readonly turn: (x: number) => number;
}

function waistOf(piece: Piece, by: number, panel: WaistPanel | undefined): Waist | null {
  const edges = edgesWithRole(piece, 'waist');
  const centres = (['centreBack', 'centreFront', 'crotch'] as const).flatMap((role) => edgesWithRole(piece, role));
  const first = edges[0];
  const last = edges.at(-1);
  if (!first || !last || (centres.length === 0 && !panel)) return null;
  const starts = panel
    ? edgeBefore(piece, first.id) === panel.inner
    : centres.some((c) => near(endOf(c.path), first.path.start));
  const centre = starts ? first.path.start : endOf(last.path);
  const side = starts ? endOf(last.path) : first.path.start;
  const dir = side.x > centre.x ? 1 : -1;
  const width = panel?.whole ?? Math.abs(side.x - centre.x);
  const share = (x: number): number => Math.min(1, ((panel?.before ?? 0) + Math.abs(x - centre.x)) / width);
  return {
    edges,
    centres,
    starts,
    centre,
    side,
    dir,
    share,
    rise: (x) => by * (1 - share(x) ** 2 * (3 - 2 * share(x))),
    // A line that runs to the right turns clockwise (down) where the rise falls off, and the other way round.
    turn: (x) => Math.atan((6 * by * share(x) * (1 - share(x))) / width) * dir,
  };
}

/**
 * Draws a waist again from `by` above (below nothing: below) where it meets the centre to nothing at the side,
 * square to the centre. Darts it crosses keep their width and their tip: both ends of the mouth rise alike. The
 * rise falls off smoothly, level at both ends, so that the corner at the side stays as it was. On a panel it is the
 * part of that rise which comes to it; the seams between panels become shorter along themselves, so that they still
 * match.
 */
export function raiseCentre(piece: Piece, by: number, panel?: WaistPanel): Piece {
  const waist = waistOf(piece, by, panel);
  if (!waist) return piece;
  const { piece: between, ends } = risenSeams(piece, waist, panel);
  const mouths = risenMouths(between, piece, waist);
  const drawn = redrawn(mouths, piece, waist, ends);
  const { centre, centres } = waist;
  const risen = panel?.before ? drawn : moveCentreEnd(drawn, centres, centre, { x: centre.x, y: centre.y - by });
  const darts = piece.darts.filter((d) => isBetween(piece, d.mouth, waist.edges));
  // Drawn on a slant the seam is a little longer or shorter; the darts take that up, so that its partner still fits.
  const sewn = (p: Piece): number => edgesWithRole(p, 'waist').reduce((n, e) => n + pathLength(e.path), 0);
  const over = sewn(piece) - sewn(risen);
  return darts.reduce(
    capDart,
    darts.reduce((p, d) => narrowDart(p, d, over / darts.length), risen),
  );
}

/** The seams between panels, as far shortened as the waist rises at them, and where it now comes to each. */
function risenSeams(
  piece: Piece,
  { centre, centres, side, rise }: Waist,
  panel: WaistPanel | undefined,
): { readonly piece: Piece; readonly ends: ReadonlyMap<Point, Point> } {
  const ends = new Map<Point, Point>();
  if (!panel) return { piece, ends };
  let out = piece;
  for (const [id, at] of [
    [panel.inner, centre],
    [panel.outer, side],
  ] as const) {
    const risen = rise(at.x);
    if (Math.abs(risen) < TOL.same || centres.some((c) => c.id === id)) continue;
    const was = requireEdge(piece, id).path;
    const path = shortened(was, at, risen);
    const drawn = replaceEdge(out, id, path);
    out = near(at, was.start) ? heldFromFarEnd(drawn, id, -risen) : keptOn(drawn, id, pathLength(was));
    ends.set(at, near(at, was.start) ? path.start : endOf(path));
  }
  return { piece: out, ends };
}

/** Both ends of a dart's mouth rise as its middle does, so that it keeps its width. */
const risenMouths = (now: Piece, was: Piece, waist: Waist): Piece =>
  was.darts
    .filter((dart) => isBetween(was, dart.mouth, waist.edges))
    .reduce((out, dart) => {
      const shape = dartShape(was, dart);
      const up = (p: Point): Point => ({ x: p.x, y: p.y - waist.rise((shape.start.x + shape.end.x) / 2) });
      return replaceEdge(out, dart.mouth, polyline([up(shape.start), up(shape.end)]));
    }, now);

/** Each stretch of the waist as one curve between its risen ends, turned with the rise. */
function redrawn(now: Piece, was: Piece, waist: Waist, ends: ReadonlyMap<Point, Point>): Piece {
  const direction = (tangent: Point, at: Point): Point => {
    if (near(at, waist.side) && waist.share(at.x) >= 1) return tangent;
    const atEnd = near(at, waist.centre) || near(at, waist.side);
    return rotate(tangent, waist.turn(at.x) + (atEnd ? 0 : widened(now, was, waist, at)));
  };
  return waist.edges.reduce((out, edge) => {
    const { path } = edge;
    const a = ends.get(path.start) ?? endAt(out, was, edge, 'start', waist.rise);
    const b = ends.get(endOf(path)) ?? endAt(out, was, edge, 'end', waist.rise);
    const u = direction(startTangent(path), path.start);
    const v = direction(endTangent(path), endOf(path));
    return replaceEdge(out, edge.id, pathFromSpans([blend(a, u, b, v)]));
  }, now);
}

/** Beyond a dart that has become shorter the line turns on by as much as the dart has opened, radians. */
function widened(now: Piece, was: Piece, waist: Waist, at: Point): number {
  const dart = was.darts.find((d) => {
    const mouth = requireEdge(was, d.mouth).path;
    return isBetween(was, d.mouth, waist.edges) && near(waist.starts ? endOf(mouth) : mouth.start, at);
  });
  if (!dart) return 0;
  const opening = (piece: Piece): number => measureDart(dartShape(piece, dart)).opening;
  return (opening(now) - opening(was)) * waist.dir;
}

const near = (a: Point, b: Point): boolean => distance(a, b) < TOL.join;

/**
 * Notches of an edge that has become longer or shorter at its start: they keep their distance from the other end, but
 * for one in the start itself, which goes with it.
 */
const heldFromFarEnd = (piece: Piece, edge: string, grown: number): Piece => ({
  ...piece,
  marks: piece.marks.map((m) =>
    m.kind === 'notch' && m.edge === edge && m.at > TOL.join ? { ...m, at: Math.max(0, m.at + grown) } : m,
  ),
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

const isBetween = (piece: Piece, mouth: string, waist: readonly Edge[]): boolean => {
  const n = piece.edges.length;
  const i = piece.edges.findIndex((e) => e.id === mouth);
  const beside = [piece.edges[(i + n - 1) % n]?.id, piece.edges[(i + 1) % n]?.id];
  return beside.every((id) => waist.some((w) => w.id === id));
};

/** A notch in the end of an edge goes with it, and one beyond the end of an edge that has become shorter goes there. */
function keptOn(piece: Piece, edge: string, was: number): Piece {
  const size = pathLength(requireEdge(piece, edge).path);
  return {
    ...piece,
    marks: piece.marks.map((m) =>
      m.kind === 'notch' && m.edge === edge && (m.at > size || m.at > was - TOL.join) ? { ...m, at: size } : m,
    ),
  };
}

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
      return keptOn(replaceEdge(out, c.id, { start: path.start, segments }), c.id, pathLength(path));
    }
    return out;
  }, piece);
}
