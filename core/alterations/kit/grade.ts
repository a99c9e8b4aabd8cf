import { hipOf, levelOf, waistHeight, waistOf, type Piece } from '../../pattern/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { Context, Instruction, Message, Program } from '../contract.ts';
import { panelKnots, panelSeams, panelsFrom } from './panelEdges.ts';
import { alongAt, ROUND, sideLength, sidesOf, solveKnot, targetAt, widenStep, type SideOn } from './sides.ts';
import { mark, match, restoreWidth, tell } from '../operations/index.ts';

/** How wide each piece is to be at a level; null leaves the level as it is. */
export interface GradeTargets {
  readonly waist: (piece: Piece) => number | null;
  readonly hip: (piece: Piece) => number | null;
}

/** Messages for graded sides. */
type GradeWord = 'mark' | 'waist' | 'skirt' | 'side' | 'match';

function onWaistSeam(
  side: SideOn,
  wanted: number,
  shape: string,
  say: (code: GradeWord) => Message,
): readonly Instruction[] {
  return [
    restoreWidth({
      piece: side.piece.id,
      message: say('waist'),
      side: side.edge.id,
      role: 'waist',
      shape: shape === 'curved' ? 'curved' : 'straight',
      target: wanted,
    }),
  ];
}

/** A skirt: its waist to one width, its hip and all below to another. */
function onSkirt(
  side: SideOn,
  waist: number | null,
  hip: number | null,
  shape: string,
  say: (code: GradeWord) => Message,
): readonly Instruction[] {
  const hipAt = alongAt(side, levelOf(side.piece, 'hip')?.y ?? 0);
  if (hipAt === null) return [];
  const out = hip === null ? 0 : hip - (hipOf(side.piece) ?? hip);
  const below = [{ at: hipAt, by: out }];
  const wanted = waist ?? waistOf(side.piece) ?? 0;
  const round = shape === 'curved' ? ROUND.curved : ROUND.straight;
  const knots = (by: number) => [{ at: 0, by }, ...below];
  const top = solveKnot(side, wanted, waistOf, knots, round);
  return [widenStep(side, knots(top), say('skirt'), { round })];
}

/**
 * A piece that runs on to the hip: from nothing at the dart (or the underarm) to the waist and on to the hip; below a hip
 * line it stays as far out as there.
 */
function onLong(
  side: SideOn,
  waist: number | null,
  hip: number | null,
  shape: string,
  say: (code: GradeWord) => Message,
): readonly Instruction[] {
  const waistAt = alongAt(side, waistHeight(side.piece, 'side') ?? 0);
  const hipAt = alongAt(side, levelOf(side.piece, 'hip')?.y ?? Infinity);
  const out = (wanted: number | null, has: number | null): number =>
    wanted === null || has === null ? 0 : wanted - has;
  const round = shape === 'curved' ? ROUND.curved : ROUND.straight;
  const knots = (by: number) => [
    { at: 0, by: 0 },
    ...(waistAt === null ? [] : [{ at: waistAt, by: out(waist, waistOf(side.piece)) }]),
    ...(hipAt === null ? [] : [{ at: hipAt, by }]),
    { at: sideLength(side), by },
  ];
  const bottom = hip === null ? 0 : solveKnot(side, hip, hipOf, knots, round);
  return [widenStep(side, knots(bottom), say('side'), { round })];
}

/** Where a draft in panels goes out: at the side alone, or alike at every seam from there to the centre. */
export const OVER = ['side', 'panels'] as const;
export type Over = (typeof OVER)[number];

/** How many edges share what one side would take: one, or both edges of every seam to the centre with it. */
export function edgesOver(context: Context, over: Over): number {
  const [side] = sidesOf(context.pieces);
  return side && over === 'panels' ? 2 * panelsFrom(context, side.piece).length - 1 : 1;
}

/** How far a piece with a side is to go out at each level, over all its seams, and what is left for the side alone. */
function sharesOf(context: Context, { piece }: SideOn, { waist, hip }: Wanted, over: Over): Shares {
  const panels = over === 'panels' ? panelsFrom(context, piece) : [piece];
  // Every seam between two panels has two edges, the side of this half has one.
  const edges = 2 * panels.length - 1;
  const by = (wanted: number | null, has: number | null): number =>
    wanted === null || has === null ? 0 : (wanted - has) / edges;
  const each = { waist: by(waist, waistOf(piece)), hip: by(hip, hipOf(piece)) };
  const at = (wanted: number | null, has: number | null, share: number): number | null =>
    wanted === null || has === null ? wanted : has + share;
  return {
    panels,
    each,
    side: { waist: at(waist, waistOf(piece), each.waist), hip: at(hip, hipOf(piece), each.hip) },
  };
}

interface Wanted {
  readonly waist: number | null;
  readonly hip: number | null;
}
interface Shares {
  readonly panels: readonly Piece[];
  readonly each: { readonly waist: number; readonly hip: number };
  readonly side: Wanted;
}

/** The seams between the panels let out, both edges of each by as much. */
function onPanels({ panels, each }: Shares, shape: string): readonly Instruction[] {
  const message: Message = { code: 'panels.grade', data: { waist: each.waist, hip: each.hip } };
  const round = shape === 'curved' ? ROUND.curved : ROUND.straight;
  return panels.flatMap((piece) =>
    panelSeams(piece).map((seam): Instruction => {
      const wanted = (waistOf(piece) ?? 0) + each.waist;
      const knots = (waist: number) => panelKnots(seam, waist, each.hip);
      const waist = each.waist === 0 ? 0 : solveKnot(seam, wanted, waistOf, knots, round);
      return widenStep(seam, knots(waist), message, { round });
    }),
  );
}

/** Target for the panels of a half together; reported once they are drawn if it is not reached. */
const reached = (shares: Shares, { piece }: SideOn, wanted: Wanted): readonly Instruction[] =>
  (['waist', 'hip'] as const).flatMap((level): readonly Instruction[] => {
    const of = level === 'waist' ? waistOf : hipOf;
    const [goal, has] = [wanted[level], of(piece)];
    if (goal === null || has === null) return [];
    return [
      tell({
        what: {
          level,
          pieces: shares.panels.map((p) => p.id),
          wanted: shares.panels.reduce((sum, p) => sum + (of(p) ?? 0), 0) + goal - has,
        },
      }),
    ];
  });

/**
 * The sides of all pieces drawn from one size to another, level by level; front and back alike in length. `over` panels,
 * the seams from the side to the centre share it; the targets are those of the piece with the side all the same.
 */
export function gradeSides(
  context: Context,
  targets: GradeTargets,
  shape: string,
  say: (code: GradeWord) => Message,
  over: Over = 'side',
): Result<Program> {
  const sides = sidesOf(context.pieces);
  const [first] = sides;
  if (!first) return refuse('side-missing', {});
  const instructions: Instruction[] = [];
  const told: Instruction[] = [];
  for (const side of sides) {
    const wanted = { waist: targets.waist(side.piece), hip: targets.hip(side.piece) };
    if (wanted.waist === null && wanted.hip === null) continue;
    const shares = sharesOf(context, side, wanted, over);
    const { waist, hip } = shares.side;
    const cut = side.piece.edges.some((e) => e.role === 'waist') && !side.skirt;
    const steps = side.skirt
      ? onSkirt(side, waist, hip, shape, say)
      : cut
        ? waist === null
          ? []
          : onWaistSeam(side, waist, shape, say)
        : onLong(side, waist, hip, shape, say);
    if (steps.length === 0) continue;
    const by = waist === null ? 0 : waist - (waistOf(side.piece) ?? waist);
    instructions.push(
      mark({
        piece: side.piece.id,
        message: say('mark'),
        points: [
          {
            id: `waist ${side.piece.id}`,
            kind: 'target',
            at: side.skirt ? targetAt(side, 0, by) : targetAt(side, waistPlace(side), by),
          },
        ],
      }),
      ...steps,
      ...(shares.panels.length > 1 ? onPanels(shares, shape) : []),
    );
    told.push(...reached(shares, side, wanted));
  }
  if (instructions.length === 0) return refuse('nothing-to-grade', {});
  instructions.push(match({ message: say('match'), kinds: ['side', 'waist', 'princess'] }));
  return ok({ piece: first.piece.id, instructions: [...instructions, ...told] });
}

const waistPlace = (side: SideOn): number =>
  alongAt(side, waistHeight(side.piece, 'side') ?? Infinity) ?? sideLength(side);
