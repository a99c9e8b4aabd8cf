import { endOf, pathLength, type Point } from '../../geometry/index.ts';
import { requireEdge, type Piece } from '../../pattern/index.ts';
import { edgeAfter, edgeBefore } from '../../paper/truing/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { Context } from '../contract.ts';
import { centreEdge, meetingOn, meetings, upperEnd } from './across.ts';
import { cutPlace, shoulderPair, type ShoulderOn } from './shoulder.ts';

/** The block's lower edge runs into the side this far below the underarm, mm. */
const BELOW_UNDERARM = 26;
export type Half = 'front' | 'back';

export interface Block {
  readonly on: ShoulderOn;
  readonly piece: Piece;
  readonly side: string;
  /** Where the block is cut from the shoulder, and where it runs into the side. */
  readonly cut: Point;
  readonly foot: Point;
  readonly underarm: Point;
  /** +1 where the side lies to the right. */
  readonly out: 1 | -1;
}

/** The armhole block of a front or back: between the shoulder seam, the side seam and a line down from the shoulder. */
export function blockOf(context: Pick<Context, 'pieces' | 'seams'>, half: Half): Result<Block> {
  const pair = shoulderPair(context);
  if (!pair.ok) return pair;
  const on = pair.value[half];
  const piece = on.piece;
  const after = edgeAfter(piece, on.armhole);
  const side = on.neckFirst ? after : edgeBefore(piece, on.armhole);
  const path = requireEdge(piece, side);
  if (path.role !== 'side') return refuse('underarm-missing', { piece: piece.name });
  const underarm = on.neckFirst ? path.path.start : endOf(path.path);
  const below = Math.min(BELOW_UNDERARM, pathLength(path.path) * 0.5);
  const foot = meetingOn(piece, underarm.y + below, ['side']);
  if (!foot) return refuse('underarm-missing', { piece: piece.name });
  return ok({ on, piece, side, cut: cutPlace(on), foot: foot.at, underarm, out: on.neckFirst ? 1 : -1 });
}

/** Half the width across at mid-armhole, on this piece; from the line of its centre where a low neckline runs through there. */
export function acrossAt(on: ShoulderOn): number {
  const all = meetings(on.piece, on.hinge.at.y);
  const [first, last] = [all[0], all.at(-1)];
  if (!first || !last) return 0;
  const [inner, outer] = on.neckFirst ? [first, last] : [last, first];
  const centre = inner.edge.role === 'neck' ? centreEdge(on.piece) : null;
  return Math.abs(outer.at.x - (centre ? upperEnd(centre).x : inner.at.x));
}
