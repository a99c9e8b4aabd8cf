import { pathLength } from '../../../geometry/index.ts';
import { solveBetween } from '../../../numeric/index.ts';
import { requireEdge, type Piece } from '../../../pattern/index.ts';
import { trimEnd } from '../../../paper/truing/index.ts';
import type { Instruction, Message, Under } from '../../contract.ts';
import { shoulderAtNeck, type ShoulderOn, type ShoulderPair } from '../../kit/shoulder.ts';
import { asBefore, moveJoint } from '../../operations/index.ts';
import { TOL } from '../../../units/index.ts';

/** Of a neckline up to its corner or dart, so much may be taken. */
const LEAVES = 0.9;

/** Front and back each give at least this share. */
export const LEAST = 0.2;

export const said = (code: Under<'pinned'>, data: Message['data']): Message => ({ code: `pinned.${code}`, data });

/** The neck end of one shoulder taken in: the neckline cut shorter, the shoulder drawn to it from nothing at `over`. */
export function atShoulder(on: ShoulderOn, by: number, over: number, data: Message['data']): Instruction {
  return moveJoint({ piece: on.piece.id, message: said('shoulder', data), edge: on.neck, trim: trimOf(on, by, over) });
}

function trimOf(on: ShoulderOn, by: number, over: number) {
  const first = pathLength(requireEdge(on.piece, shoulderAtNeck(on)).path);
  return { at: on.neckFirst ? 'end' : 'start', by, reach: Math.min(over, first * 0.95) } as const;
}

/** The neckline squared to the seam again. */
export const keepNeck = (piece: string, edge: string, at: 'start' | 'end', data: Message['data']): Instruction =>
  asBefore({ piece, message: said('neck', data), what: { edge, at, reach: 26 } });

/** The most that can be taken from a neckline at its seam, up to its other end or to a dart in it. */
export const mostOf = (piece: Piece, neck: string): number => LEAVES * pathLength(requireEdge(piece, neck).path);

/** What the front gives: about half, so that both shoulders come out equally long. Null where the necklines cannot. */
export function shareOf({ front, back }: ShoulderPair, by: number, over: number): number | null {
  const grown = (on: ShoulderOn, amount: number): number => {
    if (amount <= 0) return 0;
    const after = trimEnd(on.piece, on.neck, trimOf(on, amount, over));
    const sewn = (p: Piece): number => on.edges.reduce((n, id) => n + pathLength(requireEdge(p, id).path), 0);
    return sewn(after) - sewn(on.piece);
  };
  const off = (share: number): number => grown(front, share) - grown(back, by - share);
  const low = Math.max(by * LEAST, by - mostOf(back.piece, back.neck));
  const high = Math.min(by * (1 - LEAST), mostOf(front.piece, front.neck));
  if (low > high) return null;
  return by === 0 || off(low) > 0 === off(high) > 0
    ? Math.min(high, Math.max(low, by / 2))
    : solveBetween(off, low, high, TOL.same);
}
