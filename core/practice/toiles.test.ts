import { describe, expect, it } from 'vitest';
import { compared, read, type Readings } from '../drape/index.ts';
import type { SymptomId } from '../fitting/fit/index.ts';
import { signsOf, toSee } from '../fitting/onForm/index.ts';
import type { ResolvedJob } from '../fitting/plan/index.ts';
import { CAUSES } from '../fitting/toile/index.ts';
import type { Body } from '../form/index.ts';
import type { Garment } from '../sew/index.ts';
import { onBody } from '../testing/onBody.ts';
import { expectOk, nth } from '../units/index.ts';
import { BESIDES, drawFrom, mended, speaksFor, toileOf, toileWith, TOILES, TOILE_SIZES } from './index.ts';

const SEEDS = Array.from({ length: 120 }, (_, i) => i + 1);
/** Each in one size, by turns: all of them take minutes, and are hung with EVERY_SIZE=1. */
const sizesFor = (i: number): readonly string[] =>
  process.env['EVERY_SIZE'] ? TOILE_SIZES : [nth(TOILE_SIZES, i % TOILE_SIZES.length)];
const causeBy = (id: string) =>
  nth(
    CAUSES.filter((c) => c.id === id),
    0,
  );
/** The first seed that draws a cause on a sample. */
const seedFor = (on: string, cause: string): number =>
  SEEDS.find((s) => toileOf(s).on === on && toileOf(s).right === cause) ?? NaN;

const on = (garment: Garment, body: Body): Readings => read(onBody(garment, body));
/** What a job shows as drafted, and with its steps. Bodies of the chart are hung once. */
const controls = new Map<string, Readings>();
function signsOn(job: ResolvedJob): { readonly drafted: readonly string[]; readonly planned: () => readonly string[] } {
  const { drafted, planned, body, chart, size } = expectOk(toSee(job), 'to see');
  const key = `${job.pattern.id} ${size}`;
  const control = controls.get(key) ?? on(drafted, chart);
  controls.set(key, control);
  const signs = (garment: Garment) => signsOf(compared(on(garment, body), control, 'calico')).map((s) => s.sign);
  return { drafted: signs(drafted), planned: () => signs(planned?.left ?? drafted) };
}

describe('toiles to read', () => {
  it('offer the cause once among four of their own sample, and all of them come up', () => {
    const drawn = SEEDS.map(toileOf);
    for (const { options, right, on } of drawn) {
      expect(new Set(options).size).toBe(4);
      expect(options.filter((o) => o === right)).toHaveLength(1);
      for (const o of options)
        expect(TOILES.some((c) => c.on === on && c.cause === o) || BESIDES[on]?.includes(o)).toBe(true);
    }
    for (const { on, cause } of TOILES) expect(seedFor(on, cause)).toBeGreaterThan(0);
  });

  it.each(TOILES.flatMap((c, i) => sizesFor(i).map((size) => [c.cause, c.on, size, c] as const)))(
    '%s on %s in size %s shows on the cloth at its least, and no other cause as well',
    (cause, _, size, its) => {
      const { job } = toileWith(its, size, Math.min(...its.amounts), drawFrom(1).oneOf);
      const drafted = signsOn(job).drafted as readonly SymptomId[];
      const own = speaksFor(causeBy(cause), drafted);
      expect(own).toBeGreaterThanOrEqual(0.5);
      const offered = [...TOILES.filter((o) => o.on === its.on).map((o) => o.cause), ...(BESIDES[its.on] ?? [])];
      for (const other of offered)
        if (other !== cause) expect(own - speaksFor(causeBy(other), drafted)).toBeGreaterThan(0.3);
    },
  );

  it('a body’s own steps take its sign away', () => {
    const { drafted, planned } = signsOn(mended(toileOf(seedFor('causeway', 'narrow-shoulder')).job));
    expect(drafted).toEqual(['shoulder-hangs']);
    expect(planned()).toEqual([]);
  });
});
