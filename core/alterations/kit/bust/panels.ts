import {
  distance,
  endOf,
  intersectPaths,
  nearestLength,
  pathLength,
  pointAt,
  polyline,
  reversePath,
  type Point,
} from '../../../geometry/index.ts';
import { apexMark, edgesWithRole, isInside, sideDirection, type Edge, type Piece } from '../../../pattern/index.ts';
import { ok, refuse, TOL, type Result, nth } from '../../../units/index.ts';

/** How far inside the princess seam line 1 runs, and how far below the apex the sliver is levelled, mm. */
export const INSIDE = 4;
export const LEVEL_BELOW = 40;

export interface Panels {
  readonly centre: Piece;
  readonly side: Piece;
  readonly dir: 1 | -1;
  readonly seam: Edge;
  readonly centreSeam: Edge;
  readonly apex: Point;
  readonly apexAt: number;
  readonly centreApexAt: number;
}

/** Centre front and side front, and the apex notch on both; `top` says where the seam must begin. */
export function findPanels(pieces: readonly Piece[], top: 'armhole' | 'shoulder' | 'any'): Result<Panels> {
  const centre = pieces.find((p) => p.part === 'front');
  const side = pieces.find((p) => p.part === 'sideFront');
  if (!centre) return refuse('front-not-found');
  if (!side) return refuse('side-front-not-found');
  const seam = edgesWithRole(side, 'princess')[0];
  const centreSeam = edgesWithRole(centre, 'princess')[0];
  if (!seam || !centreSeam) return refuse('princess-missing', { piece: side.name });
  if (edgesWithRole(side, 'armhole').length === 0) return refuse('armhole-missing', { piece: side.name });
  const fromShoulder = edgesWithRole(side, 'shoulder').length > 0;
  if (top !== 'any' && fromShoulder !== (top === 'shoulder'))
    return refuse(`princess-not-from-${top}`, { piece: side.name });
  const notch = apexNotch(side, seam);
  const other = apexNotch(centre, centreSeam);
  if (notch === null || other === null)
    return refuse('apex-notch-missing', { piece: notch === null ? side.name : centre.name });
  return ok({
    centre,
    side,
    dir: sideDirection(side),
    seam,
    centreSeam,
    apex: pointAt(seam.path, notch),
    apexAt: notch,
    centreApexAt: other,
  });
}

/** Arc length of the apex along the princess edge: its notch, else what lies at the bust point. */
export function apexNotch(piece: Piece, seam: Edge): number | null {
  const named = apexMark(piece, seam);
  if (named) return named.at;
  const bust = piece.marks.find((m) => m.kind === 'bustPoint')?.at;
  return bust ? nearestLength(seam.path, bust) : null;
}

/** The side front from its lower end up: how far along the seam line lies from the waist. */
const seamUp = (seam: Edge) => (endOf(seam.path).y < seam.path.start.y ? seam.path : reversePath(seam.path));

/** Where the lines of the side front run. */
export interface Lines {
  readonly foot: Point;
  /** The waist or hem that line 1 rises from. */
  readonly low: string;
  readonly mouth: Point;
  readonly levelAt: Point;
  readonly sideEdge: string;
  readonly along: number;
}

export function findLines({ side, dir, seam, apex }: Panels, p: Point, inside: number, below: number): Result<Lines> {
  const up = seamUp(seam);
  const corner = up.start;
  const low = side.edges.find(
    (e) =>
      (e.role === 'waist' || e.role === 'hem') &&
      (distance(e.path.start, corner) < TOL.join || distance(endOf(e.path), corner) < TOL.join),
  );
  if (!low) return refuse('line-misses-hem', { edge: seam.id });
  const size = pathLength(low.path);
  const foot = pointAt(low.path, distance(low.path.start, corner) < TOL.join ? inside : size - inside);
  const levelY = Math.min(apex.y + LEVEL_BELOW, (apex.y + corner.y) / 2);
  const level = intersectPaths(
    polyline([
      { x: p.x, y: levelY },
      { x: p.x - dir * 400, y: levelY },
    ]),
    seam.path,
  )[0]?.point;
  if (!level || !isInside(side, p)) return refuse('cut-leaves-piece', { piece: side.name, edge: seam.id });
  const sides = edgesWithRole(side, 'side');
  const top = sides.reduce(
    (best, e) =>
      Math.min(e.path.start.y, endOf(e.path).y) < Math.min(best.path.start.y, endOf(best.path).y) ? e : best,
    nth(sides, 0),
  );
  if (!top) return refuse('side-missing', { piece: side.name });
  const length = pathLength(top.path);
  const reach = Math.min(below, length - 20);
  const along = top.path.start.y < endOf(top.path).y ? reach : length - reach;
  return ok({ foot, low: low.id, mouth: pointAt(top.path, along), levelAt: level, sideEdge: top.id, along });
}
