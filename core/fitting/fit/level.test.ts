import { describe, expect, it } from 'vitest';
import { samplePattern } from '../../blocks/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import { expectOk } from '../../units/index.ts';
import { bodyFrom, changesBetween, checkAge, historyOf, type MeasurementSet } from './body.ts';
import { bustAmounts } from './amounts.ts';
import { cupChoice, inCup, sharedPieces } from './cups.ts';
import { easesFor } from './eases.ts';
import { levelSizes, mayLeaveBust } from './level.ts';
import { methodFor, startingSize } from './size.ts';

const dress = samplePattern('causeway');
const bare: Pattern = { ...dress, sizes: {}, finished: {} };
const inCups: Pattern = {
  ...bare,
  chart: bare.chart.map((r) => ({ size: r.size, body: { fullBust: r.body.fullBust ?? 0 } })),
  cups: [
    { name: 'A', cup: 25, sizesUp: null },
    { name: 'B', cup: 50, sizesUp: null },
    { name: 'D', cup: 100, sizesUp: null },
  ],
};

describe('waist and hip by themselves', () => {
  it('take the larger between two sizes, and say what the smaller would lack', () => {
    expect(levelSizes({ waist: 751, hip: 1025 }, dress)).toEqual([
      { key: 'waist', body: 751, size: '5', chart: 780, smaller: { size: '4', by: 11 }, beyond: null },
      { key: 'hip', body: 1025, size: '5', chart: 1030, smaller: { size: '4', by: 35 }, beyond: null },
    ]);
  });
  it('stay with a size the body hardly exceeds, and with the last beyond the chart', () => {
    expect(levelSizes({ waist: 742 }, dress)[0]).toMatchObject({ size: '4', beyond: 2 });
    expect(levelSizes({ hip: 1300 }, dress)[0]).toMatchObject({ size: '8', beyond: 125 });
    expect(levelSizes({}, dress)).toEqual([]);
  });
});

describe('a pattern that hangs from the waist', () => {
  const skirt: Pattern = { ...bare, garment: 'bottom' };
  it('is chosen by the hip, the larger on a tie, whatever was asked for', () => {
    expect(methodFor(skirt, 'highBust')).toBe('hip');
    expect(methodFor(dress, 'hip')).toBe('highBust');
    expect(expectOk(startingSize({ hip: 1010 }, { ...skirt, style: 'loose' }, 'hip'), 'size').chosen.size).toBe('5');
    expect(startingSize({ waist: 700 }, skirt, 'hip')).toMatchObject({ error: { code: 'size-needs-hip' } });
  });
});

describe('several cups', () => {
  it('takes the nearest by full less high bust; beyond the largest, the largest and the rest as an adjustment', () => {
    expect(cupChoice({ highBust: 870, fullBust: 960 }, inCups, '4')).toMatchObject({
      chosen: { name: 'D' },
      rest: -10,
      beyond: false,
    });
    expect(cupChoice({ highBust: 870, fullBust: 1000 }, inCups, '4')).toMatchObject({
      chosen: { name: 'D' },
      rest: 30,
      beyond: true,
    });
    expect(cupChoice({ highBust: 870, fullBust: 900 }, inCups, '4')).toMatchObject({ chosen: { name: 'A' }, rest: 5 });
    expect(cupChoice({ highBust: 870 }, inCups, '4')).toBeNull();
    expect(cupChoice({ highBust: 870, fullBust: 900 }, dress, '4')).toBeNull();
  });
  it('reads the chart for the cup taken: the high bust stays, the bust grows by the cup', () => {
    const d = inCup(inCups, 'D');
    expect(d.chart[3]?.body).toMatchObject({ highBust: 870, fullBust: 970 });
    expect(d.draftCup).toBe(100);
    expect(inCup(inCups, 'D')).toBe(d);
    expect(inCup(inCups, null)).toBe(inCups);
    // 130 of difference less a cup of 100: the rest.
    expect(bustAmounts({ highBust: 870, fullBust: 1000 }, d, '4').all.find((a) => a.method === 'cup')?.total).toBe(30);
  });
  it('leaves nobody short on pieces that were not drawn for the cup', () => {
    const cups = [{ name: 'D', cup: 100, sizesUp: null }];
    const chart = dress.chart.map((r) => ({ size: r.size, body: { fullBust: r.body.fullBust ?? 0 } }));
    const onBase = inCup({ ...dress, cups, chart }, 'D');
    const sewn = { pieces: onBase.sizes['4'] ?? [], seams: onBase.seams };
    const { fullBust } = easesFor(onBase, '4', sewn);
    // The pieces are those of the 50 mm cup, for a bust of 920: one of 970 lacks all of the 50.
    const asked = bustAmounts({ highBust: 870, fullBust: 970 }, onBase, '4', { ease: fullBust.value });
    expect(asked.chosen?.total).toBeCloseTo(50, 6);
    expect(expectOk(startingSize({ highBust: 870 }, onBase), 'size').chosen.size).toBe('4');
    // With pieces of its own for that size the cup is in them already.
    const drawn = inCup({ ...dress, cups, chart, sizes: { ...dress.sizes, '4 D': dress.sizes['5'] ?? [] } }, 'D');
    expect(drawn.chart[3]?.body.fullBust).toBe(970);
    expect(drawn.chart[4]?.body.fullBust).toBe(960);
  });
  it('takes the pieces of the cup where it has its own', () => {
    const own = {
      ...dress,
      cups: [{ name: 'B', cup: 50, sizesUp: null }],
      sizes: { ...dress.sizes, '4 B': dress.sizes['5'] ?? [] },
    };
    expect(inCup(own, 'B').sizes['4']).toBe(dress.sizes['5']);
    expect(inCup(own, 'B').sizes['5']).toBe(dress.sizes['5']);
  });
});

describe('ready-made pieces for a small, a standard and a full bust', () => {
  // The chart: size 4 has a high bust of 870 and a bust of 920, 5 one of 960, 3 one of 880; cups of 50 on every row.
  const three = [
    { name: 'small', cup: 0, sizesUp: -1 },
    { name: 'standard', cup: 0, sizesUp: 0 },
    { name: 'full', cup: 0, sizesUp: 1 },
  ];
  const [own, above] = [dress.sizes['4'] ?? [], dress.sizes['5'] ?? []];
  const full = above.filter((p) => p.id === 'front');
  const pattern = { ...dress, cups: three, sizes: { ...dress.sizes, '4 full': full } };

  it('go by the size above or below: one above is the full piece, two above the full piece and the rest', () => {
    const at = (fullBust: number) => cupChoice({ highBust: 870, fullBust }, pattern, '4');
    expect(at(920)).toMatchObject({ chosen: { name: 'standard', cup: 50 }, rest: 0 });
    expect(at(960)).toMatchObject({ chosen: { name: 'full', cup: 90 }, rest: 0, beyond: false });
    expect(at(880)).toMatchObject({ chosen: { name: 'small', cup: 10 }, rest: 0 });
    expect(at(1000)).toMatchObject({ chosen: { name: 'full' }, rest: 40, beyond: true });
    expect(cupChoice({ highBust: 870, fullBust: 960 }, pattern, null)).toBeNull();
  });
  it('beyond the end of the range go by its last step', () => {
    const last = dress.chart.at(-1)!;
    const step = last.body.fullBust! - dress.chart.at(-2)!.body.fullBust!;
    const choice = cupChoice(
      { highBust: last.body.highBust!, fullBust: last.body.fullBust! + step },
      pattern,
      last.size,
    );
    expect(choice).toMatchObject({ chosen: { name: 'full' }, rest: 0 });
  });
  it('replace only what is drawn for them; the rest is named once, as the same for all', () => {
    const made = inCup(pattern, 'full').sizes['4'] ?? [];
    expect(made.map((p) => p.id)).toEqual(own.map((p) => p.id));
    expect(made.find((p) => p.id === 'front')).toBe(full[0]);
    expect(made.find((p) => p.id === 'back')).toBe(own.find((p) => p.id === 'back'));
    expect(sharedPieces(pattern, '4').map((p) => p.id)).toEqual(own.map((p) => p.id).filter((id) => id !== 'front'));
    expect(inCup(pattern, 'full').chart[3]?.body).toMatchObject({ highBust: 870, fullBust: 960 });
  });
  it('are drafted for the row of their own range where two ranges stand in one chart', () => {
    // A second range begins again at a bust of 940, with cups of 80.
    const row = (size: string, highBust: number, cup: number) => ({
      size,
      body: { highBust, fullBust: highBust + cup },
    });
    const two = {
      ...pattern,
      chart: [row('14', 870, 50), row('16', 910, 50), row('14W', 860, 80), row('16W', 900, 80)],
    };
    expect(cupChoice({ highBust: 910, fullBust: 1000 }, two, '16')).toMatchObject({
      chosen: { name: 'full', cup: 90 },
    });
    expect(cupChoice({ highBust: 860, fullBust: 980 }, two, '14W')).toMatchObject({
      chosen: { name: 'full', cup: 120 },
    });
  });
  it('the band under the bust goes by the underbust', () => {
    const under = dress.chart[2]!.body.underbust!;
    expect(levelSizes({ underbust: under }, pattern)).toMatchObject([{ key: 'underbust', size: '3' }]);
    expect(levelSizes({ underbust: under }, dress)).toEqual([]);
  });
});

describe('leaving the bust alone', () => {
  const say = (fullBust: number, pattern = dress) => {
    const body = { highBust: 870, fullBust };
    return mayLeaveBust(bustAmounts(body, pattern, '4'), body, pattern);
  };
  it('is proposed with its reason, and not where the bust is worth altering', () => {
    expect(say(925)).toMatchObject({ code: 'bust.none.ease', data: { body: 925 } });
    expect(say(925)?.data['ease']).toBeCloseTo(45, 0);
    expect(say(925, bare)?.code).toBe('bust.none.chart');
    expect(say(940)).toBeNull();
    expect(say(940, { ...dress, style: 'loose' })?.code).toBe('bust.optional.loose');
    expect(say(990)).toBeNull();
    expect(mayLeaveBust(null, {}, dress)).toBeNull();
  });
});

describe('sets over time', () => {
  const set = (
    date: string,
    readings: MeasurementSet['readings'],
    carried: MeasurementSet['carried'] = [],
  ): MeasurementSet => ({
    id: date,
    date,
    readings,
    notes: '',
    carried: carried ?? [],
  });
  const sets = [
    set('2025-10-01', { waist: [700], hip: [950] }),
    set('2026-04-01', { waist: [706, 710], hip: [975] }),
    set('2026-05-01', { waist: [730], hip: [975] }, ['hip']),
  ];
  it('asks again after half a year, where a value moved by more than 2 cm, and where one was only carried over', () => {
    expect(checkAge(sets, '2026-12-01').map((p) => [p.code, p.key])).toEqual([
      ['set-old', 'waist'],
      ['value-moved', 'waist'],
      ['value-carried', 'hip'],
    ]);
    expect(checkAge(sets.slice(0, 2), '2026-05-01').map((p) => p.code)).toEqual(['value-moved']);
    expect(checkAge([], '2026-05-01')).toEqual([]);
  });
  it('takes the later of two sets of one day', () => {
    const twice = [
      set('2026-05-01', { waist: [700] }),
      set('2026-05-01', { waist: [712] }),
      set('2026-04-01', { waist: [690] }),
    ];
    expect(bodyFrom(twice)).toEqual({ waist: 712 });
    expect(historyOf(twice, 'waist').map((h) => h.value)).toEqual([690, 700, 712]);
  });
  it('tells what changed, and the history without what was carried', () => {
    expect(changesBetween({ waist: 700, hip: 950 }, { waist: 708, neck: 360, hip: 950 })).toEqual([
      { key: 'waist', before: 700, now: 708, by: 8 },
    ]);
    expect(historyOf(sets, 'waist').map((h) => h.value)).toEqual([700, 708, 730]);
    expect(historyOf(sets, 'hip').map((h) => h.date)).toEqual(['2025-10-01', '2026-04-01']);
  });
});
