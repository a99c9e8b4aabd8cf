import { describe, expect, it } from 'vitest';
import { draft } from '../fitting/plan/index.ts';
import { pathLength } from '../geometry/index.ts';
import { edgesWithRole, type Piece } from '../pattern/index.ts';
import { wearerWith } from '../testing/wearers.ts';
import { chartOf, SAMPLE_SIZES, samplePattern } from './index.ts';

const skiff = samplePattern('skiff');
const part = (size: string, name: Piece['part']): Piece => skiff.sizes[size]?.find((p) => p.part === name) as Piece;

/** How tall a child of some size is in the chart, mm. */
const tall = (size: number): number => chartOf('skiff')[size - 1]?.body.height ?? 0;
const asked = (size: number, height: number) => {
  const { highBust, fullBust, waist } = chartOf('skiff')[size - 1]?.body ?? {};
  const body = { highBust: highBust!, fullBust: fullBust!, waist: waist!, height };
  const d = draft({ job: { size: null, sizeMethod: 'highBust', steps: [] }, wearer: wearerWith(body), pattern: skiff });
  return { size: d.size, asks: d.asks.map((a) => [a.alteration, a.fit.values['by']]) };
};

describe('the child’s top', () => {
  it('has a height for every size, six centimetres apart, and no cup', () => {
    expect(skiff.chart.map((r) => r.body.height)).toEqual([980, 1040, 1100, 1160, 1220, 1280, 1340, 1400]);
    expect(skiff.draftCup).toBe(0);
    expect(skiff.draftedHeight).toBeNull();
  });

  it('lets a head through: the neck edge, stretched by two fifths, is longer than a head', () => {
    // From two to ten years a head measures about 49 to 54 cm.
    for (const [i, size] of SAMPLE_SIZES.entries()) {
      const neck =
        2 *
        (['front', 'back'] as const).reduce(
          (sum, p) => sum + edgesWithRole(part(size, p), 'neck').reduce((n, e) => n + pathLength(e.path), 0),
          0,
        );
      expect(neck * (1 + skiff.fabric.stretch), size).toBeGreaterThan(490 + (50 * i) / 7);
    }
  });

  it('takes widths from one size and lengths from another: a tall child is asked for the nape to waist of its height', () => {
    for (const size of [2, 4, 6]) {
      expect(asked(size, tall(size))).toEqual({ size: String(size), asks: [] });
      for (const other of [size - 1, size + 1, size + 2]) {
        // From size to size the chart’s nape to waist, and so the draft’s, grows by 11.
        const { size: chosen, asks } = asked(size, tall(other));
        expect([chosen, asks.map((a) => a[0])]).toEqual([String(size), ['length-line']]);
        expect(Math.abs(Number(asks[0]?.[1]) - 11 * (other - size))).toBeLessThan(0.5);
      }
    }
  });
});
