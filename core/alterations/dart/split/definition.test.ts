import { describe, expect, it } from 'vitest';
import { pathLength } from '../../../geometry/index.ts';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { dartSplit as d } from './definition.ts';

describe(d.id, () => {
  it('puts the second dart on the same seam, as far away as asked', () => {
    const r = primary(expectOk(runOn(d, 'causeway-side', '4', { dart: 'side', apart: 45 }), 'split'));
    const between = r.pieces[0]!.edges.filter((e) => e.role === 'side')[1]!;
    expect(pathLength(between.path)).toBeCloseTo(45, 3);
    expect(r.darts.every((x) => Math.abs(x.legs[0] - x.legs[1]) < 0.01)).toBe(true);
  });
  it('refuses where there is no seam left beside it', () => {
    expect(codeOn(d, 'causeway-neck', { dart: 'neck', apart: 110 })).toBe('no-room-to-split');
    expect(codeOn(d, 'ebb')).toBe('no-dart');
  });
});
