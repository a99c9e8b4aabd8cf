import { describe, expect, it } from 'vitest';
import { setupOf } from '../plan/index.ts';
import { samplePattern, type SampleId } from '../../blocks/index.ts';
import { stepSchema } from '../../documents/index.ts';
import { expectOk } from '../../units/index.ts';
import { wearerWith } from '../../testing/wearers.ts';
import { solve } from './solve.ts';

/** Each draft with its own bust step, asked for nothing, and a body this much fuller than the chart's. */
const DRAFTS: readonly (readonly [sample: SampleId, alteration: string, fuller: number, within: number])[] = [
  ['causeway', 'full-bust-side-dart', 40, 1],
  ['causeway-side', 'full-bust-side-dart', 40, 1],
  ['causeway-waist', 'full-bust-waist-dart', 40, 1],
  ['causeway-french', 'full-bust-french-dart', 40, 1],
  ['causeway-shoulder', 'full-bust-shoulder-dart', 40, 1],
  ['causeway-neck', 'full-bust-neck-dart', 40, 1],
  ['causeway-armhole', 'full-bust-armhole-dart', 40, 1],
  // Loose: only what goes beyond its room is asked for, and then all of it.
  ['causeway-shirt', 'full-bust-no-dart', 80, 1],
  ['causeway-cut-on', 'full-bust-cut-on-sleeve', 120, 1],
  // A princess seam faired at its apex takes some of the room again: the search has to ask for more.
  ['skerry-armhole', 'full-bust-princess-armhole', 40, 6],
  ['skerry-shoulder', 'full-bust-princess-shoulder', 40, 6],
];

describe('the search for amounts, begun from nothing', () => {
  it.each(DRAFTS)('finds on %s what the sum says', (sample, alteration, fuller, within) => {
    const job = {
      job: {
        size: '4',
        sizeMethod: 'highBust' as const,
        steps: [stepSchema.parse({ id: 's', alteration, revision: 1, values: { total: 0 } })],
      },
      wearer: wearerWith({ highBust: 870, fullBust: 920 + fuller }),
      pattern: samplePattern(sample, ['4']),
    };
    expect(setupOf(job).amounts?.chosen?.total).toBeCloseTo(fuller, 6);
    const found = expectOk(solve(job), sample);
    expect(Math.abs((found.amounts[0]?.to ?? 0) - fuller)).toBeLessThan(within);
    expect(Math.abs(found.after.find((r) => r.key === 'fullBust')?.left ?? 99)).toBeLessThan(0.1);
  });
});
