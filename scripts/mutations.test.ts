import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { MUTATIONS } from './mutations.ts';

describe('the trial mutations', () => {
  it.each(MUTATIONS.map((m) => [`${m.file}: ${m.from}`, m] as const))('still finds its place in %s', (_name, m) => {
    expect(readFileSync(m.file, 'utf8').split(m.from)).toHaveLength(2);
    expect(m.to).not.toBe(m.from);
  });
});
