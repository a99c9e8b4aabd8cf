import { endOf, pathLength, pointAt, type Point } from '../../geometry/index.ts';
import { solveBetween, solveNear } from '../../numeric/index.ts';
import { edgesWithRole, requireEdge, type Edge, type Piece, type Seam } from '../../pattern/index.ts';
import { widenSquarely, type SideKnot } from '../../paper/truing/index.ts';
import type { Context, Instruction, Message } from '../contract.ts';
import { lowerEnd, meetingOn, upperEnd } from './across.ts';
import { widen } from '../operations/index.ts';
import { TOL } from '../../units/index.ts';

/** A piece with a side seam, seen from its side. */
export interface SideOn {
  readonly piece: Piece;
  /** The lowest part of its side: below a dart's leg where there is one. */
  readonly edge: Edge;
  /** The parts of the side that are looked at, from the top down: the lowest alone, or all of them, darts shut. */
  readonly edges: readonly string[];
  /** +1 where the side lies to the right. */
  readonly out: 1 | -1;
  readonly skirt: boolean;
}

export const SIDED: readonly Piece['part'][] = ['front', 'sideFront', 'back', 'sideBack', 'skirtFront', 'skirtBack'];
/** Below the waist only. */
const SKIRT: readonly Piece['part'][] = ['skirtFront', 'skirtBack'];

export function sideOn(piece: Piece): SideOn | null {
  if (!SIDED.includes(piece.part)) return null;
  const sides = edgesWithRole(piece, 'side');
  const lowest = sides.reduce<Edge | null>((a, b) => (!a || lowerEnd(b).y > lowerEnd(a).y ? b : a), null);
  if (!lowest) return null;
  const middle = piece.edges.reduce((n, e) => n + e.path.start.x, 0) / piece.edges.length;
  const out = upperEnd(lowest).x > middle ? 1 : -1;
  return { piece, edge: lowest, edges: [lowest.id], out, skirt: SKIRT.includes(piece.part) };
}

/** The same side from the underarm down, with the darts in it folded shut. */
export function wholeSide(side: SideOn): SideOn {
  const edges = [...edgesWithRole(side.piece, 'side')].sort((a, b) => upperEnd(a).y - upperEnd(b).y);
  return { ...side, edges: edges.map((e) => e.id) };
}

/** The parts of a side with where each begins along it, from the top down. */
function partsOf(side: SideOn): readonly { readonly edge: Edge; readonly from: number; readonly size: number }[] {
  let from = 0;
  return side.edges.map((id) => {
    const edge = requireEdge(side.piece, id);
    const size = pathLength(edge.path);
    const part = { edge, from, size };
    from += size;
    return part;
  });
}

export const sidesOf = (pieces: readonly Piece[]): readonly SideOn[] =>
  pieces.flatMap((p) => {
    const side = sideOn(p);
    return side ? [side] : [];
  });

/** Arc length from the upper end of the side to a height; null where the side does not reach it. */
export function alongAt(side: SideOn, y: number): number | null {
  for (const { edge, from, size } of partsOf(side)) {
    const met = meetingOn({ ...side.piece, edges: [edge] }, y, [edge.role]);
    if (met) return from + (upperEnd(edge) === edge.path.start ? met.along : size - met.along);
  }
  return null;
}

export const sideLength = (side: SideOn): number => partsOf(side).reduce((sum, p) => sum + p.size, 0);

/** Notches at the ends of pocket openings: the same on front and back, and no place for an addition to end. */
export const openings = (seams: readonly Seam[]): readonly string[] =>
  seams.flatMap((s) => [...(s.first.between ?? []), ...(s.second.between ?? [])]);

/** The highest notch on the side between two places along it, from its upper end; null where there is none. */
export function notchAlong(side: SideOn, from: number, to: number, besides: readonly string[]): number | null {
  const found = partsOf(side).flatMap((part) =>
    side.piece.marks.flatMap((m) =>
      m.kind === 'notch' && m.edge === part.edge.id && !besides.includes(m.id)
        ? [part.from + (upperEnd(part.edge) === part.edge.path.start ? m.at : part.size - m.at)]
        : [],
    ),
  );
  return found.filter((at) => at > from && at < to).sort((a, b) => a - b)[0] ?? null;
}

/** Bends of a side at its levels are rounded this far, mm; a curved grade more. */
export const ROUND = { straight: 25, curved: 80 } as const;

/**
 * How far a knot must go out for the piece to measure `wanted` by some measure, the other knots as given: widening
 * turns and stretches what the side meets, so that the amount is found by drawing it.
 */
export function solveKnot(
  side: SideOn,
  wanted: number,
  measure: (piece: Piece) => number | null,
  knots: (by: number) => readonly SideKnot[],
  round: number,
  hold = true,
): number {
  // Notches follow the side, not its width: they are left out while it is drawn again and again.
  const bare: Piece = { ...side.piece, marks: side.piece.marks.filter((m) => m.kind !== 'notch') };
  const drawn = (by: number): Piece => widenSquarely(bare, side.edges, knots(by), { out: side.out, hold, round });
  const off = (by: number): number => (measure(drawn(by)) ?? 0) - wanted;
  const guess = wanted - (measure(side.piece) ?? wanted);
  const near = solveNear(off, guess, TOL.same);
  if (near !== null) return near;
  // What it turns by is little: near the guess first, then farther off.
  for (const reach of [4, 30]) {
    const [low, high] = [guess - reach, guess + reach];
    if (off(low) > 0 !== off(high) > 0) return solveBetween(off, low, high, TOL.solve);
  }
  return guess;
}

/** The side moved by the knots, said once. */
export const widenStep = (
  side: SideOn,
  knots: readonly SideKnot[],
  message: Message,
  options: { readonly hold?: boolean | number; readonly round?: number } = {},
): Instruction =>
  widen({
    piece: side.piece.id,
    message,
    edges: side.edges,
    knots,
    out: side.out,
    hold: options.hold ?? true,
    ...(options.round !== undefined ? { round: options.round } : {}),
  });

/** A point marked beside the side where it is to run. */
export const targetAt = (side: SideOn, along: number, by: number): Point => {
  const parts = partsOf(side);
  const part = parts.find((p) => along <= p.from + p.size) ?? parts.at(-1);
  if (!part) throw new Error(`targetAt: expected a side on ${side.piece.id}`);
  const down = upperEnd(part.edge) === part.edge.path.start;
  const at = pointOn(part.edge.path, down ? along - part.from : part.size - (along - part.from));
  return { x: at.x + side.out * by, y: at.y };
};
const pointOn = (path: Edge['path'], at: number): Point => {
  const end = endOf(path);
  if (at <= 0) return path.start;
  return at >= pathLength(path) ? end : pointAt(path, at);
};

/** The pieces of the same kind in another size. */
export const inSize = (context: Context, size: string, id: string): Piece | null =>
  context.nest?.[size]?.find((p) => p.id === id) ?? null;
