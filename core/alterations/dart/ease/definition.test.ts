import { describe, expect, it } from 'vitest';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { dartEase as d } from './definition.ts';

describe(d.id, () => {
  it('says ease up to 15 mm, gathers beyond', () => {
    const said = (values: object) =>
      primary(expectOk(runOn(d, 'causeway', '4', { ...values }), 'ease')).frames[4]!.messages[0]!.code;
    expect(said({ part: 'back', dart: 'shoulder' })).toBe('ease.dart');
    expect(said({ part: 'front', dart: 'side' })).toBe('gather.dart');
  });
  it('marks where it is drawn up with a notch on either side', () => {
    const r = expectOk(runOn(d, 'causeway', '4', { part: 'back', dart: 'shoulder' }), 'ease');
    const notches = r.pieces[1]!.marks.filter((m) => m.kind === 'notch' && m.id.startsWith('shoulderDart'));
    expect(notches).toHaveLength(2);
    expect(codeOn(d, 'causeway-shirt')).toBe('no-dart');
  });
});
