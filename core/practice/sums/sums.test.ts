import { describe, expect, it } from 'vitest';
import { speaker } from '../../speech/index.ts';
import { mark, SUMS, sumOf } from './index.ts';

const CM = { unit: 'cm', fraction: 8 } as const;
const IN = { unit: 'in', fraction: 8 } as const;
const by = (id: string) => {
  const found = SUMS.find((s) => s.id === id);
  if (!found) throw new Error(`no sum ${id}`);
  return found;
};
const SEEDS = Array.from({ length: 40 }, (_, i) => i + 1);

describe.each(SUMS.map((s) => [s.id, s] as const))('%s', (_, sum) => {
  it('draws plausible numbers: a positive answer that no slip comes near', () => {
    for (const seed of SEEDS) {
      const drawn = sumOf(sum, seed);
      expect(drawn.answer).toBeGreaterThan(0);
      for (const value of Object.values(drawn.slips)) expect(Math.abs(value - drawn.answer)).toBeGreaterThan(0.9);
    }
  });

  it('marks its own answer right, in centimetres and in inches as shown to a sixteenth', () => {
    for (const seed of SEEDS) {
      const drawn = sumOf(sum, seed);
      if (sum.asks === 'size') expect(mark(drawn, drawn.answer, 'size')).toEqual({ kind: 'right' });
      else {
        expect(mark(drawn, Math.round(drawn.answer), 'cm')).toEqual({ kind: 'right' });
        const sixteenth = 25.4 / 16;
        expect(mark(drawn, Math.round(drawn.answer / sixteenth) * sixteenth, 'in')).toEqual({ kind: 'right' });
      }
    }
  });

  it('knows every slip by what it comes to, and has words for each', () => {
    const drawn = sumOf(sum, 3);
    for (const [slip, value] of Object.entries(drawn.slips)) {
      expect(mark(drawn, value, sum.asks === 'size' ? 'size' : 'cm')).toEqual({ kind: 'slip', slip });
      expect(sum.words.slips[slip]).toMatch(/\.$/);
    }
  });

  it('says its question and its sum in either unit, without a hole', () => {
    for (const units of [CM, IN]) {
      const s = speaker(sumOf(sum, 5).told, units);
      for (const text of [sum.words.question(s), sum.words.sum(s)]) expect(text).not.toMatch(/NaN|undefined/);
    }
  });
});

it('sums worked out by hand', () => {
  const worked = (id: string, seed: number) => sumOf(by(id), seed);
  for (const seed of SEEDS) {
    const { told, answer } = worked('bustAmount', seed);
    expect(answer).toBe((told['full'] as number) - (told['high'] as number) - 50);
    const hip = worked('quarterOfHip', seed);
    expect(4 * hip.answer).toBe((hip.told['body'] as number) + 40 - (hip.told['pattern'] as number));
  }
  // 12 cm long and 5 cm wide: a right triangle of 12 and 2.5.
  expect(Math.hypot(120, 25)).toBeCloseTo(122.577, 3);
});

it('another number is simply another number', () => {
  expect(mark({ told: {}, answer: 20, slips: { half: 10 } }, 14, 'cm')).toEqual({ kind: 'other' });
});
