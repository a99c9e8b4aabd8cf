import { describe, expect, it } from 'vitest';
import { samplePattern } from '../../blocks/index.ts';
import type { Job, Wearer } from '../../documents/schema.ts';
import type { MeasurementKey } from '../../pattern/index.ts';
import { wearerWith, type Readings } from '../../testing/wearers.ts';
import { draft } from './index.ts';

const SIZE = '4';
/** Lengths that would tell where a body is longer: left out, only the height is known. */
const LENGTHS: readonly MeasurementKey[] = [
  'napeToWaist',
  'napeToFrontWaist',
  'frontWaistLength',
  'bustPointToWaist',
  'sideWaist',
];
const onSize = (
  id: 'ebb' | 'causeway',
  {
    differs = {},
    without = [],
    job = {},
    lies,
  }: {
    readonly differs?: Readings;
    readonly without?: readonly MeasurementKey[];
    readonly job?: Partial<Pick<Job, 'hanging' | 'steps'>>;
    readonly lies?: Wearer['heightLies'];
  },
) => {
  const pattern = samplePattern(id);
  const body = { ...pattern.chart.find((r) => r.size === SIZE)?.body, ...differs };
  const known = Object.fromEntries(Object.entries(body).filter(([key]) => !without.includes(key as MeasurementKey)));
  return draft({
    job: { size: SIZE, sizeMethod: 'highBust', steps: [], ...job },
    wearer: { ...wearerWith(known), ...(lies ? { heightLies: lies } : {}) },
    pattern,
  });
};
const asked = (d: ReturnType<typeof draft>) => d.asks.map((a) => [a.alteration, a.fit.values['by']]);

describe('a skirt that hangs from a bodice that stretches', () => {
  // 300 g, and 100 g make it 4 mm longer: 12 mm.
  const hanging = { grams: 300, stretch: 4 };
  it('is met by lengths so much shorter, once, on the body the pattern is drafted for', () => {
    expect(asked(onSize('ebb', {}))).toEqual([]);
    expect(asked(onSize('ebb', { job: { hanging } }))).toEqual([['length-line', -12]]);
    expect(asked(onSize('ebb', { job: { hanging }, without: LENGTHS }))).toEqual([['length-line', -12]]);
  });
  it('shows in the comparison as ease below nothing, and leaves nothing once it is done', () => {
    const row = onSize('ebb', { job: { hanging } }).worksheet.find((r) => r.key === 'napeToWaist');
    expect(row).toMatchObject({ easeFrom: 'hung' });
    expect(row?.difference).toBeCloseTo(-12, 6);
    const step = {
      id: 's',
      alteration: 'length-line',
      revision: 1,
      school: 'auto' as const,
      knitFactor: null,
      values: { by: -12 },
      side: 'both' as const,
      on: true,
    };
    const done = onSize('ebb', { job: { hanging, steps: [step] } });
    expect(done.worksheet.find((r) => r.key === 'napeToWaist')?.left).toBeCloseTo(0, 6);
    expect(asked(done)).toEqual([]);
  });
  it('weighs nothing where nothing hangs', () => {
    for (const nothing of [null, { grams: 0, stretch: 4 }, { grams: 300, stretch: 0 }])
      expect(asked(onSize('ebb', { job: { hanging: nothing } }))).toEqual([]);
  });
});

describe('where a wearer is taller than the pattern', () => {
  // Drafted for 1660, 1740 tall: 80. All over, a quarter to a half: the middle is 3/8 · 80 = 30; in the torso, a half to
  // three quarters: 5/8 · 80 = 50; in the legs none.
  const tall = { differs: { height: 1740 }, without: LENGTHS };
  it.each([
    ['allOver', 30],
    ['torso', 50],
  ] as const)('%s: the bodice takes %d', (lies, by) => {
    expect(asked(onSize('causeway', { ...tall, lies }))).toEqual([['length-line', by]]);
  });
  it('in the legs: the bodice takes nothing', () => {
    expect(asked(onSize('causeway', { ...tall, lies: 'legs' }))).toEqual([]);
  });
  it('a measured side beats it, wherever the height lies', () => {
    for (const lies of ['allOver', 'torso', 'legs'] as const)
      expect(asked(onSize('causeway', { differs: { height: 1740 }, lies }))).toEqual([]);
  });
});

describe('lines of one’s own', () => {
  it('stand on one plan as often as one likes, each with its own amount', () => {
    const step = (id: string, by: number, away: number) => ({
      id,
      alteration: 'length-anywhere',
      revision: 1,
      school: 'auto' as const,
      knitFactor: null,
      values: { by, away },
      side: 'both' as const,
      on: true,
    });
    const steps = [step('a', 6, 40), step('b', 9, 120), step('c', -3, -40)];
    const before = onSize('causeway', {}).worksheet.find((r) => r.key === 'napeToWaist')?.pattern ?? NaN;
    const after = onSize('causeway', { job: { steps } }).worksheet.find((r) => r.key === 'napeToWaist')?.after ?? NaN;
    expect(after - before).toBeCloseTo(6 + 9 - 3, 6);
  });
});
