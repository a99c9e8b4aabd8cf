import { describe, expect, it } from 'vitest';
import { draftSample, SAMPLE_IDS } from '@ample/core/blocks';
import { drawPiece } from '@ample/core/out';
import { layOut } from './layout.ts';

describe('laying pieces out on the mat', () => {
  it.each(SAMPLE_IDS)('%s: no piece lies on another, and all lie on the mat', (id) => {
    const pieces = draftSample(id, '6');
    const { at, mat } = layOut(pieces, []);
    const boxes = pieces.map((p) => {
      const { bounds: b } = drawPiece(p);
      const o = at[p.id] ?? { x: NaN, y: NaN };
      return { minX: b.minX + o.x, maxX: b.maxX + o.x, minY: b.minY + o.y, maxY: b.maxY + o.y };
    });
    boxes.forEach((a, i) => {
      expect(a.minX).toBeGreaterThanOrEqual(mat.minX);
      expect(a.minY).toBeGreaterThanOrEqual(mat.minY);
      expect(a.maxX).toBeLessThanOrEqual(mat.maxX);
      expect(a.maxY).toBeLessThanOrEqual(mat.maxY);
      for (const b of boxes.slice(i + 1))
        expect(a.maxX < b.minX || b.maxX < a.minX || a.maxY < b.minY || b.maxY < a.minY).toBe(true);
    });
  });
  it('leaves the first where they were when pieces are born, and lays many in rows', () => {
    const dress = draftSample('causeway', '4');
    const alone = layOut(dress, []);
    expect(
      new Set(dress.map((p) => Math.round((alone.at[p.id]?.y ?? 0) + drawPiece(p).bounds.minY))).size,
    ).toBeGreaterThan(1);
    const { mat } = alone;
    expect((mat.maxX - mat.minX) / (mat.maxY - mat.minY)).toBeLessThan(2.2);
    const two = draftSample('causeway-side', '4');
    const born = layOut(two, draftSample('skerry-armhole', '4').slice(1, 2));
    expect(born.at['front']).toEqual(layOut(two, []).at['front']);
  });
});
