import { describe, expect, it } from 'vitest';
import { samplePattern } from '../blocks/index.ts';
import { formOfBoth, type Figure } from '../form/index.ts';
import { expectOk, toEnd } from '../units/index.ts';
import { joined, read, standOf, worn, type Halves, type ReadingId, type Worn } from './index.ts';

const pattern = samplePattern('causeway', ['4']);
const row = pattern.chart.find((r) => r.size === '4')!.body;
const garment = { pieces: pattern.sizes['4']!, seams: pattern.seams };
const half = (figure: Figure): Worn => expectOk(worn(garment, standOf(figure), 'calico', 'coarse'), 'half');

/** How far the points of the middle of one half lie from those of the other, m. */
function apart({ left, right }: Halves): number {
  let most = 0;
  for (const key of left.toile.centres) {
    const [a, b] = [left.toile.edges.get(key)!, right.toile.edges.get(key)!];
    a.forEach((i, k) => {
      const at = (w: Worn, p: number, d: number, way: 1 | -1 = 1) => way * w.x[3 * p + d]!;
      const j = b[k]!;
      most = Math.max(
        most,
        Math.hypot(
          at(left, i, 0) - at(right, j, 0, -1),
          at(left, i, 1) - at(right, j, 1),
          at(left, i, 2) - at(right, j, 2),
        ),
      );
    });
  }
  return most;
}

describe('two halves of a garment sewn together down the middle', () => {
  const { figure } = formOfBoth({ ...row, shoulderSlope: 40 }, { ...row, shoulderSlope: 64 });
  const even = half(figure);
  const low = half(figure.right!);
  const off = (a: Worn, b: Worn, id: ReadingId): number => read(a)[id]! - read(b)[id]!;

  it('hang as they did where they are alike, and stay alike', () => {
    const { left, right } = toEnd(joined({ left: even, right: { ...even } }));
    expect([left.settled, right.settled]).toEqual([true, true]);
    for (const id of [
      'waist-seam-front',
      'waist-seam-side',
      'waist-seam-back',
      'neck-rise-back',
      'ease-bust',
    ] as const) {
      expect(Math.abs(off(left, even, id))).toBeLessThan(3);
      expect(Math.abs(off(left, right, id))).toBeLessThan(1);
    }
  });

  it('meet, come to rest and draw on each other where they are not', () => {
    const before: Halves = { left: even, right: low };
    expect(apart(before)).toBeGreaterThan(0.004);
    const after = toEnd(joined(before));
    expect([after.left.settled, after.right.settled]).toEqual([true, true]);
    expect(apart(after)).toBe(0);
    // In the middle both read the same, between what each read by itself.
    for (const id of ['neck-rise-back', 'waist-seam-front', 'waist-seam-back'] as const) {
      const [one, two, both] = [read(even)[id]!, read(low)[id]!, read(after.left)[id]!];
      expect(off(after.right, after.left, id)).toBeCloseTo(0, 6);
      expect(both).toBeGreaterThan(Math.min(one, two));
      expect(both).toBeLessThan(Math.max(one, two));
    }
  });
});
