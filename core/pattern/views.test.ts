import { describe, expect, it } from 'vitest';
import { samplePattern, SAMPLE_SIZES } from '../blocks/index.ts';
import { draft } from '../fitting/plan/index.ts';
import { checkPieces, walkSeam } from '../paper/truing/index.ts';
import { wearerWith } from '../testing/wearers.ts';
import { inView, patternSchema, viewOf, type Pattern } from './index.ts';

const quay = samplePattern('quay');
const [A, B] = quay.views as [Pattern['views'][number], Pattern['views'][number]];
const ids = (p: Pattern, size = '4'): readonly string[] => (p.sizes[size] ?? []).map((x) => x.id);

describe('a pattern with views', () => {
  it('holds the pieces of one view and those that no view names, and shares the very pieces', () => {
    expect(ids(inView(quay, A.name))).toEqual(['front', 'yoke', 'back', 'sleeve', 'cuff', 'stand', 'collar']);
    expect(ids(inView(quay, B.name))).toEqual(['front', 'yoke', 'back', 'shortSleeve', 'stand']);
    for (const view of [A, B])
      for (const p of inView(quay, view.name).sizes['4'] ?? []) expect(quay.sizes['4']).toContain(p);
    expect(inView(quay, B.name)).toBe(inView(quay, B.name));
  });

  it('takes the first where none is named or the name is gone; without views it is the pattern itself', () => {
    expect(viewOf(quay, null)).toBe(A);
    expect(inView(quay, 'gone')).toBe(inView(quay, A.name));
    const plain = samplePattern('jetty');
    expect(inView(plain, 'any')).toBe(plain);
    expect(viewOf(plain, null)).toBeNull();
  });

  it.each([A, B])('%# sews up in every size: each seam is there and meets', (view) => {
    const pattern = inView(quay, view.name);
    for (const size of SAMPLE_SIZES) {
      const pieces = pattern.sizes[size] ?? [];
      for (const s of pattern.seams) expect(Math.abs(walkSeam(pieces, s).difference), s.id).toBeLessThan(1e-3);
      expect(checkPieces(pieces, pattern.seams).findings).toEqual([]);
    }
    expect(pattern.seams.filter((s) => s.kind === 'armhole')).toHaveLength(2);
  });

  it('a job makes one view: only its pieces are measured and cut', () => {
    const row = quay.chart.find((r) => r.size === '4')!.body;
    for (const [view, sleeves] of [
      [A, ['sleeve', 'cuff']],
      [B, ['shortSleeve']],
    ] as const) {
      const made = draft({
        job: { size: null, sizeMethod: 'highBust', steps: [], view: view.name },
        wearer: wearerWith(row),
        pattern: quay,
      });
      expect(made.view).toBe(view.name);
      expect(made.asks).toEqual([]);
      const cut = made.pieces.map((p) => p.id);
      expect(cut).toEqual(ids(inView(quay, view.name)));
      expect(cut).toEqual(expect.arrayContaining([...sleeves]));
    }
  });

  it('reads a document from before views as one without', () => {
    const { views: _new, ...old } = samplePattern('jetty', ['4']);
    expect(patternSchema.parse(structuredClone(old)).views).toEqual([]);
  });
});
