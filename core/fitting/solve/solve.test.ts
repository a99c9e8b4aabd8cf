import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { flatOf } from '../../alterations/index.ts';
import { samplePattern } from '../../blocks/index.ts';
import { setupOf, draft, replay, type ResolvedJob } from '../plan/index.ts';
import { stepSchema, type Step } from '../../documents/index.ts';
import type { MeasurementKey } from '../../pattern/index.ts';
import { expectOk } from '../../units/index.ts';
import { leastSquares } from '../../numeric/index.ts';
import { solve } from './solve.ts';

const dress = samplePattern('causeway');
const step = (id: string, alteration: string, values: Step['values'] = {}): Step =>
  stepSchema.parse({ id, alteration, revision: 1, values });
const jobOf = (steps: readonly Step[], readings: Partial<Record<MeasurementKey, number>>): ResolvedJob => ({
  job: { size: '4', sizeMethod: 'highBust', steps: [...steps] },
  wearer: {
    sets: [
      {
        id: 's',
        date: '2026-11-01',
        readings: Object.fromEntries(Object.entries(readings).map(([k, v]) => [k, [v]])),
        remarks: {},
        carried: [],
        notes: '',
      },
    ],
    bustEase: 50,
  },
  pattern: dress,
});

/** Steps that act on one another, the measurements they are worked out from, and how far each may be drawn. */
const PLAN = [
  ['grade-by-chart', ['waist', 'hip'], 40],
  ['length-line', ['by'], 14],
  ['shoulder-slash', ['by'], 10],
  ['back-width', ['by'], 14],
  ['front-width', ['by'], 12],
  ['full-bust-side-dart', ['total'], 22],
  ['armhole-depth', ['by'], 10],
] as const;
const ROWS = [
  'fullBust',
  'waist',
  'hip',
  'shoulder',
  'crossBack',
  'crossFront',
  'napeToUnderarm',
  'sideWaist',
] as const;

const planWith = (values: readonly Step['values'][]): Step[] =>
  PLAN.map(([alteration], i) => step(`s${i}`, alteration, values[i] ?? {}));

/** A body for which exactly these amounts are right: what the altered pieces measure, less the ease. */
function bodyFor(values: readonly Step['values'][]): Partial<Record<MeasurementKey, number>> {
  const start = setupOf(jobOf([], { fullBust: 920 }));
  const { sides, steps } = replay(start, planWith(values));
  expect(steps.flatMap((s) => (s.outcome.ok ? [] : [[s.step.alteration, s.values, s.outcome.error.code]]))).toEqual([]);
  return Object.fromEntries(ROWS.map((key) => [key, (flatOf(sides.left, key)?.value ?? 0) - (start.ease[key] ?? 0)]));
}

describe('the amounts of a plan, found together', () => {
  it.each([1, 2, 3, 4, 5, 6])('recovers amounts that are known, to a fifth of a millimetre (seed %i)', (seed) => {
    const tenths = PLAN.flatMap(([, keys, most]) => keys.map(() => fc.integer({ min: -10 * most, max: 10 * most })));
    const drawn = [...(fc.sample(fc.tuple(...tenths), { seed, numRuns: 1 })[0] ?? [])];
    const known = PLAN.map(([, keys]) => Object.fromEntries(keys.map((key) => [key, (drawn.shift() ?? 0) / 10])));
    const zero = PLAN.map(([, keys]) => Object.fromEntries(keys.map((key) => [key, key === 'total' ? 6 : 2])));
    const found = expectOk(solve(jobOf(planWith(zero), bodyFor(known)), { rows: ROWS }), 'solve');
    for (const { step: id, key, to } of found.amounts)
      expect(Math.abs(to - Number(known[Number(id.slice(1))]?.[key])), `${id} ${key}`).toBeLessThanOrEqual(0.2);
    expect(found.unreached).toEqual([]);
  });

  it('is what one difference alone asks for: shoulder 122 on the pattern, 113 on the body', () => {
    const found = expectOk(
      solve(jobOf([step('s', 'shoulder-slash', { by: -2 })], { shoulder: 113, highBust: 870 })),
      'solve',
    );
    expect(found.amounts).toEqual([{ step: 's', key: 'by', from: -2, to: -9 }]);
    expect(found.before.find((r) => r.key === 'shoulder')?.left).toBeCloseTo(-7, 1);
    expect(found.after.find((r) => r.key === 'shoulder')?.left).toBeCloseTo(0, 1);
  });

  it('says what it could not reach and why', () => {
    const body = { shoulder: 40, hip: 1100, highBust: 870 };
    const found = expectOk(
      solve(jobOf([step('s', 'shoulder-slash', { by: -2 })], body), { rows: ['shoulder', 'hip'] }),
      'solve',
    );
    expect(found.unreached.map((u) => [u.key, u.why])).toEqual(
      expect.arrayContaining([
        ['shoulder', 'at-limit'],
        ['hip', 'no-step'],
      ]),
    );
  });

  it('parts what cannot both be had between the two, and says so', () => {
    // One line through front and back moves side and back length alike: 10 more at the one, 10 less at the other.
    const body = { sideWaist: 206, napeToWaist: 394, highBust: 870 };
    const found = expectOk(
      solve(jobOf([step('s', 'length-line', { by: 1, where: 'belowBust' })], body), {
        rows: ['sideWaist', 'napeToWaist'],
      }),
      'solve',
    );
    expect(found.amounts[0]?.to).toBeCloseTo(0, 0);
    expect(found.unreached.map((u) => [u.key, u.why, Math.round(u.left)])).toEqual([
      ['napeToWaist', 'shared', -10],
      ['sideWaist', 'shared', 10],
    ]);
  });

  it('stops early where not everything can be had: more rows than amounts, and at odds', () => {
    const zero = PLAN.map(([, keys]) => Object.fromEntries(keys.map((key) => [key, key === 'total' ? 6 : 2])));
    const body = {
      fullBust: 945,
      underbust: 860,
      waist: 760,
      highHip: 880,
      hip: 1010,
      shoulder: 118,
      neck: 368,
      armhole: 425,
    };
    const rows = Object.keys(body) as MeasurementKey[];
    const found = expectOk(solve(jobOf(planWith(zero), body), { rows }), 'solve');
    const off = (all: typeof found.after): number =>
      Math.hypot(...all.filter((r) => rows.includes(r.key)).map((r) => (r.left ?? 0) / r.share.parts));
    expect(off(found.after)).toBeLessThan(off(found.before));
    expect(found.unreached.length).toBeGreaterThan(0);
    // The slopes taken step by step point the right way from the start: with a wrong sign it takes four times as many.
    expect(found.evaluations).toBeLessThan(6);
  });

  it('changes only the chosen steps', () => {
    const steps = [step('a', 'shoulder-slash', { by: -2 }), step('b', 'back-width', { by: 4 })];
    const found = expectOk(
      solve(jobOf(steps, { shoulder: 113, crossBack: 380, highBust: 870 }), { steps: ['b'] }),
      'solve',
    );
    expect(found.amounts.map((a) => a.step)).toEqual(['b']);
  });

  it('refuses in words what cannot be solved', () => {
    expect(solve(jobOf([], { shoulder: 113, highBust: 870 }))).toMatchObject({ error: { code: 'solve-no-steps' } });
    expect(solve(jobOf([step('s', 'shoulder-slash', { by: -2 })], { highBust: 870 }))).toMatchObject({
      error: { code: 'solve-no-rows' },
    });
    expect(solve(jobOf([], {}))).toMatchObject({ ok: false });
  });

  it('leaves a plan alone that fits already', () => {
    const job = jobOf([step('s', 'shoulder-slash', { by: -9 })], { shoulder: 113, highBust: 870 });
    const found = expectOk(solve(job), 'solve');
    expect(found.amounts[0]?.to).toBeCloseTo(-9, 1);
    expect(draft(job).worksheet.find((r) => r.key === 'shoulder')?.left).toBeCloseTo(0, 1);
  });
});

describe('least squares', () => {
  const options = {
    bounds: [
      { min: -10, max: 10 },
      { min: -10, max: 10 },
    ],
    h: 1e-3,
    close: 1e-9,
    still: 1e-10,
    rounds: 60,
  };
  it('meets a curved pair of equations where they cross', () => {
    // x² + y = 7 and x + y² = 11 cross at (2, 3).
    const found = leastSquares(([x = 0, y = 0]) => [x * x + y - 7, x + y * y - 11], [1.5, 2], options)!;
    expect(found.x[0]).toBeCloseTo(2, 6);
    expect(found.x[1]).toBeCloseTo(3, 6);
  });
  it('stops at a bound and does the best with the rest', () => {
    // 3x + y = 20 with x ≤ 2: y = 14 would be wanted, 10 is the most.
    const found = leastSquares(([x = 0, y = 0]) => [3 * x + y - 20], [0, 0], {
      ...options,
      bounds: [
        { min: -10, max: 2 },
        { min: -10, max: 10 },
      ],
    })!;
    expect(found.x[0]).toBeCloseTo(2, 6);
    expect(found.x[1]).toBeCloseTo(10, 6);
  });
  it('does not go where nothing can be computed, and gives up where it cannot even start', () => {
    const found = leastSquares(([x = 0]) => (x > 3 ? null : [x - 5]), [0], {
      ...options,
      bounds: [{ min: -10, max: 10 }],
    })!;
    expect(found.x[0]).toBeLessThanOrEqual(3);
    expect(found.x[0]).toBeGreaterThan(2);
    expect(leastSquares(() => null, [0], options)).toBeNull();
  });
});
