import {
  add,
  angleOf,
  cross,
  distance,
  dot,
  endOf,
  intersectPaths,
  mapPath,
  midpoint,
  mirror,
  norm,
  pathLength,
  polyline,
  reversePath,
  scale,
  splitAtLength,
  splitPath,
  sub,
  unit,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import {
  dartShape,
  replaceDart,
  replaceEdge,
  sideDirection,
  type Dart,
  type DartShape,
  type Piece,
} from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';

/** What a dart takes up, for reports. Lengths mm, opening in radians. */
export interface DartMeasure {
  readonly intake: number;
  readonly startLeg: number;
  readonly endLeg: number;
  readonly opening: number;
}

export function measureDart(shape: DartShape): DartMeasure {
  const u = sub(shape.start, shape.tip);
  const v = sub(shape.end, shape.tip);
  return {
    intake: distance(shape.start, shape.end),
    startLeg: norm(u),
    endLeg: norm(v),
    opening: Math.abs(Math.atan2(cross(u, v), dot(u, v))),
  };
}

/** The point on the perpendicular bisector of the leg ends nearest to `tip`: legs of equal length. */
export function balancedTip(start: Point, end: Point, tip: Point): Point {
  const across = unit(sub(end, start));
  return sub(tip, scale(across, dot(sub(tip, midpoint(start, end)), across)));
}

/** Which way a dart runs from the bust point: square to the grain for side darts, along it for waist darts, else along its centre. */
function runOf(piece: Piece, dart: Dart, shape: DartShape, from: Point): Point {
  if (dart.kind === 'side') return { x: sideDirection(piece), y: 0 };
  if (dart.kind === 'waist') return { x: 0, y: 1 };
  return unit(sub(midpoint(shape.start, shape.end), from));
}

export interface Retipped {
  readonly piece: Piece;
  readonly dart: Dart;
  /** How far the tip was moved sideways to make the legs equal, mm. */
  readonly moved: number;
}

/** Sets a dart's tip back from the bust point by `setback`, then onto the perpendicular bisector of its leg ends. */
export function retipDart(piece: Piece, dart: Dart, bustPoint: Point, setback: number): Retipped {
  const shape = dartShape(piece, dart);
  const wanted = add(bustPoint, scale(runOf(piece, dart, shape, bustPoint), setback));
  const tip = balancedTip(shape.start, shape.end, wanted);
  const next = { ...dart, tip };
  return { piece: replaceDart(piece, next), dart: next, moved: distance(wanted, tip) };
}

/**
 * The seam line across a dart's mouth so that, folded and pressed, it lies on the seam: the seam beyond the
 * leg it is folded toward is mirrored in that leg up to the dart's centre line, and that again mirrored in
 * the centre line. `toward` is the leg end it is folded to, `seam` runs away from that leg end.
 */
export function dartCap(tip: Point, toward: Point, other: Point, seam: Path): Path {
  const mirrored = mapPath(seam, (p) => mirror(p, tip, toward));
  const centre = sub(midpoint(toward, other), tip);
  const ray = polyline([add(tip, scale(centre, 0.2)), add(tip, scale(centre, 3))]);
  const hit = intersectPaths(mirrored, ray)[0];
  if (!hit) return polyline([toward, other]);
  const half = splitPath(mirrored, hit.first)[0];
  const back = reversePath(mapPath(half, (p) => mirror(p, tip, add(tip, centre))));
  return {
    start: half.start,
    segments: [...half.segments, ...back.segments],
  };
}

/** Redraws the mouth of a dart as its cap. A dart whose neighbouring seam is too short keeps a straight mouth. */
export function capDart(piece: Piece, dart: Dart): Piece {
  const i = piece.edges.findIndex((e) => e.id === dart.mouth);
  const n = piece.edges.length;
  const before = piece.edges[(i + n - 1) % n];
  const after = piece.edges[(i + 1) % n];
  if (i < 0 || !before || !after) throw new Error(`capDart: expected the mouth "${dart.mouth}" on ${piece.id}`);
  const { start, end, tip } = dartShape(piece, dart);
  const cap =
    dart.foldToward === 'end'
      ? reversePath(dartCap(tip, end, start, after.path))
      : dartCap(tip, start, end, reversePath(before.path));
  return replaceEdge(piece, dart.mouth, cap);
}

/** The cap's outermost point: where the fold meets the edge. */
export function capPeak(cap: Path): Point {
  const inner = cap.segments.slice(0, -1).map((s) => s.to);
  return inner[Math.floor((inner.length - 1) / 2)] ?? midpoint(cap.start, endOf(cap));
}

/** Where the centre lines of two darts cross: the bust point the draft was made for; null when parallel. */
export function centreLine(piece: Piece, dart: Dart): { readonly from: Point; readonly to: Point } {
  const { start, end, tip } = dartShape(piece, dart);
  return { from: midpoint(start, end), to: tip };
}

/**
 * Takes `change` (mm, positive narrows) off a dart's intake, half at each leg end, along the straight mouth;
 * the seams beside it grow by that much (or give it up when it widens); both leg ends stay on the line across the mouth. The tip stays and keeps the legs equal.
 */
export function narrowDart(piece: Piece, dart: Dart, change: number): Piece {
  const i = piece.edges.findIndex((e) => e.id === dart.mouth);
  const n = piece.edges.length;
  const { start, end } = dartShape(piece, dart);
  const u = scale(unit(sub(end, start)), change / 2);
  const a = add(start, u);
  const b = sub(end, u);
  const grown = (path: Path, to: Point): Path =>
    change >= 0 ? stretchEnd(path, to) : shortenEnd(path, to, -change / 2);
  const before = piece.edges[(i + n - 1) % n];
  const after = piece.edges[(i + 1) % n];
  if (i < 0 || !before || !after) throw new Error(`narrowDart: expected the mouth "${dart.mouth}" on ${piece.id}`);
  const first = grown(before.path, a);
  const second = reversePath(grown(reversePath(after.path), b));
  const edges = piece.edges.map((edge) =>
    edge === before
      ? { ...edge, path: first }
      : edge === after
        ? { ...edge, path: second }
        : edge.id === dart.mouth
          ? { ...edge, path: polyline([endOf(first), second.start]) }
          : edge,
  );
  return { ...piece, edges };
}

/** The path with its end moved: a last line goes straight there, otherwise a line is added. */
function stretchEnd(path: Path, to: Point): Path {
  const last = path.segments.at(-1);
  const from = path.segments.at(-2)?.to ?? path.start;
  const straightOn =
    last?.kind === 'line' && Math.abs(angleOf(sub(to, from)) - angleOf(sub(last.to, from))) < TOL.straightOn;
  return straightOn
    ? { start: path.start, segments: [...path.segments.slice(0, -1), { kind: 'line', to }] }
    : { start: path.start, segments: [...path.segments, { kind: 'line', to }] };
}

/** The path shortened so that it ends at `to`, a little inside its old end: its last centimetre is drawn anew. */
function shortenEnd(path: Path, to: Point, by: number): Path {
  // A straight seam stays one: it is ruled to its new end.
  if (path.segments.length === 1 && path.segments[0]?.kind === 'line') return polyline([path.start, to]);
  const kept = splitAtLength(path, Math.max(0, pathLength(path) - by - 10))[0];
  return { start: path.start, segments: [...kept.segments, { kind: 'line', to }] };
}
