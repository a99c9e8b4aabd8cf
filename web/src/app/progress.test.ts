import { describe, expect, it } from 'vitest';
import { draft, type Draft, planStep } from '@ample/core/fitting/plan';
import { fittingSchema, stepSchema, wearerSchema } from '@ample/core/documents';
import { wholeSample } from '@ample/core/blocks';
import { pins, reached } from './progress.ts';

const make = (readings: Record<string, number[]>, steps: readonly ReturnType<typeof planStep>[] = []): Draft =>
  draft({
    job: { size: null, sizeMethod: 'highBust', steps: steps.map((s) => stepSchema.parse(s)) },
    wearer: wearerSchema.parse({
      format: 'ample-draft/wearer',
      version: 1,
      id: 'w',
      name: 'W',
      sets: [{ id: 's', date: '2026-10-01', readings }],
    }),
    pattern: wholeSample('causeway'),
  });
const body = { highBust: [873], fullBust: [968] };

describe('the tape', () => {
  it('is filled as far as the work has come', () => {
    expect(reached(null)).toBe(1);
    expect(reached(make({}))).toBe(1);
    expect(reached(make(body))).toBe(3);
    expect(reached(make(body, [{ ...planStep('a', 'full-bust-side-dart'), on: false }]))).toBe(5);
    expect(reached(make(body, [planStep('a', 'full-bust-side-dart')]))).toBe(7);
  });

  it('goes on to the toile with the first fitting, and to the end once one was right', () => {
    const made = make(body, [planStep('a', 'full-bust-side-dart')]);
    const fitted = (verdict: 'open' | 'good', date = '2026-11-01') =>
      fittingSchema.parse({ id: `f${date}`, date, verdict });
    expect(reached(made, { fittings: [] })).toBe(7);
    expect(reached(made, { fittings: [fitted('open')] })).toBe(8);
    expect(reached(made, { fittings: [fitted('good', '2026-11-08'), fitted('open')] })).toBe(9);
  });

  it('pins what the last fitting showed and nothing was decided about', () => {
    const seen = (id: string, answered: boolean) => ({
      id,
      sign: 'waist-low',
      view: 'front',
      at: { x: 100, y: 200 },
      answers: answered
        ? [
            {
              did: 'undo',
              cause: 'bodice-long',
              step: 's',
              alteration: 'length-line',
              from: 1,
              to: null,
              date: '2026-11-01',
            },
          ]
        : [],
    });
    const fitting = (verdict: string) =>
      fittingSchema.parse({
        id: 'f',
        date: '2026-11-01',
        verdict,
        observations: [seen('a', false), seen('b', true), seen('c', false)],
      });
    expect(pins(make(body), { fittings: [fitting('alter')] })).toEqual({ toile: 2 });
    expect(pins(make(body), { fittings: [fitting('good')] })).toEqual({});
  });

  it('pins what wants attention where it is mended', () => {
    expect(pins(null)).toEqual({});
    // Nothing measured yet is nothing to look at.
    expect(pins(make({}))).toEqual({});
    expect(pins(make(body))).toEqual({});
    expect(pins(make(body, [planStep('a', 'full-bust-side-dart')]))).toEqual({ check: 1 });
    const beyond = { ...planStep('a', 'full-bust-side-dart'), values: { total: 290 } };
    expect(pins(make(body, [beyond]))).toEqual({ plan: 1, table: 1 });
    expect(pins(make({ highBust: [960], fullBust: [880] })).body).toBe(1);
  });
});
