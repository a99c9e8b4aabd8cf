import { describe, expect, it } from 'vitest';
import { SAMPLE_IDS, samplePattern } from '../../blocks/index.ts';
import type { ChartRow, Pattern } from '../../pattern/index.ts';
import { wearerWith } from '../../testing/wearers.ts';
import { draft } from './index.ts';

/** A wearer whose every reading is what a row of the chart says. */
const bodyOf = (row: ChartRow) => wearerWith(row.body);

describe('the body a pattern was drafted for', () => {
  it.each(SAMPLE_IDS)('is asked for nothing by %s in any size', (id) => {
    const pattern = samplePattern(id);
    for (const row of pattern.chart) {
      const d = draft({ job: { size: null, sizeMethod: 'highBust', steps: [] }, wearer: bodyOf(row), pattern });
      expect(d.size).toBe(row.size);
      expect(d.asks.map((a) => `${row.size} ${a.alteration} ${JSON.stringify(a.fit.values)}`)).toEqual([]);
      // What hangs from the waist tells nothing of a bust.
      if (pattern.garment === 'top') {
        expect(d.amounts?.verdict).toBe('none');
        expect(d.amounts?.chosen?.total).toBeCloseTo(0, 6);
      }
      for (const r of d.worksheet) expect(Math.abs(r.left ?? 0), `${row.size} ${r.key}`).toBeLessThan(0.01);
    }
  });

  it('is asked for nothing by a skirt alone, chosen by the hip', () => {
    const dress = samplePattern('causeway');
    const isSkirt = (id: string): boolean => id.startsWith('skirt') || id === 'pocket';
    const pattern: Pattern = {
      ...dress,
      garment: 'bottom',
      seams: dress.seams.filter((s) => isSkirt(s.first.piece) && isSkirt(s.second.piece)),
      sizes: Object.fromEntries(Object.entries(dress.sizes).map(([k, p]) => [k, p.filter((x) => isSkirt(x.id))])),
    };
    for (const row of pattern.chart) {
      const d = draft({ job: { size: null, sizeMethod: 'hip', steps: [] }, wearer: bodyOf(row), pattern });
      expect(d.size).toBe(row.size);
      expect(d.asks.map((a) => `${row.size} ${a.alteration} ${JSON.stringify(a.fit.values)}`)).toEqual([]);
      for (const r of d.worksheet) expect(Math.abs(r.left ?? 0), `${row.size} ${r.key}`).toBeLessThan(0.01);
    }
  });
});
