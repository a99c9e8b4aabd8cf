import { describe, expect, it } from 'vitest';
import { distance } from '../../geometry/index.ts';
import { expectOk } from '../../units/index.ts';
import { runOn } from '../../testing/samples.ts';
import { CATALOGUE, type Grip } from '../index.ts';

type Amount = Extract<Grip, { kind: 'amount' }>;
const valueOf = (g: Amount): number => g.per * ((g.at.x - g.from.x) * g.axis.x + (g.at.y - g.from.y) * g.axis.y);
const runs = CATALOGUE.filter((d) => d.family !== 'bust' && d.family !== 'dart').flatMap((d) =>
  d.examples.filter((e) => !e.after).map((e) => [`${d.id}, ${e.name}`, d, e] as const),
);

describe('what one takes hold of', () => {
  it.each(runs)('%s: stands where its value says, within its own limits', (_name, d, example) => {
    const run = expectOk(runOn(d, example.on, '4', example.values), d.id);
    for (const grip of run.grips) {
      const param = d.params.find((p) => p.key === grip.key);
      expect(param, `${d.id} ${grip.key}`).toBeDefined();
      expect(run.pieces.map((p) => p.id)).toContain(grip.piece);
      if (grip.kind !== 'amount' || param?.kind !== 'length') continue;
      expect(Math.hypot(grip.axis.x, grip.axis.y)).toBeCloseTo(1, 6);
      expect(grip.min).toBeGreaterThanOrEqual(param.min);
      expect(grip.max).toBeLessThanOrEqual(param.max);
      const value = example.values[grip.key];
      // A shoulder that turns ends a little aside of its axis.
      if (typeof value === 'number') expect(Math.abs(valueOf(grip) - value)).toBeLessThan(0.6);
    }
  });
  it('moves by as much as the value: twice the amount, twice as far', () => {
    for (const [id, on, values] of [
      ['shoulder-slash', 'causeway', { by: 6 }],
      ['hip-slash', 'causeway', { by: 20 }],
      ['swayback-waist-seam', 'causeway', { by: 10 }],
      ['length-line', 'causeway', { by: 8 }],
      ['hem-sweep', 'causeway', { by: 40 }],
    ] as const) {
      const d = CATALOGUE.find((x) => x.id === id);
      if (!d) throw new Error(id);
      const grip = (by: number) => {
        const g = expectOk(runOn(d, on, '4', { by }), id).grips[0];
        if (g?.kind !== 'amount') throw new Error(id);
        return distance(g.at, g.from);
      };
      expect(grip(2 * values.by)).toBeCloseTo(2 * grip(values.by), 6);
    }
  });
});
