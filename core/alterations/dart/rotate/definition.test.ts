import { describe, expect, it } from 'vitest';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { dartRotate as d } from './definition.ts';

describe(d.id, () => {
  it('takes the largest dart unless one is named, and the back’s where the front has none', () => {
    const which = (id: string, values = {}) =>
      primary(expectOk(runOn(d, id, '4', { to: 'shoulder', ...values }), id)).frames[0]!.messages[0]!.data['dart'];
    expect(which('causeway')).toBe('waist');
    expect(which('causeway', { dart: 'side' })).toBe('side');
    expect(which('skerry-armhole', { to: 'neck' })).toBe('shoulder');
  });
  it('goes into a dart that is there, or beside it, as asked', () => {
    const darts = (merge: string) =>
      expectOk(runOn(d, 'causeway', '4', { dart: 'side', to: 'waist', merge, at: 0.2 }), merge).pieces[0]!.darts.length;
    expect([darts('merge'), darts('new')]).toEqual([1, 2]);
  });
  it('refuses seams that are not there', () => {
    expect(codeOn(d, 'causeway', { dart: 'side', to: 'raglan' })).toBe('no-such-seam');
    expect(codeOn(d, 'causeway', { dart: 'neck' })).toBe('no-such-dart');
  });
});
