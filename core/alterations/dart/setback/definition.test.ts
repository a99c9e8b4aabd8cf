import { describe, expect, it } from 'vitest';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { dartSetback as d } from './definition.ts';

describe(d.id, () => {
  it('says whether the dart grew or shrank, and from what', () => {
    const said = (setback: number) =>
      primary(expectOk(runOn(d, 'causeway', '4', { dart: 'side', setback }), 'setback')).frames[4]!.messages[0]!;
    expect(said(40).code).toBe('setback.shorter');
    expect(said(12).code).toBe('setback.longer');
    expect(said(40).data['was']).toBeCloseTo(25, 1);
  });
  it('leaves every seam line but the dart’s own end as it was', () => {
    const r = expectOk(runOn(d, 'causeway', '4', { dart: 'waist', setback: 60 }), 'waist');
    const before = sampleIn('causeway', '4').pieces[0]!;
    for (const e of before.edges.filter((x) => x.role !== 'dart'))
      expect(r.pieces[0]!.edges.find((x) => x.id === e.id)).toEqual(e);
    expect(codeOn(d, 'causeway-shirt')).toBe('no-dart');
  });
});
