import { distance, endOf, type Point } from '../../geometry/index.ts';
import { edgesWithRole, levelOf, TROUSERS, type Edge, type LevelName, type Piece } from '../../pattern/index.ts';
import { ok, refuse, TOL, type Result } from '../../units/index.ts';
import { lowerEnd, upperEnd } from './across.ts';
import type { SideOn } from './sides.ts';

/** Front or back of trousers, its grain running down the page: the seams of one half and where they meet. */
export interface TrouserHalf {
  readonly piece: Piece;
  readonly crotch: Edge;
  readonly inseam: Edge;
  readonly side: Edge;
  readonly hem: Edge;
  /** Where crotch seam and inseam meet; the upper end of the crotch seam; the upper end of the side. */
  readonly fork: Point;
  readonly centre: Point;
  readonly corner: Point;
  /** +1 where the side lies to the right. */
  readonly out: 1 | -1;
  /** Heights on this piece. */
  readonly hip: number;
  readonly crotchLine: number;
  readonly knee: number;
}

export interface TrousersOn {
  readonly front: TrouserHalf;
  readonly back: TrouserHalf;
}

/** Where no line is drawn: the hip as a share of the way from the waist to the crotch line, the knee above half-way down the inseam, mm. */
const USUAL = { hip: 0.72, kneeUp: 50 } as const;

/** Front and back of trousers; refused where one is missing, or a seam of it is not known. */
export function trousersOn(pieces: readonly Piece[]): Result<TrousersOn> {
  const [front, back] = TROUSERS.map((part) => pieces.find((p) => p.part === part));
  if (!front || !back) return refuse('trousers-not-found', {});
  const one = halfOf(front);
  if (!one.ok) return one;
  const other = halfOf(back, one.value);
  return other.ok ? ok({ front: one.value, back: other.value }) : other;
}

export const halves = ({ front, back }: TrousersOn): readonly [TrouserHalf, TrouserHalf] => [front, back];

/** A half seen from its side seam. */
export const sideOfHalf = ({ piece, side, out }: TrouserHalf): SideOn => ({
  ...{ piece, edge: side, edges: [side.id], out },
  skirt: true,
});

/** Where no line is drawn on the back, it lies as far below the upper end of the side as on the front. */
function halfOf(piece: Piece, front?: TrouserHalf): Result<TrouserHalf> {
  const missing = (): Result<never> => refuse('crotch-not-found', { piece: piece.name });
  const [crotch, inseam, side, hem] = (['crotch', 'inseam', 'side', 'hem'] as const).map(
    (role) => edgesWithRole(piece, role)[0],
  );
  if (!crotch || !inseam || !side || !hem) return missing();
  const fork = meetingOf(crotch, inseam);
  if (!fork) return missing();
  const centre = distance(crotch.path.start, fork) < TOL.join ? endOf(crotch.path) : crotch.path.start;
  const corner = upperEnd(side);
  const below = (name: LevelName, y: number | undefined, usual: number): number =>
    levelOf(piece, name)?.y ?? (front && y !== undefined ? corner.y + y - front.corner.y : usual);
  const crotchLine = below('crotch', front?.crotchLine, fork.y);
  const foot = lowerEnd(inseam).y;
  return ok({
    ...{ piece, crotch, inseam, side, hem, fork, centre, corner, crotchLine },
    out: corner.x > fork.x ? 1 : -1,
    hip: below('hip', front?.hip, corner.y + USUAL.hip * (crotchLine - corner.y)),
    knee: below('knee', front?.knee, (fork.y + foot) / 2 - USUAL.kneeUp),
  });
}

/** The end that two edges share; null where they do not meet. */
function meetingOf(one: Edge, other: Edge): Point | null {
  const ends = (e: Edge): readonly Point[] => [e.path.start, endOf(e.path)];
  return ends(one).find((p) => ends(other).some((q) => distance(p, q) < TOL.join)) ?? null;
}
