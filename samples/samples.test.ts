import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { wholeSample } from '@ample/core/blocks';
import { draft } from '@ample/core/fitting/plan';
import { readJob, readPattern, readWearer, writeDocument } from '@ample/core/documents';
import { DEMO_JOBS, DEMO_WEARERS, inlineDemoJob } from './index.ts';

describe('the demo scenario', () => {
  it('is made of documents that read', () => {
    for (const w of DEMO_WEARERS) expect(readWearer(w).ok).toBe(true);
    for (const j of DEMO_JOBS) expect(readJob(j).ok).toBe(true);
    expect(readPattern(wholeSample('causeway')).ok).toBe(true);
  });

  it.each([
    ['marit-causeway', '4', 48],
    ['tove-causeway', '5', -17],
    ['ines-causeway', '3', null],
  ] as const)('%s starts from size %s', (id, size, total) => {
    const job = DEMO_JOBS.find((j) => j.id === id)!;
    const wearer = DEMO_WEARERS.find((w) => 'id' in job.wearer && w.id === job.wearer.id)!;
    const d = draft({ job, wearer, pattern: wholeSample('causeway') });
    expect(d.size).toBe(size);
    expect(d.bodyProblems).toEqual([]);
    expect(d.steps.every((s) => s.outcome.ok)).toBe(true);
    if (total !== null) expect(Math.abs(Number(d.steps[0]?.values['total'] ?? 0) - total)).toBeLessThan(0.6);
    expect(d.check.findings.filter((f) => f.grade === 'fault')).toEqual([]);
  });

  it('stands as files that a terminal takes, in step with the code', () => {
    for (const job of DEMO_JOBS)
      expect(readFileSync(new URL(`documents/${job.id}.job.json`, import.meta.url), 'utf8')).toBe(
        writeDocument(inlineDemoJob(job.id)),
      );
  });
});
