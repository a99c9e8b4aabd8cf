import { describe, expect, it } from 'vitest';
import { SAMPLE_SIZES } from '../drafting/index.ts';
import { runOn, sampleIn } from '../testing/samples.ts';
import { CATALOGUE, flatOf } from './index.ts';

const TOTALS = [-16, -8, 8, 20, 40, 60];

describe('what is typed is what the bust grows by, through the bust point', () => {
  const bust = CATALOGUE.filter((d) => d.family === 'bust' && d.amount === 'total');
  it.each(bust.map((d) => [d.id, d] as const))('%s', (id, d) => {
    // Where a princess seam is faired at the apex some of the room goes again, on panels.
    const slack = (total: number): number => (id.includes('princess') ? Math.max(4, Math.abs(total) * 0.18) : 1);
    const off: string[] = [];
    let ran = 0;
    for (const on of new Set(d.examples.map((e) => e.on)))
      for (const size of SAMPLE_SIZES)
        for (const total of TOTALS) {
          const values = d.examples.find((e) => e.on === on)?.values ?? {};
          const run = runOn(d, on, size, { ...values, total });
          if (!run.ok) continue;
          ran += 1;
          const grown =
            (flatOf(run.value, 'fullBust')?.value ?? 0) - (flatOf(sampleIn(on, size), 'fullBust')?.value ?? 0);
          if (!(Math.abs(grown - total) <= slack(total))) off.push(`${on} ${size} by ${total}: ${grown.toFixed(2)}`);
        }
    expect(ran).toBeGreaterThan(20);
    expect(off).toEqual([]);
  });
});
