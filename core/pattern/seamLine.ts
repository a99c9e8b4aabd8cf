import { joinPaths, pathLength, reversePath, splitAtLength, type Path } from '../geometry/index.ts';
import { requireEdge } from './access.ts';
import type { Piece, SeamSide } from './types.ts';

/** A notch met on the walk along one side of a seam, mm from the walk's start. */
export interface MetNotch {
  readonly id: string;
  readonly at: number;
}

/** What one side of a seam runs over: its piece, and where the walk goes on over another, that one too. */
export const partsOfSide = ({ then, ...side }: SeamSide): readonly SeamSide[] => (then ? [side, then] : [side]);

/** How the edges of one side follow on one another, mm from the start of the first. */
interface Along {
  readonly length: number;
  /** Where one edge passes into the next. */
  readonly joints: readonly number[];
  readonly notches: readonly MetNotch[];
}

function wholeSide(piece: Piece, side: SeamSide): Along {
  let length = 0;
  const joints: number[] = [];
  const notches: MetNotch[] = [];
  side.edges.forEach((id, i) => {
    const size = pathLength(requireEdge(piece, id).path);
    if (i > 0) joints.push(length);
    for (const m of piece.marks)
      if (m.kind === 'notch' && m.edge === id)
        notches.push({ id: m.id, at: length + (side.reversed ? size - m.at : m.at) });
    length += size;
  });
  return { length, joints, notches: notches.sort((a, b) => a.at - b.at) };
}

/** Where the part sewn lies on the whole side: all of it, or what is between its two notches (both there). */
function spanOf(side: SeamSide, { length, notches }: Along): readonly [number, number] {
  if (!side.between) return [0, length];
  const at = (id: string): number | undefined => notches.find((n) => n.id === id)?.at;
  const [a = 0, b = length] = side.between.map(at);
  return [Math.min(a, b), Math.max(a, b)];
}

/** One side of a seam laid out straight: its length, and where joints and notches fall on it. */
export function alongSide(piece: Piece, side: SeamSide): Along {
  const whole = wholeSide(piece, side);
  if (!side.between) return whole;
  const [from, to] = spanOf(side, whole);
  const within = (at: number): boolean => at > from && at < to;
  return {
    length: to - from,
    joints: whole.joints.filter(within).map((at) => at - from),
    notches: whole.notches
      .filter((n) => within(n.at) && !side.between?.includes(n.id))
      .map((n) => ({ ...n, at: n.at - from })),
  };
}

/**
 * The seam line of one side as it lies on its piece, in the direction of the walk. Where a dart lies between two of
 * its edges the line jumps over the mouth. Throws where the side names what is not there.
 */
export function seamLine(piece: Piece, side: SeamSide): Path {
  const paths = side.edges.map((id) => requireEdge(piece, id).path);
  const whole = joinPaths(side.reversed ? paths.map(reversePath) : paths);
  if (!side.between) return whole;
  const [from, to] = spanOf(side, wholeSide(piece, side));
  const head = to < pathLength(whole) ? splitAtLength(whole, to)[0] : whole;
  return from > 0 ? splitAtLength(head, from)[1] : head;
}
