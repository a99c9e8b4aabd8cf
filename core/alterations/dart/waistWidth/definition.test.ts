import { describe, expect, it } from 'vitest';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { dartWaistWidth as d } from './definition.ts';

describe(d.id, () => {
  it('shares over two pieces what it does not share over four', () => {
    const each = (over: string) =>
      primary(expectOk(runOn(d, 'causeway', '4', { by: 20, over }), over)).frames[4]!.messages[0]!.data['each'];
    expect([each('both'), each('front'), each('back')]).toEqual([5, 10, 10]);
  });
  it('refuses more than the darts can give, and says how much that is', () => {
    const r = runOn(d, 'causeway', '4', { by: 160 });
    expect(r.ok ? 'ran' : r.error.code).toBe('dart-cannot-give');
    if (!r.ok) expect(Number(r.error.data['most'])).toBeLessThan(160);
    expect(codeOn(d, 'causeway-side')).toBe('no-such-dart');
  });
});
