import { pathLength } from '../../geometry/index.ts';
import { alongSide, requireEdge, type Mark, type Piece, type Seam, type SeamSide } from '../../pattern/index.ts';

/** The seam as it was drafted, with the pieces it was drafted on. */
export interface DraftedSeam {
  readonly pieces: readonly Piece[];
  readonly seam: Seam;
}

/**
 * The follower with its notches along a seam put as far from those of the piece it is sewn to as they were drafted:
 * what is eased in between two notches stays between them. Left alone where the two sides have not as many notches.
 */
export function notchesMatched(follower: Piece, pieces: readonly Piece[], seam: Seam, drafted: DraftedSeam): Piece {
  const key = seam.second.piece === follower.id ? 'second' : 'first';
  const lead = key === 'second' ? 'first' : 'second';
  const on = (list: readonly Piece[], side: SeamSide) => {
    const piece = list.find((p) => p.id === side.piece);
    return piece ? alongSide(piece, side) : null;
  };
  const own = alongSide(follower, seam[key]);
  const leader = on(pieces, seam[lead]);
  const ownThen = on(drafted.pieces, drafted.seam[key]);
  const leaderThen = on(drafted.pieces, drafted.seam[lead]);
  const all = [own, leader, ownThen, leaderThen].map((side) => side?.notches.length ?? -1);
  if (!leader || !ownThen || !leaderThen || all.some((n) => n !== all[0])) return follower;
  const wanted = new Map(
    own.notches.map((n, i) => {
      const eased = (ownThen.notches[i]?.at ?? 0) - (leaderThen.notches[i]?.at ?? 0);
      return [n.id, (leader.notches[i]?.at ?? 0) + eased] as const;
    }),
  );
  return { ...follower, marks: follower.marks.map((m) => placed(follower, seam[key], m, wanted)) };
}

/** A notch put at a place along the walk, on the edge that runs through it. */
function placed(piece: Piece, side: SeamSide, mark: Mark, wanted: ReadonlyMap<string, number>): Mark {
  const at = mark.kind === 'notch' && side.edges.includes(mark.edge) ? wanted.get(mark.id) : undefined;
  if (mark.kind !== 'notch' || at === undefined) return mark;
  let from = 0;
  for (const id of side.edges) {
    const size = pathLength(requireEdge(piece, id).path);
    const last = id === side.edges.at(-1);
    if (at <= from + size || last) {
      const along = Math.min(size, Math.max(0, at - from));
      return { ...mark, edge: id, at: side.reversed ? size - along : along };
    }
    from += size;
  }
  return mark;
}
