import { describe, expect, it } from 'vitest';
import { causewayPattern } from '../../blocks/index.ts';
import { stepSchema, type Step } from '../../documents/index.ts';
import { wearerWith } from '../../testing/wearers.ts';
import { computed, draft, isTyped } from './index.ts';

const step = (alteration: string, values: Step['values']): Step =>
  stepSchema.parse({ id: 's', alteration, revision: 1, values });
/** Causeway in size 4 (shoulder 122, full bust 920) for a body with a shoulder of 113, 7 cm taller, a bust of 968. */
const drawn = (one: Step) =>
  draft({
    job: { size: '4', sizeMethod: 'highBust', steps: [one] },
    wearer: wearerWith({ shoulder: 113, height: 1730, highBust: 873, fullBust: 968 }),
    pattern: causewayPattern(),
  }).steps[0]!;

describe('an amount', () => {
  it('is typed where it stands among the values, and worked out where it does not', () => {
    const typed = drawn(step('shoulder-slash', { by: -4 }));
    expect([isTyped(typed.step), typed.values['by']]).toEqual([true, -4]);
    const back = drawn(computed(typed.step, typed.fit));
    expect([isTyped(back.step), back.values['by']]).toEqual([false, -9]);
    expect(back.outcome.ok && back.outcome.value.changes.length).toBeGreaterThan(0);
  });

  it('keeps what else the sum says while only the amount is typed, and has all of it back', () => {
    // 70 taller asks for two lines.
    const asked = drawn(step('length-line', {}));
    expect(asked.values['where']).toBe('both');
    const typed = drawn(step('length-line', { by: 10 }));
    expect(typed.values).toMatchObject({ by: 10, where: 'both' });
    const moved = drawn(step('length-line', { by: 10, where: 'belowBust', moved: 12 }));
    expect(computed(moved.step, moved.fit).values).toEqual({ moved: 12 });
  });

  it('of the bust is the school’s until a total is typed', () => {
    const typed = drawn(step('full-bust-side-dart', { total: 30, setback: 20 }));
    expect(typed.values['total']).toBe(30);
    const back = drawn(computed(typed.step, typed.fit));
    expect(back.values['total']).toBeCloseTo(968 - 920, 6);
    expect(back.values['setback']).toBe(20);
  });
});
