import {
  distance,
  endOf,
  intersectPaths,
  kinkAt,
  lengthTo,
  pathLength,
  polyline,
  spanLength,
  spansOf,
  type Path,
} from '../../geometry/index.ts';
import { requireEdge, type Edge, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';

/** Seams that are shaped along their length: a redraw at one end of them keeps the shape of the rest. */
const SHAPED: readonly Edge['role'][] = ['side', 'underarm', 'princess', 'centreBack', 'centreFront'];
/** A redraw shorter than this would show as a bend, mm. */
const LEAST = 30;
/** A bend sharper than this ends what is drawn in one go, radians. */
const BEND = 0.05;
const FAR = 20_000;

export const isStraightPath = (path: Path): boolean =>
  pathLength(path) - distance(path.start, endOf(path)) < TOL.legs / 10;

/**
 * How far from one of its ends a seam may be drawn again: to the next notch, the next level or the next bend, or to
 * where it is drawn in most; all of it where it is straight or has none of these. What lies beyond is not touched, so
 * that a waist drawn into the side stays where it is.
 */
export function stretchFrom(piece: Piece, edge: string, end: 'start' | 'end'): number {
  const { path, role } = requireEdge(piece, edge);
  if (!SHAPED.includes(role) || isStraightPath(path)) return Infinity;
  const size = pathLength(path);
  const away = (at: number): number => (end === 'start' ? at : size - at);
  const stops = [...bends(path), ...levels(piece, path), ...notches(piece, edge), ...waists(path)];
  const found = stops.map(away).filter((at) => at >= LEAST && at < size - 1);
  return found.length > 0 ? Math.min(...found) : Infinity;
}

function joints(path: Path): readonly number[] {
  let at = 0;
  return spansOf(path)
    .slice(0, -1)
    .map((s) => (at += spanLength(s)));
}

const bends = (path: Path): readonly number[] => joints(path).filter((at) => Math.abs(kinkAt(path, at)) > BEND);

const notches = (piece: Piece, edge: string): readonly number[] =>
  piece.marks.flatMap((m) => (m.kind === 'notch' && m.edge === edge ? [m.at] : []));

function levels(piece: Piece, path: Path): readonly number[] {
  return piece.marks.flatMap((m) => {
    if (m.kind !== 'level' || m.name === 'lengthenShorten') return [];
    const line = polyline([
      { x: -FAR, y: m.at.y },
      { x: FAR, y: m.at.y },
    ]);
    return intersectPaths(line, path).map((h) => lengthTo(path, h.second));
  });
}

/** Joints between curves where the seam turns from going in to going out: a waist that no level marks. */
function waists(path: Path): readonly number[] {
  const xs = [path.start.x, ...spansOf(path).map((s) => s.b.x)];
  return joints(path).filter((_, i) => {
    const [before, here, after] = [xs[i] ?? 0, xs[i + 1] ?? 0, xs[i + 2] ?? 0];
    return (here - before) * (after - here) < 0;
  });
}
