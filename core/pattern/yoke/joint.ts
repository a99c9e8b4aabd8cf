import {
  angleOf,
  distance,
  endOf,
  move,
  movePath,
  pathLength,
  pointAt,
  reversePath,
  rotate,
  sub,
  type Path,
  type Rigid,
} from '../../geometry/index.ts';
import { cyclic, TOL } from '../../units/index.ts';
import { edgesWithRole } from '../access.ts';
import { mapMark } from '../marks.ts';
import { mirrorPiece } from '../mirror.ts';
import type { Edge, Mark, Piece } from '../types.ts';

export type YokeLine = Extract<Mark, { readonly kind: 'yokeLine' }>;
/** Where a yoke is pinned on; nothing on any other piece. */
export const yokeLineOf = (piece: Piece): YokeLine | undefined =>
  piece.marks.find((m): m is YokeLine => m.kind === 'yokeLine');

/** The edge of the yoke on it, and that of the piece below where it is another. */
export function yokeLinesOf(piece: Piece): readonly Path[] {
  const line = yokeLineOf(piece);
  return line ? [line.path, ...(line.lower ? [line.lower] : [])] : [];
}

/** An edge along which a yoke is sewn on, and the edges it lies between, in outline order. */
export interface Joint {
  readonly before: Edge;
  readonly seam: Edge;
  readonly after: Edge;
  /** True where the seam begins at the centre and ends at the armhole. */
  readonly fromCentre: boolean;
}

/** The seam line along a yoke; null where there is none, or more than one, or it does not run from centre to armhole. */
export function jointOf(piece: Piece): Joint | null {
  const [seam, ...more] = edgesWithRole(piece, 'yoke');
  if (!seam || more.length > 0 || piece.beyond) return null;
  const i = piece.edges.indexOf(seam);
  const [before, after] = [cyclic(piece.edges, i + piece.edges.length - 1), cyclic(piece.edges, i + 1)];
  if (before.role === 'centreBack' && after.role === 'armhole') return { before, seam, after, fromCentre: true };
  return after.role === 'centreBack' && before.role === 'armhole' ? { before, seam, after, fromCentre: false } : null;
}

const STATIONS = 12;
/** Two lines that may be pinned on one another: as long, and nowhere farther apart than a princess seam may be. */
function alike(a: Path, b: Path): boolean {
  const [m, n] = [pathLength(a), pathLength(b)];
  if (Math.abs(m - n) > TOL.seam) return false;
  return Array.from({ length: STATIONS + 1 }, (_, i) => i / STATIONS).every(
    (share) => distance(pointAt(a, share * m), pointAt(b, share * n)) <= TOL.princess,
  );
}

/** A yoke laid on the piece below it, and whether it had to be turned over. */
export interface Laid {
  readonly yoke: Piece;
  readonly joint: Joint;
  readonly turned: boolean;
}

/** Lays a yoke so that its seam line covers that of the piece below; null where it does not. */
export function layOn(below: Joint, drawn: Piece): Laid | null {
  const own = jointOf(drawn);
  if (!own) return null;
  // Both outlines run clockwise: where one leaves the centre the other arrives there.
  const turned = own.fromCentre === below.fromCentre;
  const yoke = turned ? mirrorPiece(drawn) : drawn;
  const seam = reversePath(edgesWithRole(yoke, 'yoke')[0]?.path ?? own.seam.path);
  const onto = below.seam.path;
  const angle = angleOf(sub(endOf(onto), onto.start)) - angleOf(sub(endOf(seam), seam.start));
  const by = sub(onto.start, rotate(seam.start, angle));
  const rigid: Rigid = { angle, x: by.x, y: by.y };
  if (!alike(onto, movePath(seam, rigid))) return null;
  const there: Piece = {
    ...yoke,
    edges: yoke.edges.map((e) => ({ ...e, path: movePath(e.path, rigid) })),
    darts: yoke.darts.map((d) => ({ ...d, tip: move(rigid, d.tip) })),
    marks: yoke.marks.map((m) => (m.kind === 'notch' ? m : mapMark(m, (p) => move(rigid, p)))),
  };
  const joint = jointOf(there);
  return joint && { yoke: there, joint, turned };
}
