import { endOf, intersectPaths, nearestLength, pathLength, polyline, type Path } from '../../geometry/index.ts';
import { edgesWithRole, levelOf, requireEdge, sideDirection, widthAt, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';
import { widenSquarely } from './widen.ts';

/** Bends of the side are rounded this far, mm. */
const ROUND = 45;
/** Each round leaves about a tenth of what was missing before it. */
const ROUNDS = 12;
/** Farther across than any piece, mm. */
const FAR = 20_000;

/** Below the bust a piece in one is measured at its waist and its hip, and along its hem. */
const MEASURES = ['waist', 'hip', 'hem'] as const;
type Measured = (typeof MEASURES)[number];

function widthOf(piece: Piece, where: Measured): number | null {
  if (where === 'hem') return edgesWithRole(piece, 'hem').reduce((sum, e) => sum + pathLength(e.path), 0);
  const level = levelOf(piece, where);
  const width = level ? widthAt(piece, level.y) : null;
  return width?.ok ? width.value.width : null;
}

/** True for a piece that runs on over waist and hip to a hem. */
export const isInOne = (piece: Piece): boolean =>
  edgesWithRole(piece, 'waist').length === 0 && MEASURES.every((m) => (widthOf(piece, m) ?? 0) > 0);

const runsDown = (path: Path): boolean => endOf(path).y >= path.start.y;

/** Arc length from the upper end of a side to a height; null where it does not cross it. */
function alongAt(path: Path, y: number): number | null {
  const across = polyline([
    { x: -FAR, y },
    { x: FAR, y },
  ]);
  const hit = intersectPaths(path, across)[0]?.point;
  if (!hit) return null;
  const at = nearestLength(path, hit);
  return runsDown(path) ? at : pathLength(path) - at;
}

/**
 * Gives a piece in one the widths back that another has at waist, hip and hem, darts folded out, all at the side: from
 * nothing where its upper part `stays` (mm from its upper end), straight from level to level, its length held.
 * `left` is the most that is still missing, mm; a piece without one of the levels comes back as it is.
 */
export function restoreLevels(
  piece: Piece,
  wanted: Piece,
  side: string,
  stays: number,
): { readonly piece: Piece; readonly left: number } {
  const { path } = requireEdge(piece, side);
  const places = MEASURES.map((m) =>
    m === 'hem' ? pathLength(path) : alongAt(path, levelOf(piece, m)?.y ?? Infinity),
  );
  const goals = MEASURES.map((m) => widthOf(wanted, m));
  if (places.some((p) => p === null) || goals.some((g) => g === null)) return { piece, left: 0 };
  const out = sideDirection(piece);
  const top = stays > TOL.touches ? [{ at: 0, by: 0 }] : [];
  const by = MEASURES.map(() => 0);
  let drawn = piece;
  let left = Infinity;
  for (let i = 0; i < ROUNDS && left > TOL.solve; i++) {
    const off = MEASURES.map((m, k) => (goals[k] ?? 0) - (widthOf(drawn, m) ?? 0));
    left = Math.max(...off.map(Math.abs));
    if (left <= TOL.solve) break;
    off.forEach((v, k) => (by[k] = (by[k] ?? 0) + v));
    const knots = [...top, { at: stays, by: 0 }, ...places.map((at, k) => ({ at: at ?? 0, by: by[k] ?? 0 }))];
    drawn = widenSquarely(piece, [side], knots, { out, hold: true, round: ROUND });
  }
  return { piece: drawn, left };
}
