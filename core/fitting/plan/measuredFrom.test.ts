import { describe, expect, it } from 'vitest';
import { alterationById, flatOf } from '../../alterations/index.ts';
import { samplePattern } from '../../blocks/index.ts';
import { neckAway, partAtCentre, withNeckAway, type MeasurementKey, type Pattern } from '../../pattern/index.ts';
import { wearerWith, type Readings } from '../../testing/wearers.ts';
import { expectOk } from '../../units/index.ts';
import { draft } from './index.ts';

const SIZE = '4';
const bodyOf = (pattern: Pattern) => pattern.chart.find((r) => r.size === SIZE)?.body ?? {};
const onSize = (pattern: Pattern, differs: Readings = {}, told = pattern) =>
  draft({
    job: { size: SIZE, sizeMethod: 'highBust', steps: [] },
    wearer: wearerWith({ ...bodyOf(pattern), ...differs }),
    pattern: told,
  });
/** The same pattern with a chart that leaves some measurements out, as envelopes do. */
const silentOn = (pattern: Pattern, ...keys: readonly MeasurementKey[]): Pattern => ({
  ...pattern,
  chart: pattern.chart.map((r) => ({
    ...r,
    body: Object.fromEntries(Object.entries(r.body).filter(([key]) => !keys.includes(key as MeasurementKey))),
  })),
});
const flat = (pattern: Pattern, key: MeasurementKey): number =>
  flatOf({ pieces: pattern.sizes[SIZE] ?? [], seams: pattern.seams }, key)?.value ?? NaN;
const asked = (d: ReturnType<typeof draft>) => d.asks.map((a) => [a.alteration, a.fit.values['by']]);

describe('a neckline away from the neck', () => {
  const wide = samplePattern('causeway-wide-neck');
  const plain = samplePattern('causeway-side');

  it('takes nothing off what is measured from the neck', () => {
    // Drawn from the same frame, one neckline 25 wider and 25 lower behind: the neck of the body is the same.
    for (const key of ['shoulder', 'shoulderSlope', 'napeToWaist', 'neckPointToBustPoint', 'frontWaistLength'] as const)
      expect(flat(wide, key), key).toBeCloseTo(flat(plain, key), 6);
    // The seam itself is 25 shorter than the shoulder of the chart.
    const front = wide.sizes[SIZE]?.[0]?.edges.find((e) => e.id === 'shoulder');
    expect(
      Math.hypot(
        front!.path.segments[0]!.to.x - front!.path.start.x,
        front!.path.segments[0]!.to.y - front!.path.start.y,
      ),
    ).toBeCloseTo(122 - 25, 6);
    expect(flat(wide, 'shoulder')).toBeCloseTo(122, 6);
  });

  it('is not read as a broad shoulder, whether the chart tells the shoulder or not', () => {
    for (const told of [wide, silentOn(wide, 'shoulder', 'napeToWaist')]) {
      expect(asked(onSize(wide, {}, told))).toEqual([]);
      expect(asked(onSize(wide, { shoulder: 113 }, told))).toEqual([['shoulder-slash', -9]]);
    }
  });

  it('without its marks would be: that is what the marks are for', () => {
    const bare: Pattern = {
      ...silentOn(wide, 'shoulder'),
      sizes: { [SIZE]: (wide.sizes[SIZE] ?? []).map((p) => withNeckAway(p, { out: 0, below: 0 })) },
    };
    expect(asked(onSize(wide, {}, bare))).toEqual([['shoulder-slash', 25]]);
  });

  it('stays away from the neck as far as it was through a step at the shoulder and one at the bust', () => {
    const d = draft({
      job: {
        size: SIZE,
        sizeMethod: 'highBust',
        steps: [
          {
            id: 'a',
            alteration: 'full-bust-side-dart',
            revision: 1,
            values: { total: 40 },
            on: true,
            side: 'both',
            school: 'auto',
            notes: '',
          },
          {
            id: 'b',
            alteration: 'shoulder-slash',
            revision: 1,
            values: { by: -9 },
            on: true,
            side: 'both',
            school: 'auto',
            notes: '',
          },
        ] as never,
      },
      wearer: wearerWith(bodyOf(wide)),
      pattern: wide,
    });
    const front = d.pieces.find((p) => p.part === 'front')!;
    expect(neckAway(front).out).toBeCloseTo(25, 1);
    expect(neckAway(front).below).toBeCloseTo(55, 1);
    expect(flatOf({ pieces: d.pieces, seams: d.seams }, 'shoulder')?.value).toBeCloseTo(113, 1);
  });
});

describe('a centre inside the paper', () => {
  const buttoned = samplePattern('causeway-buttons');
  const plain = samplePattern('causeway-side');

  it('measures girths, spans and the bust from the centre line, not from the edge of the facing', () => {
    for (const key of ['fullBust', 'waist', 'hip', 'bustSpan', 'crossFront'] as const)
      if (Number.isFinite(flat(plain, key))) expect(flat(buttoned, key), key).toBeCloseTo(flat(plain, key), 6);
  });

  it('is asked for nothing by its own body, and for 48 by a bust 48 fuller', () => {
    expect(onSize(buttoned).amounts?.verdict).toBe('none');
    expect(onSize(buttoned, { fullBust: 968 }).amounts?.chosen?.total).toBeCloseTo(48, 6);
  });

  it('read from the edge of a facing of 45 the same front would ask for a bust 90 smaller', () => {
    // What came in with its outer edge called the centre: nothing told the app where the centre lies.
    const cut = (plain.sizes[SIZE] ?? []).map((p) =>
      p.part === 'front'
        ? {
            ...p,
            fold: null,
            edges: p.edges.map((e) => ({
              ...e,
              path: {
                start: e.path.start.x < 1e-6 ? { x: -45, y: e.path.start.y } : e.path.start,
                segments: e.path.segments.map((s) => (s.to.x < 1e-6 ? { ...s, to: { x: -45, y: s.to.y } } : s)),
              },
            })),
          }
        : p,
    );
    const wrong = flatOf({ pieces: cut, seams: plain.seams }, 'fullBust')!.value;
    expect(wrong - flat(plain, 'fullBust')).toBeCloseTo(90, 3);
    const right = cut.map((p) =>
      p.part === 'front' ? expectOk(partAtCentre(p, { centre: 45, fold: null }), 'part') : p,
    );
    expect(flatOf({ pieces: right, seams: plain.seams }, 'fullBust')!.value).toBeCloseTo(flat(plain, 'fullBust'), 3);
  });
});

describe('a low underarm', () => {
  const low = samplePattern('causeway-low-armhole');

  it('is not read as a short side or a deep armhole by the body it was drafted for', () => {
    // Drawn from the shirt's frame with the underarm 40 lower: its side is 40 shorter, and the chart tells the side.
    expect(flat(samplePattern('causeway-shirt'), 'sideWaist') - flat(low, 'sideWaist')).toBeCloseTo(40, 1);
    // 226 from nape to underarm on the paper, 44.4 of it the design's: 182 on the body.
    expect(asked(onSize(low, { napeToUnderarm: 182 }))).toEqual([]);
  });

  it('compares a longer body with the drop of the draft', () => {
    expect(asked(onSize(low, { sideWaist: 208, napeToWaist: 416 }))).toEqual([['length-line', 12]]);
  });

  it('asks for nothing where neither chart nor pattern tells the drop, and for the difference once it is told', () => {
    const silent = silentOn(low, 'sideWaist');
    const body = { sideWaist: 208, napeToUnderarm: 182 };
    expect(asked(onSize(low, body, silent))).toEqual([]);
    expect(onSize(low, body, silent).worksheet.find((r) => r.key === 'sideWaist')).toMatchObject({
      easeFrom: 'untold',
      difference: null,
    });
    // 196 on the chart body, 151.6 on the paper.
    const told = { ...silent, underarmDrop: { [SIZE]: 44.4 } };
    expect(onSize(low, body, told).worksheet.find((r) => r.key === 'sideWaist')?.difference).toBeCloseTo(12, 1);
    expect(asked(onSize(low, body, told))).toContainEqual(['length-line', 12]);
  });
});

it('knows every alteration its tests name', () => {
  for (const id of ['full-bust-side-dart', 'shoulder-slash']) expect(alterationById(id)).toBeDefined();
});
