import { describe, expect, it } from 'vitest';
import { CAUSES } from '../fitting/toile/index.ts';
import { nth } from '../units/index.ts';
import { LESSONS, RESCUES, threeMethods, wrinkleOf, speaksFor } from './index.ts';

const SEEDS = Array.from({ length: 200 }, (_, i) => i + 1);
const causeBy = (id: string) =>
  nth(
    CAUSES.filter((c) => c.id === id),
    0,
  );

describe('wrinkles to read', () => {
  it('have one cause that explains the signs clearly better than the three others offered', () => {
    for (const seed of SEEDS) {
      const { signs, options, right } = wrinkleOf(seed);
      expect(new Set(options).size).toBe(4);
      expect(options).toContain(right);
      const own = speaksFor(causeBy(right), signs);
      for (const id of options)
        if (id !== right) expect(own - speaksFor(causeBy(id), signs)).toBeGreaterThanOrEqual(0.3);
    }
  });

  it('come to many causes, and offer some that share a sign', () => {
    const drawn = SEEDS.map(wrinkleOf);
    expect(new Set(drawn.map((w) => w.right)).size).toBeGreaterThan(15);
    const near = drawn.filter((w) => w.options.some((id) => id !== w.right && speaksFor(causeBy(id), w.signs) > 0));
    expect(near.length).toBeGreaterThan(SEEDS.length / 4);
  });
});

it('every accident can be tried without harm in a lesson there is', () => {
  for (const r of RESCUES) expect(LESSONS.map((l) => l.id)).toContain(r.lesson);
});

describe('three methods', () => {
  const done = threeMethods(10);
  const change = (method: string, role: string): number =>
    done.find((d) => d.method === method)?.changes.find((c) => c.role === role)?.by ?? NaN;

  it('all shorten the two shoulder seams by 10 mm each and leave neck and side', () => {
    for (const d of done) {
      expect(change(d.method, 'shoulder')).toBeCloseTo(-20, 0);
      expect(change(d.method, 'neck')).toBeCloseTo(0, 1);
      expect(change(d.method, 'side')).toBeCloseTo(0, 1);
    }
  });

  it('differ at the armhole: slashed it keeps its length, drawn again it does not', () => {
    expect(Math.abs(change('slash', 'armhole'))).toBeLessThan(0.5);
    expect(Math.abs(change('redraw', 'armhole'))).toBeGreaterThan(1);
  });
});
