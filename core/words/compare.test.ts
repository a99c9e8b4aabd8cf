import { describe, expect, it } from 'vitest';
import type { Habit } from '../fitting/plan/index.ts';
import type { Row } from '../fitting/compare/index.ts';
import { MEASUREMENTS } from '../pattern/index.ts';
import type { Solution } from '../fitting/solve/index.ts';
import { saySolved, saySum, sayShare, sayUnreached, sayHabit, whereFlat, type Units } from './index.ts';

const cm: Units = { unit: 'cm', fraction: 8 };
const inches: Units = { unit: 'in', fraction: 8 };
const row = (over: Partial<Row>): Row => ({
  key: 'waist',
  body: 760,
  ease: 30,
  easeFrom: 'usual',
  design: null,
  wearing: 30,
  within: 6,
  wanted: 790,
  pattern: 770,
  from: 'pieces',
  difference: 20,
  share: { parts: 4, why: 'sides' },
  each: 5,
  after: 770,
  left: 20,
  fallen: 0,
  apart: 0,
  ...over,
});

describe('the worksheet in words', () => {
  it('writes a sum as one writes it in pencil', () => {
    expect(saySum(row({}), cm)).toBe(
      '76.0 cm + 3.0 cm ease = 79.0 cm wanted − 77.0 cm on the pieces = +2.0 cm → ÷ 4 = +0.5 cm',
    );
    const shoulder = row({
      key: 'shoulder',
      body: 112,
      ease: 0,
      wanted: 112,
      pattern: 122,
      difference: -10,
      from: 'typed',
      share: { parts: 1, why: 'whole' },
      each: -10,
    });
    expect(saySum(shoulder, cm)).toBe('11.2 cm − 12.2 cm measured by hand = −1.0 cm');
    expect(saySum(shoulder, inches)).toContain('−3/8″');
    expect(saySum(row({ body: null, wanted: null, difference: null, each: null }), cm)).toBe('');
  });

  it('says how it is shared, and where the tape lies on paper, for every measurement', () => {
    expect(sayShare({ parts: 12, why: 'seams' })).toBe('÷ 12: each edge of the 12 around');
    expect(sayShare({ parts: 4, why: 'bust' })).toMatch(/on the front alone ÷ 2/);
    for (const key of MEASUREMENTS) expect(whereFlat(key).length).toBeGreaterThan(20);
  });
});

describe('what the search could not reach', () => {
  const nameOf = (id: string) => ({ a: 'Narrow shoulder', b: 'Broad back' })[id] ?? id;
  const say = (over: Partial<Parameters<typeof sayUnreached>[0]>) =>
    sayUnreached({ key: 'waist', left: -12, why: 'no-step', steps: [], others: [], ...over }, cm, nameOf);
  it('is said with its reason and what to do', () => {
    expect(say({})).toBe('Waist: −1.2 cm is left. Nothing chosen changes it; add a step that does.');
    expect(say({ why: 'at-limit', steps: ['a'] })).toContain('Narrow shoulder cannot go further');
    expect(say({ why: 'shared', steps: ['a', 'b'], others: ['crossBack'] })).toContain(
      'Narrow shoulder and Broad back would undo cross back',
    );
  });
  it('is counted', () => {
    const solved = (from: number, to: number, after: number, reasons = 0): string =>
      saySolved({
        amounts: [{ step: 'a', key: 'by', from, to }],
        before: [row({ left: 20 })],
        after: [row({ left: after })],
        rows: ['waist'],
        unreached: Array.from({ length: reasons }) as unknown as Solution['unreached'],
        evaluations: 1,
      });
    expect(solved(0, 4, 0)).toBe('1 amount changed: one difference was open, none is left.');
    expect(solved(0, 4, 7, 1)).toBe('1 amount changed: one difference was open, one is left, for the reasons below.');
    expect(solved(4, 4, 20)).toBe('0 amounts changed: one difference was open, one is left.');
  });
});

describe('usual alterations in words', () => {
  const usual: Habit = {
    alteration: 'shoulder-slash',
    done: 'shoulder-slash',
    times: 1,
    pattern: 'Causeway',
    date: '2026-03-01',
    side: 'both',
    by: -12,
    values: {},
    fit: null,
    moved: [],
    planned: false,
  };
  it('say where and how much, and that it is worked out anew', () => {
    expect(sayHabit(usual, cm)).toBe(
      'Done on Causeway (narrow shoulder, slashed, −1.2 cm). The amount is worked out for this pattern.',
    );
    expect(sayHabit({ ...usual, times: 3, values: { by: -12 } }, cm)).toBe(
      'Done 3 times, last on Causeway (narrow shoulder, slashed, −1.2 cm). Proposed with the amount of that time.',
    );
  });
  it('caution where the body has changed, and say when the pieces do not allow it', () => {
    expect(sayHabit({ ...usual, moved: [{ key: 'waist', before: 700, now: 740, by: 40 }] }, cm)).toContain(
      'The body has changed since: waist +4.0 cm. Look at it again.',
    );
    expect(sayHabit({ ...usual, alteration: null }, cm)).toContain('These pieces do not allow it.');
  });
});
