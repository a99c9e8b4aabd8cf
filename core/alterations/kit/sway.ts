import { edgesWithRole, waistHeight, type Piece } from '../../pattern/index.ts';
import { ADVICE, ok, refuse, type Result } from '../../units/index.ts';
import type { Context, Fit, Instruction, Program, Values } from '../contract.ts';
import { numberOf } from '../engine/values.ts';
import { rowAcross } from './acrossPanels.ts';
import { held, length, tenth } from './define.ts';
import { fitBy } from './fitBy.ts';
import { backOf, wedge, type WedgeWord } from './wedge.ts';
import { match, tell } from '../operations/index.ts';

/** A back that runs on below the waist, in one piece or in panels. */
export function longBack(
  context: Pick<Context, 'pieces' | 'seams'>,
): Result<{ readonly piece: Piece; readonly waist: number }> {
  const back = backOf(context.pieces, ['back']);
  if (!back.ok) return back;
  const waist = waistHeight(back.value, 'centre');
  if (edgesWithRole(back.value, 'hem').length === 0) return refuse('back-ends-at-waist', { piece: back.value.name });
  if (waist === null || !rowAcross(context, back.value, waist, ['side']))
    return refuse('back-ends-at-waist', { piece: back.value.name });
  return ok({ piece: back.value, waist });
}

/** The pattern's neck to waist less the wearer's. Only what is too long asks for this alteration. */
export function fitsSway(context: Context): Fit | null {
  const fit = fitBy(context, 'napeToWaist', -1, (by) => ({ by: tenth(-by) }));
  return fit && Number(fit.sum.data['by']) < 0 ? fit : null;
}

/** What a dressmaker would say of the amount. */
export const swayAdvice = (piece: Piece, by: number): readonly Instruction[] =>
  by > ADVICE.swayLarge
    ? [tell({ what: { finding: { code: 'swayback-large', grade: 'look', piece: piece.id, data: { by } } } })]
    : [];

/** The line at the waist, or lower: the same fold, in the same words but for where it lies. */
export function swayProgram(context: Context, values: Values, words: WedgeWord, below: number): Result<Program> {
  const back = longBack(context);
  if (!back.ok) return back;
  const { piece, waist } = back.value;
  const by = numberOf(values, 'by');
  const done = wedge({ context, piece, y: waist + below, by: -by, words, limits: SWAY });
  if (!done.ok) return done;
  return ok({
    piece: piece.id,
    grips: done.value.grips,
    instructions: [
      ...done.value.instructions,
      ...swayAdvice(piece, by),
      match({ message: { code: `${words}.match`, data: { by } }, kinds: ['side', 'princess'] }),
    ],
  });
}

export const SWAY = length('by', 0, 60, 15);
export const SWAY_REFUSALS = ['back-not-found', 'back-ends-at-waist', 'line-off-piece', 'wedge-too-large'] as const;
/** What all of them leave alone, and where they come in the plan. */
export const SWAY_COMMON = {
  family: 'back',
  phase: 'swayback',
  reads: ['napeToWaist'],
  fits: fitsSway,
  holds: held({ part: ['back', 'sideBack'], role: 'side' }),
} as const;
