import { describe, expect, it } from 'vitest';
import { SAMPLE_IDS, samplePattern } from '../drafting/index.ts';
import { wearerSchema } from '../formats/index.ts';
import type { ChartRow } from '../pattern/index.ts';
import { draft } from './index.ts';

/** A wearer whose every reading is what a row of the chart says. */
const bodyOf = (row: ChartRow) =>
  wearerSchema.parse({
    format: 'ample-draft/wearer',
    version: 1,
    id: 'w',
    name: 'W',
    sets: [
      {
        id: 's',
        date: '2026-10-01',
        readings: Object.fromEntries(Object.entries(row.body).map(([key, value]) => [key, [value]])),
      },
    ],
  });

describe('the body a pattern was drafted for', () => {
  it.each(SAMPLE_IDS)('is asked for nothing by %s in any size', (id) => {
    const pattern = samplePattern(id);
    for (const row of pattern.chart) {
      const d = draft({ job: { size: null, sizeMethod: 'highBust', steps: [] }, wearer: bodyOf(row), pattern });
      expect(d.size).toBe(row.size);
      expect(d.asks.map((a) => `${row.size} ${a.alteration} ${JSON.stringify(a.fit.values)}`)).toEqual([]);
      expect(d.amounts?.verdict).toBe('none');
      expect(d.amounts?.chosen?.total).toBeCloseTo(0, 6);
      for (const r of d.worksheet) expect(Math.abs(r.left ?? 0), `${row.size} ${r.key}`).toBeLessThan(0.01);
    }
  });
});
