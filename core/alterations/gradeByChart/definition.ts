import type { Piece } from '../../pattern/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { AlterationDefinition, Context, Fit, Program, Values } from '../contract.ts';
import { choice, define, held, length, tenth } from '../kit/define.ts';
import { gradeSides } from '../kit/grade.ts';
import { hipOf, sidesOf, waistOf } from '../kit/sides.ts';
import { choiceOf, numberOf } from '../values.ts';

/** Ease the worksheet allows at waist and hip of a fitted woven, whole body, mm. */
const EASE = { waist: 30, hip: 50 } as const;

/** A side seam goes out by a quarter of what the body differs: there are four. */
function plan(context: Context, values: Values): Result<Program> {
  const waist = numberOf(values, 'waist');
  const hip = numberOf(values, 'hip');
  if (waist === 0 && hip === 0) return refuse('no-amount', { what: 'waist' });
  const wider = (of: (p: Piece) => number | null, by: number) => (piece: Piece) => {
    const has = of(piece);
    return has === null ? null : has + by / 4;
  };
  const data = { waist: waist / 4, hip: hip / 4, total: waist };
  return gradeSides(
    context,
    { waist: wider(waistOf, waist), hip: wider(hipOf, hip) },
    choiceOf(values, 'shape'),
    (code) => ({ code: `gradeChart.${code}`, data }),
  );
}

function fits(context: Context): Fit | null {
  const { waist, hip } = context.wearer;
  const sides = sidesOf(context.pieces);
  const around = (of: (p: Piece) => number | null, skirts: boolean): number | null => {
    const widths = context.pieces.flatMap((p) => {
      const on = sides.find((s) => s.piece === p) ?? null;
      const skirt = p.part === 'skirtFront' || p.part === 'skirtBack';
      const width = skirt === skirts && (on || p.part === 'front' || p.part === 'back') ? of(p) : null;
      return width === null ? [] : [width];
    });
    return widths.length > 0 ? 2 * widths.reduce((a, b) => a + b, 0) : null;
  };
  const hasSkirt = sides.some((s) => s.skirt);
  const drafted = around(waistOf, false) ?? around(waistOf, true);
  const draftedHip = around(hipOf, hasSkirt);
  if (waist === undefined || drafted === null) return null;
  const by = waist + EASE.waist - drafted;
  const hipBy = hip === undefined || draftedHip === null ? 0 : hip + EASE.hip - draftedHip;
  return {
    values: { waist: tenth(by), hip: tenth(hipBy) },
    sum: {
      code: 'fit.girth',
      data: {
        key: 'waist',
        body: waist,
        ease: EASE.waist,
        wanted: waist + EASE.waist,
        pattern: drafted,
        by,
        share: 1 / 4,
        each: by / 4,
      },
    },
  };
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
  ],
  requires: ['side'],
  refusals: ['side-missing', 'no-amount', 'nothing-to-grade'],
  examples: [
    { name: 'waist larger', on: 'causeway', values: { waist: 24 } },
    { name: 'hip larger', on: 'causeway-shirt', values: { waist: 0, hip: 40, shape: 'curved' } },
  ],
  source: 'On a pattern of one size: the difference around the body divided by four side edges, level by level.',
  why: 'why.grade-by-chart',
  needs: ({ pieces }) => (sidesOf(pieces).length > 0 ? ok(true) : refuse('side-missing', {})),
  fits,
  plan,
  holds: held({ part: ['front', 'sideFront', 'back', 'sideBack'], role: 'armhole', slack: 1 }),
});
