import { describe, expect, it } from 'vitest';
import { draft } from '../fitting/plan/index.ts';
import { causewayPattern } from '../blocks/index.ts';
import { stepSchema, type Step } from '../documents/index.ts';
import type { MeasurementKey } from '../pattern/index.ts';
import { wearerWith } from '../testing/wearers.ts';
import { sayAdvice, sayWorth } from './index.ts';

const pattern = causewayPattern();
const row = pattern.chart.find((r) => r.size === '4')?.body ?? {};
/** What is said of a body of size 4 that differs so. */
function said(differs: Partial<Record<MeasurementKey, number>>, steps: readonly Step[] = [], own = row): string {
  const d = draft({
    job: { size: '4', sizeMethod: 'highBust', steps: [...steps] },
    wearer: wearerWith({ ...own, ...differs }),
    pattern,
  });
  return sayAdvice(d, { unit: 'cm', fraction: 8 });
}

describe('what to do and what to leave, in one sentence', () => {
  it('is nothing for the body the pattern was drafted for', () => {
    expect(said({})).toBe('Nothing is worth altering: the pattern fits these measurements.');
  });
  it('names what is worth it, and leaves the rest', () => {
    expect(said({ fullBust: 968, shoulder: 113 })).toBe(
      'Worth altering: narrow shoulder, slashed; the bust by +4.8 cm. Leave the 12 measurements that fit.',
    );
    expect(said({ fullBust: 902 })).toMatch(/the bust by −1.8 cm if the style is fitted or drag lines show/);
    expect(said({ shoulder: 113 }, [], { highBust: 870, waist: 741 })).toBe(
      'Worth altering: narrow shoulder, slashed. Leave high bust and waist.',
    );
  });
  it('says when the plan has all of it', () => {
    const step = stepSchema.parse({ id: 's', alteration: 'shoulder-slash', revision: 1 });
    expect(said({ shoulder: 113 }, [step])).toBe('Nothing more is worth altering.');
    expect(said({ shoulder: 113, fullBust: 968 }, [step])).toMatch(/^Still worth altering: the bust by \+4.8 cm\./);
  });
  it('is silent while nothing is measured', () => {
    expect(said({}, [], {})).toBe('');
  });
});

describe('what leaving a step out would cost', () => {
  const units = { unit: 'cm', fraction: 8 } as const;
  const worth = (key: MeasurementKey | null, left: number, within = false) =>
    sayWorth({ step: 's', key, right: false, left, cost: Math.abs(left), within }, units);
  it('is said as one feels it: short and long, tight and wide', () => {
    expect(worth('fullBust', 48)).toBe('Left out, the full bust would be 4.8 cm too tight.');
    expect(worth('waist', -30)).toBe('Left out, the waist would be 3.0 cm too wide.');
    expect(worth('napeToWaist', -12)).toBe('Left out, the nape to waist would be 1.2 cm too long.');
    expect(worth('shoulder', -3, true)).toBe(
      'Left out, the shoulder would be 0.3 cm too long: within what a tape can tell.',
    );
    expect(worth(null, 0)).toBe('Left out, nothing that was measured would differ.');
  });
});
