import { describe, expect, it } from 'vitest';
import { SAMPLE_IDS, samplePattern, type SampleId } from '../blocks/index.ts';
import { draft, planStep } from '../fitting/plan/index.ts';
import { formOf, type Body } from '../form/index.ts';
import type { Piece } from '../pattern/index.ts';
import type { Garment } from '../sew/index.ts';
import { onBody } from '../testing/onBody.ts';
import { withOwnSteps } from '../testing/ownSteps.ts';
import { wearerWith } from '../testing/wearers.ts';
import { expectOk } from '../units/index.ts';
import { compared, dragsOf, read, shows, standFor, worn, type Reading, type ReadingId } from './index.ts';

function sample(id: SampleId, size: string): { readonly garment: Garment; readonly row: Body } {
  const pattern = samplePattern(id, [size]);
  return {
    garment: { pieces: pattern.sizes[size]!, seams: pattern.seams },
    row: pattern.chart.find((r) => r.size === size)!.body,
  };
}

/** Readings may lie so far off on the body a draft was made for: mm above or below, mm past the bone along the slope, per cent of pull. */
const DRAFTED = { level: 15, end: 22, pull: 0.35, into: 1 } as const;
/** Arms held up draw by themselves, and a cut-on sleeve with its whole front and back. */
const CUT_ON = { pull: 0.6, into: 6 } as const;
/** A dartless front rises over a bust, more the fuller it is; so does one let down into a long dart, a little. A collar weighs on the back. */
const RISES: Readonly<Partial<Record<SampleId, number>>> = {
  ...{ 'causeway-shirt': 45, 'causeway-low-armhole': 30, 'causeway-cut-on': 40, quay: 36 },
  ...{ 'causeway-side': 22, 'causeway-french': 22, 'causeway-wide-neck': 22, 'causeway-buttons': 22, skiff: 30 },
};
/** In their largest size, or their smallest, some rise farther; and a sheath, shaped at the waist without a seam there, draws at it. */
const RISES_IN: Readonly<Partial<Record<string, number>>> = {
  ...{ 'causeway-low-armhole 8': 45, 'causeway-cut-on 8': 45, 'quay 8': 40, 'skiff 1': 45 },
};
const PULLS_IN: Readonly<Partial<Record<string, number>>> = { 'jetty 8': 0.45 };
/** Every sample with shoulders, in a small, a middling or a large size by turns; the first, and with EVERY_SIZE=1 each, in all three. */
const SIZES = ['4', '8', '1'] as const;
const DRAFTS = SAMPLE_IDS.filter((id) => id !== 'landing' && id !== 'ebb').flatMap((id, i) =>
  (i === 0 || process.env['EVERY_SIZE'] ? SIZES : [SIZES[i % 3]!]).map((size) => [id, size] as const),
);

describe('the body a pattern was drafted for', () => {
  it.each(DRAFTS)('%s in size %s hangs level and free', (id, size) => {
    const { garment, row } = sample(id, size);
    const on = onBody(garment, row);
    expect(on.settled).toBe(true);
    const r = read(on);
    const pull = PULLS_IN[`${id} ${size}`] ?? (on.arms ? CUT_ON.pull : DRAFTED.pull);
    for (const key of ['pull-bust', 'pull-waist', 'pull-hip', 'pull-cross-back'] as const)
      expect(r[key] ?? 0).toBeLessThan(pull);
    const level = RISES_IN[`${id} ${size}`] ?? RISES[id] ?? DRAFTED.level;
    for (const key of ['waist-seam-front', 'waist-seam-side'] as const)
      expect(Math.abs(r[key] ?? 0)).toBeLessThan(level);
    expect(Math.abs(r['shoulder-end'] ?? 0)).toBeLessThan(DRAFTED.end);
    // No cloth inside the body, but for what it presses in.
    const out = new Float64Array(4);
    for (let i = 0; i < on.sheet.points; i++) {
      on.solid.at(on.x[3 * i]!, on.x[3 * i + 1]!, on.x[3 * i + 2]!, out);
      expect(1000 * out[0]!).toBeGreaterThan(-(on.arms ? CUT_ON.into : DRAFTED.into));
    }
    // The halves meet on the plane between them.
    for (const key of ['front centreFront', 'back centreBack'])
      for (const i of on.toile.edges.get(key) ?? []) expect(Math.abs(on.x[3 * i]!)).toBe(0);
  });
});

describe('a front with a wide, low neckline', () => {
  it('is read across below the neckline: a bust point a little higher changes nothing there', () => {
    const { garment, row } = sample('causeway-wide-neck', '4');
    const across = (body: Body) => read(onBody(garment, body))['ease-cross-front']!;
    const control = across(row);
    const higher = across({ ...row, neckPointToBustPoint: row.neckPointToBustPoint! - 12, bustPointToWaist: 170 });
    expect(control).toBeGreaterThan(0);
    expect(Math.abs(higher - control)).toBeLessThan(8);
  });
});

describe('a raglan top in jersey', () => {
  const { garment, row } = sample('ebb', '4');
  const on = (body: Body) => {
    const stand = standFor(formOf(body).figure, garment);
    return expectOk(worn(garment, stand, 'stableJersey', 'coarse'), 'raglan');
  };
  const usual = on(row);

  it('hangs by its sleeves, with the arms on: closed at the neck, clear of the body', () => {
    expect([usual.arms, usual.settled]).toEqual([true, true]);
    const r = read(usual);
    expect([r['shoulder-end'], r['stand-off-armhole']]).toEqual([null, null]);
    expect(r['stand-off-neck']).toBeLessThan(10);
    expect(Math.abs(r['ease-upper-arm']!)).toBeLessThan(25);
    // Held up by arms away from the sides, but no more.
    expect(r['hem-back']! + 30).toBeGreaterThan(usual.figure.waist - 120);
    const out = new Float64Array(4);
    for (let i = 0; i < usual.sheet.points; i++) {
      usual.solid.at(usual.x[3 * i]!, usual.x[3 * i + 1]!, usual.x[3 * i + 2]!, out);
      // Drawn tight, it presses in.
      expect(out[0]).toBeGreaterThan(-0.008);
    }
  });

  it('pulls over a fuller bust and around a thicker arm', () => {
    const bust = compared(read(on({ ...row, fullBust: row.fullBust! + 60 })), read(usual), 'stableJersey');
    expect(shows(bust.find((r) => r.id === 'pull-bust')!)).toBe(true);
    // Jersey is drawn 4000 ÷ 1100 times as far as calico by the same force, and shows no sooner.
    expect(bust.find((r) => r.id === 'pull-bust')!.threshold).toBeCloseTo((0.2 * 2 * 4000) / 1100, 6);
    const arm = compared(read(on({ ...row, upperArm: row.upperArm! + 40 })), read(usual));
    expect(arm.find((r) => r.id === 'pull-upper-arm')!.off).toBeGreaterThan(0.3);
  });
});

/** What may be left of a reading once the step is done, as a share; a shoulder seam slides a little as well. */
const LEFT: number = 0.4;
const SLIDES: number = 0.6;

interface Seen {
  readonly drafted: readonly Reading[];
  readonly planned: readonly Reading[];
}

describe('the truth table of Causeway in size 4', () => {
  const { garment, row } = sample('causeway', '4');
  const control = read(onBody(garment, row));

  /** The readings on a body that differs from the chart, as drafted and with the app’s own steps at its own amounts. */
  const known = new Map<string, Seen>();
  const seen = (differs: Body): Seen => {
    const key = JSON.stringify(differs);
    const found = known.get(key) ?? look(differs);
    known.set(key, found);
    return found;
  };
  function look(differs: Body): Seen {
    const body = { ...row, ...differs };
    const { sides } = withOwnSteps(samplePattern('causeway', ['4']), '4', body);
    return {
      drafted: compared(read(onBody(garment, body)), control),
      planned: compared(read(onBody(sides.left, body)), control),
    };
  }
  const of = (readings: readonly Reading[], id: ReadingId): Reading => readings.find((r) => r.id === id)!;

  it.each([
    ['a fuller bust pulls across it', { fullBust: 980 }, 'pull-bust', 1],
    ['a fuller bust takes the ease', { fullBust: 980 }, 'ease-bust', -1],
    ['a fuller bust lifts the neckline in front', { fullBust: 980 }, 'stand-off-neck', 1],
    ['a narrow shoulder lets the seam run over the bone', { shoulder: 110 }, 'shoulder-end', 1, SLIDES],
    ['a broad shoulder ends beyond it', { shoulder: 134 }, 'shoulder-end', -1, SLIDES],
    ['a long waist lies below the seam', { napeToWaist: 424, sideWaist: 216 }, 'waist-seam-side', 1],
    ['a short waist lies above it', { napeToWaist: 384, sideWaist: 176 }, 'waist-seam-side', -1],
    ['a narrow hip leaves ease', { hip: 950 }, 'ease-hip', 1],
    ['a narrow chest leaves width across it', { crossFront: 319 }, 'ease-cross-front', 1],
    ['a narrow back leaves width across it', { crossBack: 339 }, 'ease-cross-back', 1],
    ['on sloping shoulders it slides down', { shoulderSlope: 66 }, 'neck-rise-back', -1],
    ['on square shoulders it rides up', { shoulderSlope: 16 }, 'neck-rise-back', 1],
  ] as const)('%s, and the step takes most of it away', (_what, differs, id, way, left = LEFT) => {
    const { drafted, planned } = seen(differs);
    const [before, after] = [of(drafted, id), of(planned, id)];
    expect(shows(before)).toBe(true);
    expect(Math.sign(before.off)).toBe(way);
    expect(shows(after)).toBe(false);
    expect(Math.abs(after.off)).toBeLessThan(left * Math.abs(before.off));
  });

  it('a fuller bust draws lines across the front; the drafted body draws none', () => {
    const strokes = (body: Body) => {
      const on = onBody(garment, body);
      const drags = dragsOf(on);
      return Array.from({ length: drags.length / 6 }, (_, i) => {
        const [x, y, z, u, v, w] = drags.subarray(6 * i, 6 * i + 6) as unknown as [
          number,
          number,
          number,
          number,
          number,
          number,
        ];
        return {
          across: Math.hypot(u - x, w - z),
          down: Math.abs(v - y),
          high: (y + v) / 2,
          front: z + w > 0,
          bust: on.figure.bust / 1000,
        };
      }).filter((s) => s.front && Math.abs(s.high - s.bust) < 0.05);
    };
    const lines = strokes({ ...row, fullBust: 980 });
    expect(strokes(row).length).toBeLessThan(lines.length / 4);
    expect(lines.length).toBeGreaterThan(10);
    // They run more across than down.
    expect(lines.filter((s) => s.across > s.down).length).toBeGreaterThan(0.8 * lines.length);
  });

  it('with its sleeves: the chart’s body hangs as without; a thick arm takes their ease, and the step gives most of it back', () => {
    const sleeved = { ...garment, sleeves: true };
    const on = (of: Garment, body: Body) =>
      read(expectOk(worn(of, standFor(formOf(body).figure, of), 'calico', 'coarse'), 'sleeved'));
    const usual = on(sleeved, row);
    for (const key of ['waist-seam-front', 'waist-seam-side', 'waist-seam-back', 'ease-waist', 'ease-hip'] as const)
      expect(Math.abs(usual[key]! - control[key]!)).toBeLessThan(10);
    expect([control['ease-upper-arm'], control['pull-upper-arm']]).toEqual([null, null]);
    const body = { ...row, upperArm: row.upperArm! + 40 };
    const pattern = samplePattern('causeway', ['4']);
    const job = { size: '4', sizeMethod: 'highBust' as const, steps: [planStep('s', 'upper-arm')] };
    const { sides } = draft({ job, wearer: wearerWith(body as never), pattern });
    const [before, after] = [sleeved, { ...sides.left, sleeves: true }].map((g) => compared(on(g, body), usual));
    const tight = of(before!, 'ease-upper-arm');
    expect(shows(tight)).toBe(true);
    expect(tight.off).toBeLessThan(-30);
    expect(shows(of(after!, 'ease-upper-arm'))).toBe(false);
    for (const r of before!) if (shows(r)) expect(r.id).toBe('ease-upper-arm');
  });

  it('is read from the shoulders down where nobody has named its neckline', () => {
    const unnamed = (p: Piece): Piece => ({
      ...p,
      edges: p.edges.map((e) => (e.role === 'neck' ? { ...e, role: 'other' } : e)),
    });
    const r = read(onBody({ ...garment, pieces: garment.pieces.map(unnamed) }, row));
    expect(r['ease-bust']).toBeCloseTo(control['ease-bust']!, 0);
    expect([r['stand-off-neck'], r['neck-rise-back']]).toEqual([null, null]);
  });

  it('a smaller bust leaves cloth over it', () => {
    const smaller = compared(read(onBody(garment, { ...row, fullBust: 885 })), control);
    expect(shows(of(smaller, 'ease-bust'))).toBe(true);
    expect(of(smaller, 'surplus-over-bust').off).toBeGreaterThan(20);
    expect(shows(of(smaller, 'pull-bust'))).toBe(false);
  });

  it('a hollow back has its waist above the seam behind, more than at the side', () => {
    const hollow = compared(read(onBody(garment, { ...row, napeToWaist: 384 })), control);
    expect(of(hollow, 'waist-seam-back').off).toBeLessThan(-12);
    expect(of(hollow, 'waist-seam-back').off).toBeLessThan(of(hollow, 'waist-seam-side').off - 5);
  });

  it('begins where it lay after a change, and comes to nearly the same rest sooner', () => {
    const body = { ...row, hip: 960 };
    const stand = onBody(garment, body);
    const again = onBody(garment, row, stand);
    expect(again.steps).toBeLessThan(stand.steps);
    for (const r of compared(read(again), control)) expect(shows(r)).toBe(false);
  });
});
