import { describe, expect, it } from 'vitest';
import { codeOn, runOn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { dartCutAway as d } from './definition.ts';

describe(d.id, () => {
  it('keeps the dart a dart, with an allowance along its legs', () => {
    const r = expectOk(runOn(d, 'causeway-waist', '4', { dart: 'waist', allowance: 12 }), 'cut');
    expect(r.pieces[0]!.darts[0]).toMatchObject({ kind: 'waist', cutAway: 12 });
  });
  it('refuses a dart too narrow for two allowances', () => {
    expect(codeOn(d, 'causeway', { dart: 'waist', allowance: 25 })).toBe('dart-too-narrow-to-cut');
    expect(codeOn(d, 'causeway-waist', { dart: 'side' })).toBe('no-such-dart');
  });
});
