import { describe, expect, it } from 'vitest';
import { distance, pathLength } from '../../../geometry/index.ts';
import { bustPointOf, dartShape, edgesWithRole } from '../../../pattern/index.ts';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { fullBustNoDart as fba } from './definition.ts';

const SHIRT = 'causeway-shirt';
const ran = (values: Parameters<typeof runOn>[3]) =>
  primary(expectOk(runOn(fba, SHIRT, '4', values), JSON.stringify(values)));
const before = sampleIn(SHIRT, '4').pieces[0]!;
const length = (piece: typeof before, role: 'side' | 'hem') =>
  edgesWithRole(piece, role).reduce((n, e) => n + pathLength(e.path), 0);

describe('a full bust on a front without darts', () => {
  it('opens by the angle that moves the bust point sideways by half the amount', () => {
    const r = ran({ total: 40 });
    const hinge = r.frames[0]!.points.find((p) => p.kind === 'hinge')!.at;
    const p = bustPointOf(before)!;
    const reach = distance(hinge, p);
    // Both ends of the swing lie on one circle about the hinge: the turn is the difference of two arc sines.
    const turn = Math.asin((hinge.x - p.x) / reach) - Math.asin((hinge.x - p.x - 20) / reach);
    expect(r.frames[2]!.messages[0]!.data['degrees']).toBeCloseTo((turn * 180) / Math.PI, 6);
  });

  it('keeps the opening as a dart whose closed side seam is as long as before', () => {
    const piece = ran({ total: 40 }).pieces[0]!;
    expect(piece.darts.map((d) => d.kind)).toEqual(['side']);
    expect(Math.abs(length(piece, 'side') - length(before, 'side'))).toBeLessThan(0.05);
    const { start, end } = dartShape(piece, piece.darts[0]!);
    expect(distance(start, end)).toBeGreaterThan(20);
  });

  it('or lets it down to the hem: no dart, the side as long, the hem tapered back to its old width', () => {
    const piece = ran({ total: 24, ending: 'hem' }).pieces[0]!;
    expect(piece.darts).toEqual([]);
    expect(Math.abs(length(piece, 'side') - length(before, 'side'))).toBeLessThan(0.05);
    expect(Math.abs(length(piece, 'hem') - length(before, 'hem'))).toBeLessThan(0.5);
    const flared = ran({ total: 24, ending: 'hem', waistWidth: 'keep' }).pieces[0]!;
    // Farther from the hinge than the bust point, the hem opens by more than the 12 mm of the spread.
    expect(length(flared, 'hem') - length(before, 'hem')).toBeGreaterThan(24);
  });

  it('or eases it in, up to 15 mm: the side of this half is longer by that much', () => {
    const r = ran({ total: 14, ending: 'ease' });
    const side = r.seams.find((s) => s.id === 'side')!;
    expect(r.pieces[0]!.darts).toEqual([]);
    expect(side.ease).toBeLessThan(0);
    expect(length(r.pieces[0]!, 'side') - length(before, 'side')).toBeCloseTo(-side.ease, 1);
    expect(codeOn(fba, SHIRT, { total: 24, ending: 'ease' })).toBe('too-much-to-ease');
  });

  it('takes a small bust in down to the hem, for there is no dart to lap into', () => {
    const r = ran({ total: -20 });
    expect(r.pieces[0]!.darts).toEqual([]);
    expect(r.overlapped).toBeGreaterThan(1000);
    expect(Math.abs(length(r.pieces[0]!, 'hem') - length(before, 'hem'))).toBeLessThan(0.5);
  });

  it('is not for a front with a side dart, panels or a raglan', () => {
    expect(codeOn(fba, 'causeway')).toBe('front-has-side-dart');
    expect(codeOn(fba, 'skerry-armhole')).toBe('front-has-princess');
    expect(codeOn(fba, 'ebb')).toBe('armhole-missing');
  });
});
