import { describe, expect, it } from 'vitest';
import { pathLength } from '../../../geometry/index.ts';
import { dartShape, edgesWithRole } from '../../../pattern/index.ts';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { measureDart } from '../../../paper/truing/index.ts';
import { expectOk } from '../../../units/index.ts';
import { fullBustWaistDart as fba } from './definition.ts';

const ON = 'causeway-waist';
const before = sampleIn(ON, '4').pieces[0]!;
const ran = (total: number) => primary(expectOk(runOn(fba, ON, '4', { total }), `by ${total}`));
const intake = (piece: typeof before) => measureDart(dartShape(piece, piece.darts[0]!)).intake;
const sum = (piece: typeof before, role: 'side' | 'waist') =>
  edgesWithRole(piece, role).reduce((n, e) => n + pathLength(e.path), 0);

describe('a full bust into the only dart, at the waist', () => {
  it('makes it take up more than the spread, for the waist lies farther from the hinge than the bust', () => {
    const r = ran(40);
    expect(r.pieces[0]!.darts).toHaveLength(1);
    expect(intake(r.pieces[0]!) - intake(before)).toBeGreaterThan(20);
    expect(intake(ran(-14).pieces[0]!)).toBeLessThan(intake(before) - 7);
  });

  it('leaves the sewn waist and the side seam as long as they were', () => {
    for (const total of [-14, 20, 50]) {
      const piece = ran(total).pieces[0]!;
      expect(Math.abs(sum(piece, 'side') - sum(before, 'side'))).toBeLessThan(0.05);
      expect(Math.abs(sum(piece, 'waist') - sum(before, 'waist'))).toBeLessThan(0.3);
    }
  });

  it('is for fronts with a waist dart and none at the side', () => {
    expect(codeOn(fba, 'causeway')).toBe('front-has-side-dart');
    expect(codeOn(fba, 'causeway-shirt')).toBe('no-such-dart');
  });
});
