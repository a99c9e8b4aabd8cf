import { levelOf, type Piece } from '../../pattern/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { Context, Instruction, Message, Program } from '../contract.ts';
import {
  alongAt,
  hipOf,
  ROUND,
  sideLength,
  sidesOf,
  solveKnot,
  targetAt,
  waistOf,
  widenStep,
  type SideOn,
} from './sides.ts';

/** How wide each piece is to be at a level; null leaves the level as it is. */
export interface GradeTargets {
  readonly waist: (piece: Piece) => number | null;
  readonly hip: (piece: Piece) => number | null;
}

function onWaistSeam(
  side: SideOn,
  wanted: number,
  shape: string,
  say: (code: string) => Message,
): readonly Instruction[] {
  return [
    {
      op: 'restoreWidth',
      stage: 'true',
      piece: side.piece.id,
      message: say('waist'),
      side: side.edge.id,
      role: 'waist',
      shape: shape === 'curved' ? 'curved' : 'straight',
      target: wanted,
    },
  ];
}

/** A skirt: its waist to one width, its hip and all below to another. */
function onSkirt(
  side: SideOn,
  waist: number | null,
  hip: number | null,
  shape: string,
  say: (code: string) => Message,
): readonly Instruction[] {
  const hipAt = alongAt(side, levelOf(side.piece, 'hip')?.y ?? 0);
  if (hipAt === null) return [];
  const out = hip === null ? 0 : hip - (hipOf(side.piece) ?? hip);
  const below = [{ at: hipAt, by: out }];
  const wanted = waist ?? waistOf(side.piece) ?? 0;
  const round = shape === 'curved' ? ROUND.curved : ROUND.straight;
  const knots = (by: number) => [{ at: 0, by }, ...below];
  const top = solveKnot(side, wanted, waistOf, knots, round);
  return [widenStep(side, knots(top), say('skirt'), { smooth: round })];
}

/** A piece that runs on to the hip: from nothing at the dart (or the underarm) to the waist, on to the hem. */
function onLong(
  side: SideOn,
  waist: number | null,
  hip: number | null,
  shape: string,
  say: (code: string) => Message,
): readonly Instruction[] {
  const waistAt = alongAt(side, levelOf(side.piece, 'waist')?.y ?? 0);
  const out = (wanted: number | null, has: number | null): number =>
    wanted === null || has === null ? 0 : wanted - has;
  const round = shape === 'curved' ? ROUND.curved : ROUND.straight;
  const knots = (by: number) => [
    { at: 0, by: 0 },
    ...(waistAt === null ? [] : [{ at: waistAt, by: out(waist, waistOf(side.piece)) }]),
    { at: sideLength(side), by },
  ];
  const bottom = hip === null ? 0 : solveKnot(side, hip, hipOf, knots, round);
  return [widenStep(side, knots(bottom), say('side'), { smooth: round })];
}

/** The sides of all pieces drawn from one size to another, level by level; front and back alike in length. */
export function gradeSides(
  context: Context,
  targets: GradeTargets,
  shape: string,
  say: (code: string) => Message,
): Result<Program> {
  const sides = sidesOf(context.pieces);
  const [first] = sides;
  if (!first) return refuse('side-missing', {});
  const instructions: Instruction[] = [];
  for (const side of sides) {
    const waist = targets.waist(side.piece);
    const hip = targets.hip(side.piece);
    if (waist === null && hip === null) continue;
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
      {
        op: 'mark',
        stage: 'mark',
        piece: side.piece.id,
        message: say('mark'),
        lines: [],
        points: [
          {
            id: `waist ${side.piece.id}`,
            kind: 'target',
            at: side.skirt ? targetAt(side, 0, by) : targetAt(side, waistPlace(side), by),
          },
        ],
      },
      ...steps,
    );
  }
  if (instructions.length === 0) return refuse('nothing-to-grade', {});
  instructions.push({ op: 'match', stage: 'match', message: say('match'), kinds: ['side', 'waist'] });
  return ok({ piece: first.piece.id, instructions });
}

const waistPlace = (side: SideOn): number =>
  alongAt(side, levelOf(side.piece, 'waist')?.y ?? Infinity) ?? sideLength(side);
