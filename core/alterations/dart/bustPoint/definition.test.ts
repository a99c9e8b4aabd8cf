import { describe, expect, it } from 'vitest';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { bustPoint as d } from './definition.ts';

describe(d.id, () => {
  it('marks where the darts cross, and says how far that is', () => {
    const found = primary(expectOk(runOn(d, 'causeway', '4', { whose: 'darts' }), 'darts'));
    expect(found.frames[0]!.messages[0]!.data['source']).toBe('darts');
    expect(Number(found.frames[0]!.messages[0]!.data['by'])).toBeLessThan(0.5);
  });
  it('changes no edge while the tips stay', () => {
    const r = expectOk(runOn(d, 'causeway', '4', { bustPoint: { x: 100, y: 270 }, tips: 'stay' }), 'stay');
    expect(r.pieces[0]!.edges).toEqual(sampleIn('causeway', '4').pieces[0]!.edges);
  });
  it('refuses a point off the paper, and panels', () => {
    expect(codeOn(d, 'causeway', { bustPoint: { x: 900, y: 10 } })).toBe('bust-point-outside');
    expect(codeOn(d, 'ebb', { whose: 'darts', bustPoint: null })).toBe('ran');
  });
});
