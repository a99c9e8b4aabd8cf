import { describe, expect, it } from 'vitest';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { dartRaise as d } from './definition.ts';

describe(d.id, () => {
  it('moves the tip alone when asked, its ends on the seam where they were', () => {
    const r = primary(
      expectOk(runOn(d, 'causeway', '4', { dart: 'side', by: 10, way: 'retip', others: 'stay' }), 'tip'),
    );
    const was = sampleIn('causeway', '4').pieces[0]!.darts[0]!;
    expect(was.tip.y - r.darts[0]!.tip.y).toBeGreaterThan(9);
    expect(r.inserted).toBe(0);
  });
  it('refuses what there is no room or no amount for, and boxes away from the side', () => {
    expect(codeOn(d, 'causeway', { dart: 'side', by: 0 })).toBe('ran');
    expect(codeOn(d, 'causeway', { dart: 'side', by: 60 })).toBe('no-room-to-slide');
    expect(codeOn(d, 'causeway', { dart: 'waist', by: 10 })).toBe('box-needs-side-dart');
    expect(codeOn(d, 'causeway', { dart: 'waist', by: 10, way: 'retip' })).toBe('ran');
  });
});
