import { hipOf, waistOf, type Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Fit, Program, Values } from '../../contract.ts';
import { choice, define, held, length, tenth } from '../../kit/define.ts';
import { fitBy, USUAL_EASE } from '../../kit/fitBy.ts';
import { edgesOver, gradeSides, OVER, type Over } from '../../kit/grade.ts';
import { sidesOf } from '../../kit/sides.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';

/** A side seam goes out by a quarter of what the body differs: there are four. */
function plan(context: Context, values: Values): Result<Program> {
  const waist = numberOf(values, 'waist');
  const hip = numberOf(values, 'hip');
  const wider = (of: (p: Piece) => number | null, by: number) => (piece: Piece) => {
    const has = of(piece);
    return has === null ? null : has + by / 4;
  };
  const over = choiceOf(values, 'seams') as Over;
  const edges = edgesOver(context, over);
  const data = { waist: waist / 4 / edges, hip: hip / 4 / edges, total: waist, edges: 4 * edges };
  return gradeSides(
    context,
    { waist: wider(waistOf, waist), hip: wider(hipOf, hip) },
    choiceOf(values, 'shape'),
    (code) => ({ code: `gradeChart.${code}`, data }),
    over,
  );
}

/** Waist by a quarter at each side, and the hip with it where that is known too. */
function fits(context: Context): Fit | null {
  if (sidesOf(context.pieces).length === 0) return null;
  const hip = fitBy(context, 'hip', 1 / 4, (by) => ({ hip: tenth(by) }), USUAL_EASE.hip);
  return fitBy(context, 'waist', 1 / 4, (by) => ({ waist: tenth(by), hip: hip?.values['hip'] ?? 0 }), USUAL_EASE.waist);
}

export const gradeByChart: AlterationDefinition = define({
  id: 'grade-by-chart',
  family: 'width',
  phase: 'grade',
  amount: 'waist',
  params: [
    length('waist', -200, 240, 40, true),
    length('hip', -200, 240, 0, true),
    choice('shape', 'straight', 'curved'),
    choice('seams', ...OVER),
  ],
  amounts: ['waist', 'hip'],
  requires: ['side'],
  refusals: ['side-missing', 'nothing-to-grade'],
  examples: [
    { name: 'waist larger', on: 'causeway', values: { waist: 24 } },
    { name: 'over every panel seam', on: 'skerry-armhole', values: { waist: 40, seams: 'panels' } },
    { name: 'hip larger', on: 'causeway-shirt', values: { waist: 0, hip: 40, shape: 'curved' } },
  ],
  source: 'On a pattern of one size: the difference around the body divided by four side edges, level by level.',
  why: 'why.grade-by-chart',
  needs: ({ pieces }) => (sidesOf(pieces).length > 0 ? ok(true) : refuse('side-missing', {})),
  reads: ['waist', 'hip'],
  fits,
  plan,
  holds: held({ part: ['front', 'sideFront', 'back', 'sideBack'], role: 'armhole', slack: 1 }),
});
