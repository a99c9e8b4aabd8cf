// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import { DEMO_JOBS } from '@ample/samples';
import { whatHappened } from './happened.ts';

const job = DEMO_JOBS.find((j) => j.id === 'marit-causeway')!;

describe('what happened, as a text', () => {
  it('names version, place, pattern and steps, and no value of any step', () => {
    const on = {
      ...job,
      title: 'Concert bodice',
      notes: 'Bust 96.8',
      steps: [{ ...job.steps[0]!, values: { total: 48.25 } }],
    };
    const text = whatHappened(new TypeError('no edge at 123.4 of 968'), 'Table', on);
    expect(text).toContain('At: Table');
    expect(text).toContain('Pattern: causeway');
    expect(text).toContain(`Steps: ${job.steps[0]!.alteration}`);
    expect(text).toContain('TypeError: no edge at # of #');
    expect(text).not.toMatch(/48[.,]25|96[.,]8|Concert|Marit/);
  });
  it('shows where in the program it was, not where that lies', () => {
    const error = new Error('Failed to fetch https://sewing.example/ample/assets/Compare-2b.js');
    error.stack =
      'Error: x\n    at place (https://sewing.example/ample/assets/Table-1a.js:10:20)\n    at file:///home/me/x.js:1:2';
    const text = whatHappened(error, 'Table', null);
    expect(text).toContain('at place Table-1a.js:10:20');
    expect(text).toContain('Error: Failed to fetch Compare-2b.js');
    expect(text).not.toMatch(/sewing\.example|home/);
  });
});
