import { describe, expect, it } from 'vitest';
import { causewayPattern, samplePattern } from '../../blocks/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import { ADVICE, expectOk } from '../../units/index.ts';
import { bodyFrom, checkBody, type MeasurementSet } from './body.ts';
import { bustAmounts } from './amounts.ts';
import { finishedBust, startingSize } from './size.ts';
import { MEASUREMENT_CATALOGUE } from './catalogue.ts';

const pattern = causewayPattern();
const set = (date: string, readings: MeasurementSet['readings']): MeasurementSet => ({
  id: date,
  date,
  readings,
  notes: '',
});

describe('the body', () => {
  it('is the mean of two readings, and takes from an older set what the newest lacks', () => {
    expect(
      bodyFrom([set('2026-01-01', { waist: [700], hip: [950] }), set('2026-06-01', { waist: [710, 714] })]),
    ).toEqual({ waist: 712, hip: 950 });
  });

  it.each([
    ['full-below-high', 'ask', { highBust: 900, fullBust: 880 }],
    ['full-far-below-high', 'stop', { highBust: 960, fullBust: 900 }],
    ['waist-far-above-bust', 'stop', { fullBust: 900, waist: 1250 }],
    ['measure-not-positive', 'stop', { waist: -700 }],
    ['measure-looks-like-inches', 'ask', { fullBust: 380 }],
    ['measure-looks-like-cm', 'ask', { fullBust: 2337 }],
    ['measure-unlikely', 'stop', { fullBust: 70_000 }],
    ['measure-unlikely', 'ask', { shoulder: 195 }],
  ] as const)('%s is for %s', (code, grade, body) => {
    expect(checkBody(body)).toContainEqual(expect.objectContaining({ code, grade }));
  });

  it('asks for a third reading when two differ by more than a centimetre', () => {
    const s = set('2026-06-01', { waist: [700, 715] });
    expect(checkBody(bodyFrom([s]), s).map((p) => p.code)).toEqual(['readings-differ']);
  });

  it.each([
    [[340, 874], 'readings-far-apart'],
    [[874, 0], 'measure-not-positive'],
    [[-50, 874], 'measure-not-positive'],
    [[0], 'measure-not-positive'],
  ] as const)('stops at readings %j, whose mean may look like a body: %s', (readings, code) => {
    const s = set('2026-06-01', { fullBust: [...readings] });
    expect(checkBody(bodyFrom([s]), s)).toEqual([expect.objectContaining({ code, grade: 'stop', key: 'fullBust' })]);
  });

  it('takes a child for unlikely beside a chart of adults, and for usual beside a chart of children', () => {
    const child = samplePattern('skiff');
    for (const row of child.chart) {
      expect(checkBody(row.body, undefined, child.chart)).toEqual([]);
    }
    // The smallest three are beyond what is usual of adults.
    for (const row of child.chart.slice(0, 3)) expect(checkBody(row.body, undefined, pattern.chart)).not.toEqual([]);
    // Ten per cent beyond the chart are still a body for it; half of it is not.
    const ask = (highBust: number) => checkBody({ highBust }, undefined, child.chart).length;
    expect([ask(490), ask(270)]).toEqual([0, 1]);
  });

  it('finds nothing in an ordinary body, nor in any body of the chart', () => {
    for (const row of pattern.chart) expect(checkBody(row.body)).toEqual([]);
    expect(new Set(MEASUREMENT_CATALOGUE.map((d) => d.key)).size).toBe(MEASUREMENT_CATALOGUE.length);
  });
});

describe('the starting size', () => {
  it('is the nearest by high bust, with its neighbours', () => {
    const choice = expectOk(startingSize({ highBust: 873, fullBust: 968 }, pattern), 'size');
    expect(choice.chosen).toMatchObject({ size: '4', chart: 870, difference: 3, bustOver: 48 });
    expect([choice.smaller?.size, choice.larger?.size]).toEqual(['3', '5']);
  });

  it('on a tie takes the larger for a fitted woven, the smaller for a knit or a loose style', () => {
    const tie = { highBust: 850 };
    expect(expectOk(startingSize(tie, pattern), 'woven').chosen.size).toBe('4');
    const knit: Pattern = { ...pattern, fabric: { kind: 'knit', stretch: 0.3 } };
    expect(expectOk(startingSize(tie, knit), 'knit').chosen.size).toBe('3');
    expect(expectOk(startingSize(tie, { ...pattern, style: 'loose' }), 'loose').chosen.size).toBe('3');
  });

  it('by full bust says what that costs at neck and shoulder', () => {
    const choice = expectOk(startingSize({ highBust: 873, fullBust: 968 }, pattern, 'fullBust'), 'size');
    expect(choice.chosen.size).toBe('5');
    expect(choice.reasons).toContainEqual({ code: 'size.fullBust.cost', data: { excess: 910 - 873 } });
  });

  it('derives the high bust of a chart that prints none', () => {
    const bare: Pattern = {
      ...pattern,
      chart: pattern.chart.map((r) => ({ size: r.size, body: { fullBust: r.body.fullBust ?? 0 } })),
    };
    expect(expectOk(startingSize({ highBust: 873 }, bare), 'size').chosen.chart).toBe(870);
  });

  it('says when the body is beyond the chart, and what is missing', () => {
    expect(expectOk(startingSize({ highBust: 1200 }, pattern), 'size').reasons.map((r) => r.code)).toContain(
      'size.above-chart',
    );
    expect(expectOk(startingSize({ highBust: 600 }, pattern), 'size').reasons.map((r) => r.code)).toContain(
      'size.below-chart',
    );
    expect(startingSize({}, pattern)).toMatchObject({ ok: false, error: { code: 'size-needs-high-bust' } });
  });
});

describe('the amount, by every method', () => {
  const body = { highBust: 873, fullBust: 968 };
  const total = (method: string, p = pattern) => bustAmounts(body, p, '4').all.find((a) => a.method === method)?.total;

  it('gives the sums one does by hand', () => {
    expect(total('cup')).toBe(968 - 873 - 50);
    expect(total('chart')).toBe(968 - 920);
    expect(total('whole')).toBe(95);
    expect(total('finished')).toBeCloseTo(968 + 50 - 970.26, 1);
  });

  it('prefers the garment, then the chart, then the cup, and says why', () => {
    expect(bustAmounts(body, pattern, '4')).toMatchObject({
      chosen: { method: 'finished' },
      why: 'amount.why.finished.pieces',
      verdict: 'yes',
    });
    const printed: Pattern = { ...pattern, sizes: {}, finished: { '4': { bust: 970 } } };
    expect(bustAmounts(body, printed, '4')).toMatchObject({
      chosen: { method: 'finished', total: 48 },
      why: 'amount.why.finished.printed',
    });
    const chartOnly: Pattern = { ...pattern, sizes: {}, finished: {} };
    expect(bustAmounts(body, chartOnly, '4').chosen?.method).toBe('chart');
    const noChart: Pattern = { ...chartOnly, chart: [{ size: '4', body: { highBust: 870 } }] };
    expect(bustAmounts(body, noChart, '4').chosen?.method).toBe('cup');
  });

  it('warns by how much the whole difference overshoots', () => {
    const a = bustAmounts(body, pattern, '4');
    expect(a.all.find((x) => x.method === 'whole')?.overshoot).toBeCloseTo(95 - (a.chosen?.total ?? 0), 9);
  });

  it('spreads half for a knit, once, whatever it stretches; the whole stands beside it', () => {
    const knit = (stretch: number): Pattern => ({ ...pattern, fabric: { kind: 'knit', stretch } });
    const base = bustAmounts(body, knit(0), '4');
    const finished = base.all.find((a) => a.method === 'finished')!.total;
    expect(base.chosen).toMatchObject({ method: 'knit' });
    expect(base.chosen?.total).toBeCloseTo(finished / 2, 9);
    expect(bustAmounts(body, knit(0.3), '4').chosen?.total).toBeCloseTo(finished / 2, 9);
    // Drafted 30 below the body: what is negative there is the stretch already. 48 over the chart, half of it spread.
    const clinging = { ...knit(0.4), bustEase: -30 };
    const flat = finishedBust(clinging, '4')?.value ?? 0;
    expect(bustAmounts(body, clinging, '4', { ease: flat - 920 }).chosen?.total).toBeCloseTo(48 / 2, 9);
  });

  it.each([
    [925, 'none'],
    [940, 'optional'],
    [968, 'yes'],
  ])('for a full bust of %d says %s', (fullBust, verdict) => {
    expect(bustAmounts({ highBust: 870, fullBust }, pattern, '4').verdict).toBe(verdict);
  });

  it('is a matter of style from the least worth a step to the most, both of them included', () => {
    const none = bustAmounts({ highBust: 870, fullBust: 920 }, pattern, '4').chosen?.total ?? 0;
    const asked = (total: number) => bustAmounts({ highBust: 870, fullBust: 920 + total - none }, pattern, '4').verdict;
    expect([ADVICE.smallBust - 0.01, ADVICE.smallBust].map(asked)).toEqual(['none', 'optional']);
    expect([ADVICE.optionalBust, ADVICE.optionalBust + 0.01].map(asked)).toEqual(['optional', 'yes']);
  });

  it('names what is missing instead of guessing', () => {
    expect(bustAmounts({}, pattern, '4')).toMatchObject({ chosen: null, missing: ['fullBust', 'highBust'], all: [] });
  });
});

describe('two ranges of sizes in one chart', () => {
  // 14 and 14W are drafted for the same high bust, with cups of 50 and 80.
  const ranges: Pattern = {
    ...causewayPattern(),
    sizes: {},
    finished: {},
    chart: [
      { size: '12', body: { highBust: 830, fullBust: 880 } },
      { size: '14', body: { highBust: 870, fullBust: 920 } },
      { size: '14W', body: { highBust: 874, fullBust: 954 } },
      { size: '16W', body: { highBust: 916, fullBust: 996 } },
    ],
  };
  const sizeOf = (highBust: number, fullBust: number) => expectOk(startingSize({ highBust, fullBust }, ranges), 'size');
  it('takes the row whose cup leaves least to alter', () => {
    expect(sizeOf(872, 950).chosen.size).toBe('14W');
    expect(sizeOf(872, 950).reasons.map((r) => r.code)).toContain('size.cup');
    expect(sizeOf(872, 925).chosen.size).toBe('14');
  });
  it('goes by the high bust where only one row is near it', () => {
    expect(sizeOf(832, 930).chosen.size).toBe('12');
    expect(sizeOf(832, 930).reasons.map((r) => r.code)).not.toContain('size.cup');
  });
  it('compares a cup with that of its row', () => {
    const cup = bustAmounts({ highBust: 872, fullBust: 972 }, ranges, '14W').all.find((a) => a.method === 'cup');
    // 100 on the body, 80 in the row.
    expect(cup?.total).toBe(20);
  });
});
