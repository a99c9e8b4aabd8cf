import { pathLength } from '../../geometry/index.ts';
import { requireEdge, type Piece, type Seam, type SeamSide } from '../../pattern/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { Context } from '../contract.ts';

/** A seam between a piece that leads and one that has to follow it. */
export interface Following {
  readonly seam: Seam;
  readonly leader: Piece;
  readonly leading: SeamSide;
  readonly follower: Piece;
  readonly following: SeamSide;
}

/** Seams of a kind with a follower of one of these parts, whichever side it is named on. */
export function followings(
  context: Pick<Context, 'pieces' | 'seams'>,
  kind: Seam['kind'],
  parts: readonly Piece['part'][],
): Result<readonly [Following, ...Following[]]> {
  const out = context.seams.flatMap((seam): readonly Following[] => {
    if (seam.kind !== kind) return [];
    const find = (side: SeamSide): Piece | undefined => context.pieces.find((p) => p.id === side.piece);
    for (const [following, leading] of [
      [seam.second, seam.first],
      [seam.first, seam.second],
    ] as const) {
      const follower = find(following);
      const leader = find(leading);
      // A collar never leads: it is sewn on last.
      if (follower && leader && parts.includes(follower.part) && ![...parts, 'collar'].includes(leader.part))
        return [{ seam, leader, leading, follower, following }];
    }
    return [];
  });
  const [first, ...rest] = out;
  return first ? ok([first, ...rest]) : refuse('nothing-to-follow', { kind });
}

export const sideLengthOf = (piece: Piece, side: SeamSide): number =>
  side.edges.reduce((n, id) => n + pathLength(requireEdge(piece, id).path), 0);

/** How long the follower's side is to be: as the leader's, with the ease the seam was drafted with. */
export const wantedLength = ({ seam, leader, leading, following }: Following): number =>
  sideLengthOf(leader, leading) + (seam.second === following ? seam.ease : -seam.ease);

/** A band to what it is sewn to, as drafted: often less than one, for a neckband is stretched on. */
export function ratioOf(context: Context, f: Following): number {
  const band = context.original.find((p) => p.id === f.follower.id);
  const neck = context.original.find((p) => p.id === f.leader.id);
  const was = context.originalSeams.find((s) => s.id === f.seam.id);
  if (!band || !neck || !was) return 1;
  const [bandSide, neckSide] = was.first.piece === band.id ? [was.first, was.second] : [was.second, was.first];
  return sideLengthOf(band, bandSide) / sideLengthOf(neck, neckSide);
}

/** How long the seam was drafted that this part of a band is sewn to. */
export function draftedSeam(context: Context, f: Following): number {
  const neck = context.original.find((p) => p.id === f.leader.id);
  const was = context.originalSeams.find((s) => s.id === f.seam.id);
  const side = was && [was.first, was.second].find((s) => s.piece === f.leader.id);
  return neck && side ? sideLengthOf(neck, side) : sideLengthOf(f.leader, f.leading);
}
