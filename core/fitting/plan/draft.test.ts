import { describe, expect, it } from 'vitest';
import { alterationById } from '../../alterations/index.ts';
import { causewayPattern } from '../../blocks/index.ts';
import { stepSchema, wearerSchema, type Step } from '../../documents/schema.ts';
import { draft, emptyCache, type ResolvedJob } from './index.ts';

const pattern = causewayPattern();
const wearer = (readings: Record<string, number[]>) =>
  wearerSchema.parse({
    format: 'ample-draft/wearer',
    version: 1,
    id: 'w',
    name: 'W',
    sets: [{ id: 's', date: '2026-10-01', readings }],
  });
const step = (fields: Partial<Step> = {}): Step =>
  stepSchema.parse({ id: 'a', alteration: 'full-bust-side-dart', revision: 1, ...fields });
const job = (
  steps: readonly Step[],
  readings: Record<string, number[]> = { highBust: [873], fullBust: [968] },
  fields = {},
): ResolvedJob => ({
  job: { size: null, sizeMethod: 'highBust', steps: [...steps], ...fields },
  wearer: wearer(readings),
  pattern,
});
const code = (d: ReturnType<typeof draft>, i = 0) => {
  const outcome = d.steps[i]!.outcome;
  return outcome.ok ? 'ran' : outcome.error.code;
};

describe('the draft of a job', () => {
  it('chooses size and amount, alters the front and leaves the back', () => {
    const d = draft(job([step()]));
    expect(d.size).toBe('4');
    expect(d.steps[0]?.values['total']).toBeCloseTo(968 - 920, 6);
    expect(d.pieces[1]).toBe(d.original[1]);
    expect(d.pieces[0]).not.toBe(d.original[0]);
    expect(d.check.findings).toEqual([]);
  });

  it('follows the school, a typed amount, and setback by cups unless typed', () => {
    expect(draft(job([step({ school: 'cup' })])).steps[0]?.values['total']).toBe(45);
    const own = draft(job([step({ values: { total: 75 } })])).steps[0];
    expect(own?.values['total']).toBe(75);
    expect(own?.values['setback']).toBe(40);
    expect(draft(job([step({ values: { total: 75, setback: 22 } })])).steps[0]?.values['setback']).toBe(22);
    expect(alterationById('full-bust-side-dart')?.suggest(500)).toEqual({ setback: 50 });
  });

  it('says how far the bust point has gone down with the paper, instead of nothing left', () => {
    const own = { highBust: [873], fullBust: [968], neckPointToBustPoint: [273], bustSpan: [195] };
    const height = (steps: readonly Step[]) => {
      const d = draft(job(steps, own));
      const outcome = d.steps[0]?.outcome;
      const said = outcome?.ok ? outcome.value.frames.flatMap((f) => f.messages) : [];
      const dy = said.find((m) => m.data['drop'] !== undefined)?.data['drop'];
      return { row: d.worksheet.find((r) => r.key === 'neckPointToBustPoint'), dy };
    };
    const { row, dy } = height([step()]);
    expect(dy).toBeGreaterThan(10);
    expect(row?.fallen).toBeCloseTo(Number(dy), 6);
    // A small bust lifts it.
    expect(height([step({ values: { total: -20 } })]).row?.fallen).toBeLessThan(-3);
    expect(height([]).row?.fallen).toBe(0);
  });

  it('switched off, a step changes nothing but is still worked out', () => {
    const d = draft(job([step({ on: false })]));
    expect(d.pieces).toBe(d.original);
    expect(code(d)).toBe('ran');
  });

  it('replays only from the step that changed, to the same result as without a cache', () => {
    const cache = emptyCache();
    const steps = [step(), step({ id: 'b', values: { total: 14 } })];
    const first = draft(job(steps), cache);
    const again = draft(job([steps[0]!, step({ id: 'b', values: { total: 16 } })]), cache);
    expect(again.steps[0]).toBe(first.steps[0]);
    expect(again.steps[1]).not.toBe(first.steps[1]);
    expect(again).toEqual(draft(job([steps[0]!, step({ id: 'b', values: { total: 16 } })])));
  });

  it.each([
    ['alteration-unknown', [step({ alteration: 'not-ours' })], undefined],
    ['alteration-revision', [step({ revision: 9 })], undefined],
    ['amount-unknown', [step()], { highBust: [873] }],
    ['body-impossible', [step()], { highBust: [960], fullBust: [880] }],
    ['spread-beyond-reach', [step({ values: { total: 290 } })], undefined],
  ] as const)('keeps a step it cannot carry out, and says %s', (expected, steps, readings) => {
    const d = draft(job(steps, readings as Record<string, number[]> | undefined));
    expect(code(d)).toBe(expected);
    expect(d.pieces).toBe(d.original);
  });

  it('says what is missing for a size', () => {
    expect(draft(job([], {})).refusal).toMatchObject({ code: 'size-needs-high-bust' });
    expect(draft(job([], { highBust: [870] }, { size: 'XXL' })).refusal).toMatchObject({ code: 'size-has-no-pieces' });
  });
});
