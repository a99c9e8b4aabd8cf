import { describe, expect, it } from 'vitest';
import { alterationById } from '../../alterations/index.ts';
import { MEASUREMENT_CATALOGUE, SYMPTOM_IDS, type SymptomId } from '../fit/index.ts';
import { drafted, seenAs, stepOf } from '../../testing/fittings.ts';
import { CAUSES, rankCauses, type Change, type Ranked } from './index.ts';

const by = { sizeMethod: 'highBust' } as const;
const find = (all: readonly Ranked[], id: string): Ranked => {
  const found = all.find((r) => r.cause === id);
  if (!found) throw new Error(`expected ${id} among ${all.map((r) => r.cause).join(', ')}`);
  return found;
};

describe('the catalogue of causes', () => {
  it('knows every sign, so that nothing seen is left without a reason', () => {
    const explained = new Set(CAUSES.flatMap((c) => Object.keys(c.signs)));
    expect(SYMPTOM_IDS.filter((s) => !explained.has(s))).toEqual([]);
  });
  it('names alterations and measurements that exist, with an amount they can take', () => {
    const keys = new Set<string>(MEASUREMENT_CATALOGUE.map((m) => m.key));
    for (const cause of CAUSES) {
      for (const { key } of cause.reads) expect(keys).toContain(key);
      for (const id of cause.overdone ?? []) expect(alterationById(id)?.amount).toBe('by');
      if (cause.remedy.kind !== 'step' || cause.remedy.alterations[0] === 'bust') continue;
      for (const id of cause.remedy.alterations) {
        const d = alterationById(id);
        const param = d?.params.find(
          (p) => p.key === (cause.remedy.kind === 'step' && cause.remedy.key ? 'setback' : d.amount),
        );
        if (param?.kind !== 'length') throw new Error(`${cause.id}: ${id} has no length to set`);
        if (cause.remedy.way < 0) expect(param.min).toBeLessThan(0);
        else expect(param.max).toBeGreaterThan(0);
      }
      // An amount may only be told by a sign that speaks for the cause.
      for (const sign of Object.keys(cause.remedy.per)) expect(cause.signs).toHaveProperty(sign);
    }
  });
});

/** What is seen, what the body measures otherwise than the pattern, and the cause that comes first. */
const SITUATIONS: readonly (readonly [string, readonly SymptomId[], Record<string, number[]>, string])[] = [
  ['drag lines and a rising hem', ['pull-bust-side', 'hem-rises-front'], { fullBust: [960] }, 'fuller-bust'],
  ['an armhole that gapes on a full bust', ['armhole-gapes'], { fullBust: [960] }, 'fuller-bust'],
  ['folds over the bust', ['folds-over-bust', 'centre-too-far'], { fullBust: [890] }, 'smaller-bust'],
  ['fullness above the bust', ['fullness-above-bust'], {}, 'dart-too-high'],
  ['fullness below it', ['fullness-below-bust'], {}, 'dart-too-low'],
  ['a pointed dart', ['dart-pointed'], {}, 'dart-too-long'],
  [
    'cloth above the seat, the back long, the side right',
    ['cloth-above-seat'],
    { napeToWaist: [384], sideWaist: [196] },
    'swayback',
  ],
  [
    'cloth above the seat, the side long as well',
    ['cloth-above-seat'],
    { napeToWaist: [384], sideWaist: [176] },
    'bodice-long',
  ],
  [
    'cloth above the seat, the hip too narrow',
    ['cloth-above-seat', 'hip-wrinkles'],
    { hip: [1040], napeToWaist: [404] },
    'hip-narrow',
  ],
  ['a shoulder that hangs, narrow by the tape', ['shoulder-hangs'], { shoulder: [112] }, 'narrow-shoulder'],
  ['strain at the shoulder, broad by the tape', ['shoulder-strain'], { shoulder: [132] }, 'broad-shoulder'],
  [
    'strain at the shoulder, square by the ruler',
    ['shoulder-strain'],
    { shoulder: [122], shoulderSlope: [20] },
    'square-shoulder',
  ],
  ['slanting folds at the neck', ['folds-neck-armhole'], {}, 'sloping-shoulder'],
  ['drag lines to the shoulder end', ['drag-neck-shoulder'], {}, 'forward-shoulder'],
  [
    'a neckline that pulls back, the back too short',
    ['neck-pulls-back', 'neck-stands-away'],
    { napeToWaist: [424] },
    'round-back',
  ],
  ['a bubble below the neck', ['bubble-below-neck'], {}, 'flat-upper-back'],
  ['wrinkles across the hip', ['hip-wrinkles'], {}, 'hip-narrow'],
  ['a waist that sits low', ['waist-low'], {}, 'bodice-long'],
  ['a waist that sits high', ['waist-high'], {}, 'bodice-short'],
  ['binding sleeves, a broad back by the tape', ['sleeve-binds'], { crossBack: [380] }, 'back-narrow'],
  ['tight sleeves', ['sleeve-tight', 'sleeve-binds'], {}, 'sleeve-narrow'],
  ['loose sleeves', ['sleeve-loose'], {}, 'sleeve-wide'],
  ['short sleeves', ['sleeve-short'], {}, 'arm-longer'],
  ['sleeves to the knuckles', ['sleeve-long'], {}, 'arm-shorter'],
  ['a tight wrist', ['wrist-tight'], {}, 'wrist-fuller'],
  ['a loose wrist', ['wrist-loose'], {}, 'wrist-slimmer'],
];

describe('what a fitting shows', () => {
  it.each(SITUATIONS)('%s', (_, signs, readings, first) => {
    const ranked = rankCauses(
      signs.map((s) => seenAs(s)),
      drafted([], readings),
      by,
    );
    expect(ranked[0]?.cause).toBe(first);
    const scores = ranked.map((r) => r.score);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
  });

  it('suspects a hollow back more when the nape-to-waist is short, and less when the side is short too', () => {
    const seen = [seenAs('cloth-above-seat')];
    const score = (readings: Record<string, number[]>): number =>
      find(rankCauses(seen, drafted([], readings), by), 'swayback').score;
    const unmeasured = score({});
    const hollow = score({ napeToWaist: [384], sideWaist: [196] });
    expect(hollow).toBeGreaterThan(unmeasured);
    expect(score({ napeToWaist: [404], sideWaist: [196] })).toBeLessThan(unmeasured);
    expect(score({ napeToWaist: [384], sideWaist: [176] })).toBeLessThan(hollow);
  });

  it('counts what the plan has already done: the difference is then no longer there', () => {
    const seen = [seenAs('cloth-above-seat')];
    const readings = { napeToWaist: [384], sideWaist: [196] };
    const open = find(rankCauses(seen, drafted([], readings), by), 'swayback');
    const done = find(rankCauses(seen, drafted([stepOf('s', 'swayback-waist-seam')], readings), by), 'swayback');
    expect(open.because[0]).toMatchObject({ key: 'napeToWaist', says: 'for' });
    expect(done.because[0]).toMatchObject({ key: 'napeToWaist', says: 'right' });
    expect(done.score).toBeLessThan(open.score);
  });

  it('blames the size where it was taken from the full bust', () => {
    const seen = [seenAs('shoulder-hangs'), seenAs('neck-gapes')];
    const rank = (sizeMethod: 'highBust' | 'fullBust') =>
      find(rankCauses(seen, drafted(), { sizeMethod }), 'size-from-bust');
    expect(rank('fullBust').score).toBeGreaterThan(rank('highBust').score);
    expect(rank('fullBust').change).toEqual({ kind: 'station', station: 'size' });
  });

  it('halves and more the odds of a cause for a sign that contradicts it', () => {
    const odds = (signs: readonly SymptomId[]): number => {
      const { score } = find(
        rankCauses(
          signs.map((s) => seenAs(s)),
          drafted(),
          by,
        ),
        'fuller-bust',
      );
      return score / (1 - score);
    };
    expect(odds(['tight-bust', 'folds-over-bust']) / odds(['tight-bust'])).toBeCloseTo(0.4, 9);
  });

  it('takes a measurement for evidence from 5 mm on, for as against', () => {
    const says = (napeToWaist: number): string | undefined =>
      find(
        rankCauses([seenAs('cloth-above-seat')], drafted([], { napeToWaist: [napeToWaist], sideWaist: [196] }), by),
        'swayback',
      ).because.find((e) => e.key === 'napeToWaist')?.says;
    // The pattern's centre back is 404.
    expect([398, 400, 404, 408, 410].map(says)).toEqual(['for', 'right', 'right', 'right', 'against']);
  });

  it('finds nothing where nothing was seen', () => {
    expect(rankCauses([], drafted(), by)).toEqual([]);
  });
});

describe('what it would change', () => {
  const change = (
    plan: Parameters<typeof drafted>[0],
    seen: Parameters<typeof rankCauses>[0],
    cause: string,
    readings = {},
  ): Change => find(rankCauses(seen, drafted(plan, readings), by), cause).change;

  it('adds a step with what was pinned, on the side it was seen', () => {
    expect(change([], [seenAs('cloth-above-seat', { pinned: 12 })], 'swayback')).toMatchObject({
      kind: 'add',
      alteration: 'swayback-waist-seam',
      to: 12,
      side: 'both',
    });
    expect(change([], [seenAs('shoulder-hangs', { pinned: 9, side: 'right' })], 'narrow-shoulder')).toMatchObject({
      kind: 'add',
      alteration: 'shoulder-slash',
      side: 'right',
      to: -9,
      values: { by: -9 },
    });
  });
  it('leaves the amount to the measurements where they tell, and says what they ask for', () => {
    const c = change([], [seenAs('cloth-above-seat')], 'swayback', { napeToWaist: [384], sideWaist: [196] });
    expect(c).toMatchObject({ kind: 'add', to: null, pinned: null });
    // Centre back 404 less 384.
    expect(c.kind === 'add' ? c.asked : null).toBeCloseTo(20, 1);
  });
  it('changes the step that is there by what was pinned', () => {
    const plan = [stepOf('sway', 'swayback-waist-seam', { values: { by: 10 } })];
    expect(change(plan, [seenAs('cloth-above-seat', { pinned: 6 })], 'swayback')).toMatchObject({
      kind: 'edit',
      step: 'sway',
      key: 'by',
      from: 10,
      to: 16,
    });
    expect(change(plan, [seenAs('cloth-above-seat')], 'swayback')).toEqual({ kind: 'none', why: 'no-amount' });
  });
  it('counts twice what was pinned at each side', () => {
    expect(change([], [seenAs('loose-waist', { pinned: 8 })], 'waist-wide')).toMatchObject({
      to: -16,
      pinned: 8,
      per: 2,
    });
  });
  it('takes less of a step that went the other way, and undoes it where nothing would be left', () => {
    const plan = [stepOf('bust', 'full-bust-side-dart', { values: { total: 40, whose: 'pattern' } })];
    const folds = (pinned: number | null) => change(plan, [seenAs('folds-over-bust', { pinned })], 'smaller-bust');
    expect(folds(15)).toMatchObject({ kind: 'edit', key: 'total', from: 40, to: 25 });
    expect(folds(38)).toMatchObject({ kind: 'undo', step: 'bust', from: 40 });
    expect(folds(60)).toMatchObject({ kind: 'undo', step: 'bust' });
    expect(folds(null)).toMatchObject({ kind: 'undo', step: 'bust' });
  });
  it('undoes what overdid it before it adds anything', () => {
    const plan = [stepOf('sway', 'swayback-waist-seam', { values: { by: 18 } })];
    const up = (pinned: number | null) => change(plan, [seenAs('hem-rises-back', { pinned })], 'sway-overdone');
    expect(up(null)).toMatchObject({ kind: 'undo', step: 'sway' });
    expect(up(8)).toMatchObject({ kind: 'edit', from: 18, to: 10 });
    expect(rankCauses([seenAs('hem-rises-back')], drafted(), by).map((r) => r.cause)).not.toContain('sway-overdone');
  });
  it('shortens the darts of a bust step where they end', () => {
    const plan = [stepOf('bust', 'full-bust-side-dart', { values: { total: 40, whose: 'pattern', setback: 25 } })];
    expect(change(plan, [seenAs('dart-pointed', { pinned: 10 })], 'dart-too-long')).toMatchObject({
      kind: 'edit',
      step: 'bust',
      key: 'setback',
      from: 25,
      to: 35,
    });
  });
  it('keeps within what the step can do, and a step for both sides out of what hangs on one', () => {
    expect(change([], [seenAs('cloth-above-seat', { pinned: 200 })], 'swayback')).toMatchObject({ to: 60 });
    const plan = [stepOf('sh', 'shoulder-slash', { values: { by: -6 } })];
    expect(change(plan, [seenAs('shoulder-hangs', { pinned: 4, side: 'left' })], 'narrow-shoulder')).toMatchObject({
      kind: 'add',
      side: 'left',
      to: -4,
    });
  });
});
