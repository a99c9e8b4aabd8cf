import { describe, expect, it } from 'vitest';
import { contextOn } from '../../../testing/samples.ts';
import { lengthOf, roleOf } from '../../../testing/work.ts';
import { expectOk } from '../../../units/index.ts';
import { alterationById, flatOf, runAlteration, type Context } from '../../index.ts';

const definition = alterationById('grade-between-sizes')!;
function graded(id: string, from: string, to: string, seams = 'side') {
  const context = contextOn(id, from);
  const done = expectOk(runAlteration(definition, context, { waistSize: to, hipSize: to, seams }), id);
  const waist = (on: Pick<Context, 'pieces' | 'seams'>): number => flatOf(on, 'waist')!.value;
  return { run: done, context, grown: waist(done) - waist(context), nest: waist(contextOn(id, to)) - waist(context) };
}

describe('a level graded to another size', () => {
  // The chart grows by 40 at the waist from size 4 to 5: a draft in panels came to 26.7 before its sides took it all.
  it.each(['skerry-armhole', 'skerry-shoulder', 'causeway', 'causeway-side'] as const)(
    'is reached by %s, re-measured all around',
    (id) => {
      const { grown, nest } = graded(id, '4', '5');
      expect(nest).toBeGreaterThan(39);
      expect(nest).toBeLessThan(44);
      expect(Math.abs(grown - nest)).toBeLessThan(1);
    },
  );
  it.each(['skerry-armhole', 'skerry-shoulder'] as const)(
    'is reached by %s over every panel seam too, each edge taking a third of a quarter',
    (id) => {
      const { grown, nest, run, context } = graded(id, '4', '5', 'panels');
      expect(Math.abs(grown - nest)).toBeLessThan(1);
      expect(run.findings.filter((f) => f.grade !== 'note')).toEqual([]);
      // A quarter of the waist has three edges here: the side and both edges of one seam. The centre panel has one of
      // them, the side panel two.
      const grew = (piece: string): number => roleOf(run, piece, 'waist') - roleOf(context, piece, 'waist');
      expect(grew('sideFront')).toBeCloseTo(2 * grew('front'), 0);
      for (const [one, two] of [
        ['front', 'sideFront'],
        ['back', 'sideBack'],
      ] as const) {
        expect(lengthOf(run, one, 'princess')).toBeCloseTo(lengthOf(run, two, 'princess'), 1);
        expect(lengthOf(run, one, 'princess')).toBeCloseTo(lengthOf(context, one, 'princess'), 3);
      }
    },
  );
});

describe('a level that cannot be reached', () => {
  it('is told, with what is left', () => {
    const chart = alterationById('grade-by-chart')!;
    const context = contextOn('skerry-armhole', '5');
    const told = (waist: number) =>
      expectOk(runAlteration(chart, context, { waist, seams: 'side' }), 'chart').findings.filter(
        (f) => f.code === 'level-not-reached',
      );
    expect(told(40)).toEqual([]);
    const [short] = told(-200);
    expect(short).toMatchObject({ grade: 'look', data: { level: 'waist' } });
  });
});
