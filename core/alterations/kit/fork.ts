import { add, distance, pathLength, type Point } from '../../geometry/index.ts';
import { solveNear } from '../../numeric/index.ts';
import { requireEdge, type Piece } from '../../pattern/index.ts';
import { cornerAngle, drawCorner, turnCorner } from '../../paper/truing/index.ts';
import { ok, refuse, TOL, type Result } from '../../units/index.ts';
import type { Instruction, Message } from '../contract.ts';
import { asBefore, moveCorner } from '../operations/index.ts';
import { meetingOn, type Meeting } from './across.ts';
import { halves, type TrouserHalf, type TrousersOn } from './trousers.ts';

/** Where the fork of one half goes, and how far up the crotch seam and down the inseam both are drawn again, mm. */
export interface ForkMove {
  readonly half: TrouserHalf;
  readonly to: Point;
  readonly reach: readonly [crotch: number, inseam: number];
}

/** How far from the fork a seam is met, along it. */
function fromFork({ fork }: TrouserHalf, { edge, along }: Meeting): number {
  return distance(edge.path.start, fork) < TOL.join ? along : pathLength(edge.path) - along;
}

/** The crotch seam from the fork up to the hip line, the inseam from the fork down to the knee. */
function reachOf(half: TrouserHalf): Result<ForkMove['reach']> {
  const crotch = meetingOn(half.piece, half.hip, ['crotch']);
  const knee = meetingOn(half.piece, half.knee, ['inseam']);
  if (!crotch || !knee) return refuse('crotch-not-found', { piece: half.piece.name });
  return ok([fromFork(half, crotch), fromFork(half, knee)]);
}

/** The end of the crotch seam at the fork, and how much of it is turned to keep its corner with the inseam, mm. */
const cornerOf = ({ crotch, fork }: TrouserHalf) =>
  ({
    edge: crotch.id,
    at: distance(crotch.path.start, fork) < TOL.join ? 'start' : 'end',
    reach: CORNER_REACH,
  }) as const;
const CORNER_REACH = 80;

function drawnFork({ half, to, reach }: ForkMove): Piece {
  const moved = drawCorner(half.piece, [half.crotch.id, half.inseam.id], to, reach);
  const { edge, at, reach: turned } = cornerOf(half);
  return turnCorner(moved, edge, at, cornerAngle(half.piece, edge, at), turned);
}

const inseamOf = (move: ForkMove): number => pathLength(requireEdge(drawnFork(move), move.half.inseam.id).path);

/** What each half is to gain by its fork, mm. */
export type Gains = Readonly<Record<'front' | 'back', number>>;

/**
 * The forks moved away from the legs until each half has gained what is asked, by some measure. The two inseams stay equal: the
 * back's fork (the front's, where only that moves) is lowered or raised by what its inseam would be too long or too short.
 * A half that gains nothing is left out. Refused where no move gives so much.
 */
export function forksFor(on: TrousersOn, gains: Gains, measure: (piece: Piece, half: TrouserHalf) => number | null) {
  const [front, back] = halves(on);
  const out: ForkMove[] = [];
  let inseam = 0;
  for (const [half, gain] of [
    [front, gains.front],
    [back, gains.back],
  ] as const) {
    if (Math.abs(gain) < TOL.same) continue;
    const level = half === front && Math.abs(gains.back) >= TOL.same;
    const move = moveFor(half, gain, measure, level ? null : pathLength(half.inseam.path) + inseam);
    if (!move.ok) return move;
    if (level) inseam = inseamOf(move.value) - pathLength(half.inseam.path);
    out.push(move.value);
  }
  return ok(out as readonly ForkMove[]);
}

function moveFor(
  half: TrouserHalf,
  gain: number,
  measure: (piece: Piece, half: TrouserHalf) => number | null,
  inseam: number | null,
): Result<ForkMove> {
  const reach = reachOf(half);
  if (!reach.ok) return reach;
  const moved = (x: number, y: number): ForkMove => ({
    half,
    to: add(half.fork, { x: -half.out * x, y }),
    reach: reach.value,
  });
  const level = (x: number): ForkMove => {
    if (inseam === null) return moved(x, 0);
    // The lower the fork lies, the shorter its inseam.
    const y = solveNear((down) => inseam - inseamOf(moved(x, -down)), 0, TOL.solve);
    return moved(x, y === null ? 0 : -y);
  };
  const was = measure(half.piece, half) ?? 0;
  const x = solveNear((by) => (measure(drawnFork(level(by)), half) ?? 0) - was - gain, gain, TOL.solve);
  return x === null ? refuse('fork-cannot-give', { piece: half.piece.name, by: Math.abs(gain) }) : ok(level(x));
}

/** The corner moved, the crotch seam square to the inseam as before. */
export const forkSteps = ({ half, to, reach }: ForkMove, message: Message): readonly Instruction[] => [
  moveCorner({ piece: half.piece.id, message, between: [half.crotch.id, half.inseam.id], to, reach }),
  asBefore({ piece: half.piece.id, message, what: cornerOf(half) }),
];
