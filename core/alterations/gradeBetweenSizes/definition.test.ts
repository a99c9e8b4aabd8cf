import { describe, expect, it } from 'vitest';
import { contextOn } from '../../testing/samples.ts';
import { expectOk } from '../../units/index.ts';
import { alterationById, flatOf, runAlteration, type Context } from '../index.ts';

const definition = alterationById('grade-between-sizes')!;
function graded(id: string, from: string, to: string) {
  const context = contextOn(id, from);
  const done = expectOk(runAlteration(definition, context, { waistSize: to, hipSize: to }), id);
  const waist = (on: Pick<Context, 'pieces' | 'seams'>): number => flatOf(on, 'waist')!.value;
  return { grown: waist(done) - waist(context), nest: waist(contextOn(id, to)) - waist(context) };
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
});
