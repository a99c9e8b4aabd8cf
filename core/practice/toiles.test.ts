import { describe, expect, it } from 'vitest';
import { allOnForm, signsOf, toSee } from '../fitting/onForm/index.ts';
import { CAUSES } from '../fitting/toile/index.ts';
import { expectOk, nth } from '../units/index.ts';
import { mended, speaksFor, toileOf, TOILES } from './index.ts';

const SEEDS = Array.from({ length: 120 }, (_, i) => i + 1);
const causeBy = (id: string) =>
  nth(
    CAUSES.filter((c) => c.id === id),
    0,
  );
/** The first seed that draws a cause on a sample. */
const seedFor = (on: string, cause: string): number =>
  SEEDS.find((s) => toileOf(s).on === on && toileOf(s).right === cause) ?? NaN;

/** What a toile shows as drafted, and as planned where there is a plan. */
const signsOn = (job: ReturnType<typeof mended>) => {
  const { seen } = expectOk(allOnForm(expectOk(toSee(job), 'to see'), 'calico', 'coarse'), 'hung');
  const of = (on: 'drafted' | 'planned') => signsOf(seen[on].readings).map((s) => s.sign);
  return { drafted: of('drafted'), planned: of('planned') };
};

describe('toiles to read', () => {
  it('offer the cause once among four of their own sample, and all of them come up', () => {
    const drawn = SEEDS.map(toileOf);
    for (const { options, right, on } of drawn) {
      expect(new Set(options).size).toBe(4);
      expect(options.filter((o) => o === right)).toHaveLength(1);
      for (const o of options) expect(TOILES.some((c) => c.on === on && c.cause === o)).toBe(true);
    }
    for (const { on, cause } of TOILES) expect(seedFor(on, cause)).toBeGreaterThan(0);
  });

  it.each(TOILES.map((c) => [c.cause, c.on] as const))(
    '%s on %s shows on the cloth, and no other cause as well',
    (cause, on) => {
      const { job, options } = toileOf(seedFor(on, cause));
      const { drafted } = signsOn(job);
      const own = speaksFor(causeBy(cause), drafted);
      expect(own).toBeGreaterThanOrEqual(0.5);
      for (const other of options)
        if (other !== cause) expect(own - speaksFor(causeBy(other), drafted)).toBeGreaterThan(0.3);
    },
  );

  it('a body’s own steps take its sign away', () => {
    const { drafted, planned } = signsOn(mended(toileOf(seedFor('causeway', 'narrow-shoulder')).job));
    expect(drafted).toEqual(['shoulder-hangs']);
    expect(planned).toEqual([]);
  });
});
