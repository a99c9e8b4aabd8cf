import { describe, expect, it } from 'vitest';
import { nearestOnPath, pathLength } from '../../../geometry/index.ts';
import { dartShape, edgesWithRole } from '../../../pattern/index.ts';
import { expectOk } from '../../../units/index.ts';
import { seenFrom } from '../../../testing/angles.ts';
import { primary } from '../../../testing/runs.ts';
import { codeOn, runOn, sampleIn } from '../../../testing/samples.ts';
import { fullBustArmholeDart } from '../../bust/armholeDart/definition.ts';
import { fullBustFrenchDart } from '../../bust/frenchDart/definition.ts';
import { fullBustNeckDart } from '../../bust/neckDart/definition.ts';
import { fullBustShoulderDart } from '../../bust/shoulderDart/definition.ts';

/** What holds of every bust alteration that turns its opening into a dart of another seam. */
describe.each([
  ['french', fullBustFrenchDart, 'causeway-french'],
  ['shoulder', fullBustShoulderDart, 'causeway-shoulder'],
  ['neck', fullBustNeckDart, 'causeway-neck'],
  ['armhole', fullBustArmholeDart, 'causeway-armhole'],
] as const)('through the %s dart', (kind, definition, on) => {
  const before = sampleIn(on, '4').pieces[0]!;
  const ran = (total: number) =>
    primary(expectOk(runOn(definition, on, '4', { total, newBustPoint: 'moved' }), `by ${total}`));
  const opening = (piece: typeof before, p: { x: number; y: number }) => {
    const { start, end } = dartShape(
      piece,
      piece.darts.find((d) => d.kind === kind)!,
    );
    return seenFrom(p, start, end);
  };

  describe(`a full bust into a ${kind} dart`, () => {
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

    it('keeps its pin on the seam it holds, wherever the paper goes', () => {
      for (const total of [40, -12])
        for (const frame of ran(total).frames.slice(2, 5)) {
          const pin = frame.points.find((p) => p.id === 'hinge')!.at;
          const edges = edgesWithRole(frame.piece, 'armhole');
          expect(Math.min(...edges.map((e) => nearestOnPath(e.path, pin).distance)), frame.stage).toBeLessThan(0.01);
        }
    });

    it('closes it by as much for a small bust, and refuses to close it altogether', () => {
      const small = ran(-12);
      expect(opening(small.pieces[0]!, small.bustPoint!)).toBeLessThan(opening(before, small.bustPoint!));
      expect(small.overlapped).toBeGreaterThan(500);
      expect(codeOn(definition, on, { total: -60 })).toBe('overlap-larger-than-dart');
    });

    it('is only for a front that has one', () => {
      expect(codeOn(definition, 'causeway-shirt')).toBe('no-such-dart');
      expect(codeOn(definition, 'causeway')).toBe('front-has-side-dart');
    });
  });
});
