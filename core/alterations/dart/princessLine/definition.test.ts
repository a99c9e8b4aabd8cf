import { describe, expect, it } from 'vitest';
import { pathLength } from '../../../geometry/index.ts';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { princessLine as d } from './definition.ts';

describe(d.id, () => {
  it('keeps armhole, shoulder and side as long as before, shared between the panels', () => {
    const r = expectOk(runOn(d, 'causeway', '4', { at: 0.4 }), 'line');
    const sum = (pieces: typeof r.pieces, role: 'armhole' | 'side' | 'waist') =>
      pieces
        .filter((p) => p.part !== 'back')
        .reduce((n, p) => n + p.edges.filter((e) => e.role === role).reduce((m, e) => m + pathLength(e.path), 0), 0);
    for (const role of ['armhole', 'side', 'waist'] as const)
      expect(Math.abs(sum(r.pieces, role) - sum(sampleIn('causeway', '4').pieces, role))).toBeLessThan(0.1);
  });
  it('takes an armhole dart as it is, and needs two darts', () => {
    const r = primary(expectOk(runOn(d, 'causeway-armhole', '4', {}), 'armhole'));
    expect(r.frames[2]!.messages).toEqual([]);
    expect(codeOn(d, 'causeway-side')).toBe('princess-needs-two-darts');
    expect(codeOn(d, 'skerry-armhole')).toBe('front-has-princess');
  });
});
