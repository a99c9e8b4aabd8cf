import { describe, expect, it } from 'vitest';
import { samplePattern } from '../../blocks/index.ts';
import type { MeasurementKey, Pattern } from '../../pattern/index.ts';
import { block } from '../../testing/block.ts';
import {
  easeOf,
  easesFor,
  MEASUREMENT_CATALOGUE,
  neededFor,
  uncertaintyOf,
  usualEase,
  type Body,
} from '../fit/index.ts';
import { effectsOf, shareOf, toldFlat, worksheet, type Row } from './worksheet.ts';

const dress = samplePattern('causeway', ['4', '5']);
const skerry = samplePattern('skerry-armhole', ['4']);
const shirt = samplePattern('causeway-shirt', ['4', '5']);
const definition = (key: MeasurementKey) => MEASUREMENT_CATALOGUE.find((d) => d.key === key)!;
const sewn = (pattern: Pattern, size = '4') => ({ pieces: pattern.sizes[size] ?? [], seams: pattern.seams });
const rowsOf = (body: Body, pattern = dress, after = sewn(pattern), own = {}): Readonly<Record<string, Row>> =>
  Object.fromEntries(
    worksheet({
      body,
      eases: easesFor(pattern, '4', sewn(pattern), own),
      uncertainty: uncertaintyOf([], pattern),
      pattern,
      size: '4',
      before: sewn(pattern),
      after,
      told: null,
      placed: [],
    }).map((r) => [r.key, r]),
  );

describe('the worksheet', () => {
  // Size 4 is drafted for 740 + 30 at the waist, 990 + 50 at the hip, a shoulder of 122, 404 down the back; across the
  // back it measures 367 for a body of 355, the sleeve 344 for an arm of 298.
  it.each([
    ['waist', 760, { ease: 30, wanted: 790, pattern: 770, difference: 20, each: 5 }],
    ['hip', 1020, { ease: 50, wanted: 1070, pattern: 1040, difference: 30, each: 7.5 }],
    ['shoulder', 113, { ease: 0, wanted: 113, pattern: 122, difference: -9, each: -9 }],
    ['napeToWaist', 390, { ease: 0, wanted: 390, pattern: 404, difference: -14, each: -14 }],
    ['crossBack', 363, { ease: 12, wanted: 375, pattern: 367, difference: 8, each: 4 }],
    ['upperArm', 304, { ease: 46, wanted: 350, pattern: 344, difference: 6, each: 6 }],
    ['sideWaist', 200, { ease: 0, wanted: 200, pattern: 196, difference: 4, each: 4 }],
    ['bustSpan', 190, { ease: 0, wanted: 190, pattern: 186, difference: 4, each: 2 }],
    ['neckPointToBustPoint', 270, { ease: 0, wanted: 270, pattern: 260, difference: 10, each: 10 }],
  ] as const)('%s: body + ease − pattern, and each piece’s share', (key, body, sum) => {
    const row = rowsOf({ [key]: body })[key]!;
    expect(row.from).toBe('pieces');
    for (const [name, value] of Object.entries(sum)) expect(row[name as keyof Row], name).toBeCloseTo(value, 0);
  });

  it('measures a hand-drawn block on its seam lines, darts folded shut', () => {
    const b = block();
    const row = worksheet({
      body: {},
      eases: easesFor({ ...dress, chart: [] }, '4', b),
      uncertainty: uncertaintyOf([], dress),
      pattern: { ...dress, chart: [{ size: '4', body: {} }] },
      size: '4',
      before: b,
      after: b,
      told: null,
      placed: [],
    });
    const flat = Object.fromEntries(row.map((r) => [r.key, r.pattern]));
    // Half width 200 everywhere below the underarm: 4 · 200. Shoulder level and 100 long. Notches 80 down, at x = 160.
    expect(flat).toMatchObject({
      waist: 800,
      fullBust: 800,
      shoulder: 100,
      shoulderSlope: 0,
      crossBack: 320,
      sideWaist: 200,
    });
    // The back neck lies at 20, the front's at 60, the underarm at 160, the waist at 360.
    expect(flat).toMatchObject({ napeToWaist: 340, frontWaistLength: 300, napeToUnderarm: 140 });
    expect(flat['armhole']).toBeCloseTo(2 * (120 + Math.hypot(40, 40)), 6);
    expect(flat['neck']).toBeCloseTo(2 * (Math.hypot(60, 60) + Math.hypot(60, 20)), 6);
  });

  it('compares body with body where the pieces do not show it, without ease', () => {
    const row = rowsOf({ highBust: 873 })['highBust']!;
    expect(row).toMatchObject({ from: 'chart', pattern: 870, ease: 0, difference: 3 });
    expect(rowsOf({ height: 1700 })['height']).toMatchObject({ from: 'chart', pattern: 1660, difference: 40 });
  });

  it('leaves out what neither body nor pattern knows, and keeps what one of them does', () => {
    const rows = rowsOf({ wrist: 160 });
    expect(rows['thigh']).toBeUndefined();
    expect(rows['waist']).toMatchObject({ body: null, difference: null, left: null });
  });

  it('tells what is left on the altered pieces, so that nothing is added twice', () => {
    const row = rowsOf({ waist: 760 }, dress, sewn(dress, '5'))['waist']!;
    // Size 5 has 810 at the waist: 20 were wanted, 40 were given.
    expect(row.after).toBeCloseTo(810, 0);
    expect(row.left).toBeCloseTo(-20, 0);
    const told = effectsOf(sewn(dress), sewn(dress, '5'), ['waist', 'shoulder', 'thigh'], 1);
    expect(told.map((e) => [e.key, Math.round(e.by)])).toEqual([
      ['waist', 40],
      ['shoulder', 2],
    ]);
  });

  it.each([
    ['waist', 4, 'sides'],
    ['fullBust', 4, 'bust'],
    ['crossBack', 2, 'halves'],
    ['armhole', 2, 'armholes'],
    ['shoulder', 1, 'whole'],
    ['upperArm', 1, 'whole'],
  ] as const)('shares %s by %i', (key, parts, why) => {
    expect(shareOf(definition(key), sewn(dress).pieces)).toEqual({ parts, why });
  });

  it('spreads a width over every seam of a draft in panels: 2 · (1 + 2 + 2 + 1) edges', () => {
    expect(shareOf(definition('waist'), sewn(skerry).pieces)).toEqual({ parts: 12, why: 'seams' });
    expect(rowsOf({ waist: 776 }, skerry)['waist']?.each).toBeCloseTo(36 / 12, 0);
  });
});

describe('ease', () => {
  const as = (over: Partial<Pattern>) => ({ ...dress, bustEase: null, ...over });
  it.each([
    ['fullBust', {}, 50],
    ['waist', {}, 30],
    ['crossBack', {}, 20],
    ['shoulder', {}, 0],
    ['waist', { style: 'loose' }, 100],
    ['fullBust', { style: 'loose', bustEase: 110 }, 110],
    ['fullBust', { fabric: { kind: 'knit', stretch: 0.4 } }, 0],
    ['waist', { fabric: { kind: 'knit', stretch: 0.4 }, bustEase: -30 }, -30],
    ['crossBack', { fabric: { kind: 'knit', stretch: 0.4 } }, 0],
  ] as const)('%s of %o is usually %i', (key, over, ease) => {
    expect(usualEase(as(over as Partial<Pattern>), definition(key))).toBe(ease);
  });

  it('is the wearer’s own for that kind of garment only, else the design’s, else the usual', () => {
    const own = { fittedWoven: { waist: 10, fullBust: 60 }, knit: { waist: -20 } };
    const of = (over: Partial<Pattern>, eases = {}, bust: number | null = null) =>
      easeOf(easesFor(as({ ...over, chart: [] }), '4', sewn(dress), eases, bust));
    expect(of({}, own)).toMatchObject({ waist: 10, fullBust: 60, hip: 50 });
    expect(of({ style: 'loose' }, own).waist).toBe(100);
    expect(of({ fabric: { kind: 'knit', stretch: 0 } }, own).waist).toBe(-20);
    expect(of({}, {}, 45).fullBust).toBe(45);
    expect(rowsOf({ waist: 760 }, dress, sewn(dress), own)['waist']?.difference).toBeCloseTo(0, 0);
    const { waist, fullBust, shoulderSlope } = easesFor(dress, '4', sewn(dress), own);
    expect([waist.from, fullBust.from, shoulderSlope.from]).toEqual(['own', 'own', 'usual']);
    // The shirt measures 1025 at the bust for a body of 920.
    expect(easesFor(shirt, '4', sewn(shirt)).fullBust).toMatchObject({ from: 'design', loose: true, wearing: 50 });
    expect(easesFor(shirt, '4', sewn(shirt)).fullBust.value).toBeCloseTo(105, 0);
  });

  it('says where the pattern itself leaves less than a body needs', () => {
    const tight = { ...dress, chart: [{ size: '4', body: { waist: 760 } }] };
    expect(easesFor(tight, '4', sewn(tight)).waist).toMatchObject({ from: 'design', wearing: 30, loose: false });
    expect(easesFor(tight, '4', sewn(tight)).waist.value).toBeCloseTo(10, 0);
  });

  it('asks nothing of a loose design while wearing ease is left, and the design’s own back after that', () => {
    const bust = (body: number, after = sewn(shirt)): Row => rowsOf({ fullBust: body }, shirt, after)['fullBust']!;
    // 1025 on the pieces: a body of 970 keeps 55, one of 990 would keep 35.
    expect(bust(970)).toMatchObject({ easeFrom: 'room', difference: 0, left: 0 });
    expect(bust(970).ease).toBeCloseTo(1025 - 970, 0);
    expect(bust(990)).toMatchObject({ easeFrom: 'design' });
    expect(bust(990).difference).toBeCloseTo(70, 0);
    // Size 5 measures 40 more: 75 are left to a body of 990.
    expect(bust(990, sewn(shirt, '5'))).toMatchObject({ left: 0 });
    // Typed ease is wanted whatever is there.
    const typed = rowsOf({ fullBust: 970 }, shirt, sewn(shirt), { looseWoven: { fullBust: 90 } })['fullBust']!;
    expect(typed).toMatchObject({ easeFrom: 'own', ease: 90 });
    expect(typed.difference).toBeCloseTo(970 + 90 - 1025, 0);
  });
});

describe('what a tape can tell', () => {
  const read = (readings: Record<string, number[]>) => [{ id: 's', date: '2026-10-01', readings, notes: '' }];
  it('is a millimetre of paper, half a notch of ease and what the two readings differ by', () => {
    const fitted = uncertaintyOf(read({ waist: [700, 704], shoulder: [120, 120] }), dress);
    expect([fitted.waist, fitted.shoulder, fitted.hip]).toEqual([1 + 5 + 4, 1 + 3, 1 + 5]);
    // A knit that stretches by two fifths gives 8 more.
    const knit = uncertaintyOf([], { fabric: { kind: 'knit', stretch: 0.4 } });
    expect([knit.waist, knit.shoulder]).toEqual([1 + 5 + 8, 1 + 3]);
  });
});

describe('with paper only', () => {
  const paper: Pattern = {
    ...dress,
    sizes: {},
    chart: [{ size: '12', body: { fullBust: 914, waist: 711, shoulder: 124 } }],
    finished: { '12': { bust: 960 } },
    flat: { '12': { waist: 748 } },
  };
  it('takes what was typed, then what is printed, then chart and ease; the high bust derived', () => {
    expect(toldFlat(paper, '12', easeOf(easesFor(paper, '12', null)))).toEqual({
      waist: { value: 748, from: 'typed' },
      fullBust: { value: 960, from: 'printed' },
      highBust: { value: 864 + 30, from: 'chart' },
      shoulder: { value: 124, from: 'chart' },
    });
  });
  it('never measures the draft it is only like, but tells what a step changes on it', () => {
    const rows = worksheet({
      body: { waist: 760, hip: 1000 },
      eases: easesFor(paper, '12', null),
      uncertainty: uncertaintyOf([], paper),
      pattern: paper,
      size: '12',
      before: sewn(dress),
      after: sewn(dress, '5'),
      told: toldFlat(paper, '12', easeOf(easesFor(paper, '12', null))),
      placed: [],
    });
    const waist = rows.find((r) => r.key === 'waist')!;
    // 748 on the paper for a body of 711: 37 of ease by design.
    expect(waist.difference).toBe(760 + 37 - 748);
    expect(waist.left).toBeCloseTo(49 - 40, 0);
    expect(rows.find((r) => r.key === 'hip')).toMatchObject({ pattern: null, difference: null });
  });
});

describe('what is needed first', () => {
  it('is what pattern and plan are worked out from, in measuring order', () => {
    expect(neededFor(dress, [])).toEqual([
      'highBust',
      'fullBust',
      'waist',
      'hip',
      'shoulder',
      'napeToWaist',
      'neckPointToBustPoint',
      'bustSpan',
      'upperArm',
    ]);
    expect(neededFor(dress, [{ alteration: 'back-width' }])).toContain('crossBack');
    expect(neededFor({ ...dress, garment: 'bottom', sizes: {}, chart: [{ size: '1', body: {} }] }, [])).toEqual([
      'waist',
      'hip',
      'hipDepth',
    ]);
    expect(neededFor({ ...dress, sizes: {} }, [])).toContain('sideWaist');
  });
});
