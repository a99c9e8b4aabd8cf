import { describe, expect, it } from 'vitest';
import { flatOf } from '../../alterations/index.ts';
import { SAMPLE_IDS, samplePattern } from '../../blocks/index.ts';
import { wearerWith, type Readings } from '../../testing/wearers.ts';
import { draft, planStep, type ResolvedJob } from './index.ts';

/** How far the shoulder of the draft drops, and of four bodies that differ from it, mm. */
const DRAFTED = 39;
const SLOPES: readonly number[] = [-14, -7, 7, 14].map((by) => DRAFTED + by);

const tops = SAMPLE_IDS.filter((id) => samplePattern(id).garment === 'top');

function jobOn(id: (typeof tops)[number], slope: number): ResolvedJob {
  const pattern = samplePattern(id);
  const row = pattern.chart.find((r) => r.size === '4')!.body as Readings;
  const wearer = wearerWith({ ...row, shoulderSlope: slope });
  return { job: { size: '4', sizeMethod: 'highBust', steps: [] }, wearer, pattern };
}

describe('a body that differs in the slope of its shoulder alone', () => {
  it.each(tops)('is asked for nothing but that by %s', (id) => {
    for (const slope of SLOPES)
      for (const ask of draft(jobOn(id, slope)).asks) expect(ask.alteration).toBe('shoulder-slope');
  });

  it('leaves the width of a low neckline and the tape around the bust under a low armhole as they were', () => {
    for (const [id, key, slope] of [
      ['causeway-wide-neck', 'crossFront', 25],
      ['causeway-low-armhole', 'fullBust', 53],
    ] as const) {
      const job = jobOn(id, slope);
      const before = flatOf({ pieces: job.pattern.sizes['4']!, seams: job.pattern.seams }, key)!.value;
      const sloped = draft({ ...job, job: { ...job.job, steps: [planStep('slope', 'shoulder-slope')] } }).sides.left;
      expect(Math.abs(flatOf(sloped, key)!.value - before)).toBeLessThan(4);
    }
  });
});
