import { describe, expect, it } from 'vitest';
import { pathLength } from '../../geometry/index.ts';
import { dartShape, edgesWithRole } from '../../pattern/index.ts';
import { seenFrom } from '../../testing/angles.ts';
import { primary } from '../../testing/runs.ts';
import { codeOn, runOn, sampleIn } from '../../testing/samples.ts';
import { expectOk } from '../../units/index.ts';
import { fullBustArmholeDart as fba } from './definition.ts';

const ON = 'causeway-armhole';
const before = sampleIn(ON, '4').pieces[0]!;
const ran = (total: number) => primary(expectOk(runOn(fba, ON, '4', { total, newBustPoint: 'moved' }), `by ${total}`));
const opening = (piece: typeof before, p: { x: number; y: number }) => {
  const { start, end } = dartShape(
    piece,
    piece.darts.find((d) => d.kind === 'armhole')!,
  );
  return seenFrom(p, start, end);
};

describe('a full bust into a armhole dart', () => {
  it('opens it by what the side turned, and leaves the side seam without a dart', () => {
    const r = ran(40);
    const turned = (Number(r.frames[2]!.messages[0]!.data['degrees']) * Math.PI) / 180;
    const moved = r.bustPoint!;
    const level = r.frames[3]!.piece;
    // Seen from the moved bust point, before and after the side is closed into it.
    expect(opening(r.pieces[0]!, moved) - opening(level, moved)).toBeCloseTo(turned, 6);
    expect(r.pieces[0]!.darts.map((d) => d.kind).sort()).toEqual(before.darts.map((d) => d.kind).sort());
    const side = (piece: typeof before) => edgesWithRole(piece, 'side').reduce((n, e) => n + pathLength(e.path), 0);
    expect(Math.abs(side(r.pieces[0]!) - side(before))).toBeLessThan(0.05);
  });

  it('closes it by as much for a small bust, and refuses to close it altogether', () => {
    const small = ran(-12);
    expect(opening(small.pieces[0]!, small.bustPoint!)).toBeLessThan(opening(before, small.bustPoint!));
    expect(small.overlapped).toBeGreaterThan(500);
    expect(codeOn(fba, ON, { total: -60 })).toBe('overlap-larger-than-dart');
  });

  it('is only for a front that has one', () => {
    expect(codeOn(fba, 'causeway-shirt')).toBe('no-such-dart');
    expect(codeOn(fba, 'causeway')).toBe('front-has-side-dart');
  });
});
