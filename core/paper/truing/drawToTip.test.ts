import { describe, expect, it } from 'vitest';
import { draftSample } from '../../blocks/index.ts';
import { distance, endTangent, pathLength, polyline, splitAtLength, type Point } from '../../geometry/index.ts';
import { bustPointOf, dartShape, edgeOf, type Piece } from '../../pattern/index.ts';
import { drawToTip, measureDart } from './index.ts';

const front = draftSample('causeway', '4')[0] as Piece;
const neck = draftSample('causeway-neck', '4')[0] as Piece;
const moved = (piece: Piece, by: Point, kind: string) => {
  const dart = piece.darts.find((d) => d.kind === kind)!;
  const tip = { x: dart.tip.x + by.x, y: dart.tip.y + by.y };
  return { dart, tip, done: drawToTip(piece, dart, tip) };
};

describe('drawing a dart to another tip', () => {
  it('puts the tip exactly there and makes the legs equal, about half of the difference on each', () => {
    for (const by of [
      { x: 0, y: -12 },
      { x: 5, y: 9 },
    ]) {
      const { dart, tip, done } = moved(front, by, 'side');
      const before = dartShape(front, dart);
      const after = dartShape(
        done,
        done.darts.find((d) => d.id === dart.id)!,
      );
      expect(after.tip).toEqual(tip);
      const m = measureDart(after);
      expect(m.startLeg).toBeCloseTo(m.endLeg, 9);
      expect(m.startLeg).toBeCloseTo((distance(tip, before.start) + distance(tip, before.end)) / 2, 0);
    }
  });

  it('keeps the sewn seam as long as it was: what it would gain the dart takes up', () => {
    const sewn = (piece: Piece) =>
      ['sideUpper', 'sideLower'].reduce((sum, id) => sum + pathLength(edgeOf(piece, id)!.path), 0);
    for (const y of [-25.4, -12, 14]) {
      const { done } = moved(front, { x: 0, y }, 'side');
      expect(Math.abs(sewn(done) - sewn(front))).toBeLessThan(0.02);
    }
  });

  it('lets a curved seam arrive in its old direction', () => {
    const { done } = moved(neck, { x: 4, y: 0 }, 'neck');
    const [u, v] = [endTangent(edgeOf(done, 'neck')!.path), endTangent(edgeOf(neck, 'neck')!.path)];
    expect(u.x * v.x + u.y * v.y).toBeCloseTo(1, 9);
  });

  it('does nothing when the tip stays on the dart’s own middle line', () => {
    const { done } = moved(front, { x: 0, y: 0 }, 'waist');
    const p = bustPointOf(done);
    expect(p).toEqual(bustPointOf(front));
    expect(pathLength(edgeOf(done, 'waistCentre')!.path)).toBeCloseTo(
      pathLength(edgeOf(front, 'waistCentre')!.path),
      9,
    );
  });
});

it('a split at an arc length takes a joint that lies as near as lengths are known', () => {
  const bent = polyline([
    { x: 0, y: 0 },
    { x: 30, y: 0 },
    { x: 30, y: 40 },
  ]);
  for (const off of [-4e-6, 0, 4e-6]) {
    const [head, tail] = splitAtLength(bent, 30 + off);
    expect([head.segments.length, tail.segments.length]).toEqual([1, 1]);
  }
  expect(splitAtLength(bent, 30.01)[0].segments).toHaveLength(2);
});
