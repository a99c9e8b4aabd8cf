import { describe, expect, it } from 'vitest';
import { mirrorPiece, pieceArea, waistHeight } from '../../pattern/index.ts';
import { contextOn, sampleIn } from '../../testing/samples.ts';
import { block } from '../../testing/block.ts';
import { flatOf } from './flat.ts';
import { finishOf, lengthOf, pieceIn, refusal, roleOf, startOf, turnsOf, work } from '../../testing/work.ts';

const folded = block({ long: true, fold: true });
const seamed = block({ long: true });
const short = block({ skirt: true });

describe('swayback folded at the waist', () => {
  // 200 wide at the waist, 15 folded out: asin(15 / 200) = 4.301°. The centre back from (200, 20) to (200, 560) loses
  // 15: 525. On the fold, 200 below the pin the lower part has swung 200 · sin 4.301° = 15 inward at the side; that is
  // what the side gives back.
  const run = work('swayback-fold', folded, { by: 15 });
  it('turns the lower part by 4.301° and shortens the centre back by 15', () => {
    expect(Math.abs(turnsOf(run, 'back')['lower'] ?? 0)).toBeCloseTo(4.301, 3);
    expect(lengthOf(run, 'back', 'centreBack')).toBeCloseTo(525, 6);
    expect(startOf(run, 'back', 'centreBack').x).toBeCloseTo(200, 9);
    expect(finishOf(run, 'back', 'centreBack').x).toBeCloseTo(200, 9);
  });
  it('leaves the side seam its length, the hem its width and the front alone', () => {
    expect(roleOf(run, 'back', 'side')).toBeCloseTo(400, 6);
    expect(lengthOf(run, 'back', 'hem')).toBeCloseTo(200, 3);
    expect(pieceIn(run, 'front')).toBe(pieceIn(folded, 'front'));
  });
  it('brings the waist up by 15 at the centre back and by nothing at the side, folded once or twice', () => {
    const flat = (on: typeof folded, key: 'napeToWaist' | 'sideWaist') => flatOf(on, key)?.value ?? NaN;
    const twice = work('swayback-fold', { ...folded, ...work('swayback-fold', folded, { by: 10 }) }, { by: 5 });
    for (const done of [run, twice, work('swayback-fold', seamed, { by: 15 })]) {
      const on = { ...folded, ...done };
      expect(flat(folded, 'napeToWaist') - flat(on, 'napeToWaist')).toBeCloseTo(15, 1);
      expect(flat(on, 'sideWaist')).toBeCloseTo(flat(folded, 'sideWaist'), 1);
    }
    // Seen from the other side of the cloth it is the same waist.
    const [back, turned] = [pieceIn(run, 'back'), mirrorPiece(pieceIn(run, 'back'))];
    for (const at of ['centre', 'side'] as const) expect(waistHeight(turned, at)).toBe(waistHeight(back, at));
    expect(waistHeight(back, 'side')).toBeCloseTo((waistHeight(back, 'centre') ?? 0) + 15, 6);
  });
  it('keeps the bend of a centre back seam as shaping', () => {
    const kept = work('swayback-fold', seamed, { by: 15 });
    expect(lengthOf(kept, 'back', 'centreBack')).toBeCloseTo(525, 0);
    expect(roleOf(kept, 'back', 'side')).toBeCloseTo(400, 6);
    // The hem end of the centre back, (200, 200) from the pin, swings to 200 · cos 4.301° + 200 · sin 4.301° = 214.44.
    expect(Math.max(startOf(kept, 'back', 'centreBack').x, finishOf(kept, 'back', 'centreBack').x)).toBeCloseTo(
      214.44,
      2,
    );
  });
  it('sits lower where the wrinkle is lower, by the same sum', () => {
    const lower = work('swayback-lower', folded, { by: 10, belowWaist: 80 });
    expect(Math.abs(turnsOf(lower, 'back')['lower'] ?? 0)).toBeCloseTo(2.866, 3);
    expect(roleOf(lower, 'back', 'side')).toBeCloseTo(400, 6);
  });
  it('refuses a back that ends at the waist, and says when the amount is much', () => {
    expect(refusal('swayback-fold', short, { by: 15 })).toBe('back-ends-at-waist');
    expect(work('swayback-fold', folded, { by: 45 }).findings.map((f) => f.code)).toContain('swayback-large');
    expect(run.findings.map((f) => f.code)).not.toContain('swayback-large');
  });
});

describe('swayback at the waist seam', () => {
  // The strip taken away falls from 15 to nothing over 200, level at both ends and alike about its middle:
  // ½ · 15 · 200 = 1500 mm².
  const run = work('swayback-waist-seam', short, { by: 15 });
  it('takes 15 at the centre back, 1500 mm² in all, nothing at the side', () => {
    expect(lengthOf(run, 'back', 'centreBack')).toBeCloseTo(325, 6);
    expect(lengthOf(run, 'back', 'side')).toBeCloseTo(200, 9);
    expect(pieceArea(pieceIn(short, 'back')) - pieceArea(pieceIn(run, 'back'))).toBeCloseTo(1500, 0);
    expect(pieceIn(run, 'skirtBack')).toBe(pieceIn(short, 'skirtBack'));
  });
  it('gives it to the skirt when asked', () => {
    const gained = work('swayback-waist-seam', short, { by: 15, skirt: 'gain' });
    expect(lengthOf(gained, 'skirtBack', 'centreBack')).toBeCloseTo(615, 6);
    expect(refusal('swayback-waist-seam', block(), { by: 15, skirt: 'gain' })).toBe('skirt-not-found');
    expect(refusal('swayback-waist-seam', seamed, { by: 15 })).toBe('no-waist-seam');
  });
  it('keeps the width of a dart it crosses, and the sewn waist', () => {
    const { pieces, seams } = sampleIn('causeway', '5');
    const context = { pieces, seams, original: pieces, originalSeams: seams, wearer: {} };
    const dart = work('swayback-waist-seam', context, { by: 18 });
    expect(roleOf(dart, 'back', 'waist')).toBeCloseTo(roleOf(context, 'back', 'waist'), 1);
    expect(dart.findings.filter((f) => f.grade === 'fault')).toEqual([]);
  });
});

describe('full seat', () => {
  // The skirt back is 200 + 60 · 140 / 600 = 214 wide 140 below the waist; 15 let in: asin(15 / 214) = 4.019°.
  it('opens 4.019° over the seat; the upper part turns, so that hem and side stay', () => {
    const run = work('full-seat', short, { by: 15 });
    expect(Math.abs(turnsOf(run, 'skirtBack')['upper'] ?? 0)).toBeCloseTo(4.019, 3);
    expect(lengthOf(run, 'skirtBack', 'side')).toBeCloseTo(lengthOf(short, 'skirtBack', 'side'), 9);
    expect(lengthOf(run, 'skirtBack', 'waist')).toBeCloseTo(200, 9);
    expect(lengthOf(run, 'skirtBack', 'hem')).toBeCloseTo(260, 9);
  });
});

describe('high round back', () => {
  // 95 below the nape (y = 20) the line runs at y = 115 from the centre back to the armhole, 160 away: asin(10 / 160) =
  // 3.583°.
  it('raises the neck by 3.583° about the armhole; with a seam nothing but the centre back changes', () => {
    const run = work('round-back', seamed, { by: 10 });
    expect(Math.abs(turnsOf(run, 'back')['upper'] ?? 0)).toBeCloseTo(3.583, 3);
    expect(lengthOf(run, 'back', 'neck')).toBeCloseTo(lengthOf(seamed, 'back', 'neck'), 9);
    expect(lengthOf(run, 'back', 'shoulder')).toBeCloseTo(100, 9);
    expect(lengthOf(run, 'back', 'armhole')).toBeCloseTo(lengthOf(seamed, 'back', 'armhole'), 0);
    expect(lengthOf(run, 'back', 'centreBack')).toBeGreaterThan(549);
  });
  it('on the fold puts the neckline back, raised by 10, and keeps shoulder and armhole', () => {
    const run = work('round-back', folded, { by: 10 });
    expect(lengthOf(run, 'back', 'centreBack')).toBeCloseTo(550, 6);
    expect(lengthOf(run, 'back', 'neck')).toBeCloseTo(lengthOf(folded, 'back', 'neck'), 6);
    expect(finishOf(run, 'back', 'shoulder').y).toBeCloseTo(-10, 6);
    expect(lengthOf(run, 'back', 'shoulder')).toBeCloseTo(100, 6);
    expect(Math.abs(lengthOf(run, 'back', 'armhole') - lengthOf(folded, 'back', 'armhole'))).toBeLessThan(1);
  });
  it('is folded out for a flat upper back: the other way by the same', () => {
    const run = work('flat-upper-back', folded, { by: 10 });
    expect(lengthOf(run, 'back', 'centreBack')).toBeCloseTo(530, 6);
    expect(finishOf(run, 'back', 'shoulder').y).toBeCloseTo(10, 6);
    expect(lengthOf(run, 'back', 'shoulder')).toBeCloseTo(100, 6);
  });
});

describe('across panels', () => {
  // The back is 200 wide, parted 100 from the centre. A wedge of `by` falls evenly to nothing at the far seam: half of
  // it is left where the panels meet, and both turn by the same angle.
  const long = block({ long: true, panels: true });
  it('folds a swayback out of both panels: 15 at the centre, 7.5 where they meet, nothing at the side', () => {
    const run = work('swayback-fold', long, { by: 15 });
    for (const piece of ['back', 'sideBack']) expect(Math.abs(turnsOf(run, piece)['lower'] ?? 0)).toBeCloseTo(4.301, 3);
    expect(lengthOf(run, 'back', 'centreBack')).toBeCloseTo(525, 1);
    // The seam between them is cut square to the line: 560 less 7.5 on the slant, 100 · sin 4.301° = 7.5.
    expect(lengthOf(run, 'back', 'princess')).toBeCloseTo(552.5, 0);
    expect(lengthOf(run, 'sideBack', 'princess')).toBeCloseTo(lengthOf(run, 'back', 'princess'), 6);
    expect(roleOf(run, 'sideBack', 'side')).toBeCloseTo(400, 6);
    expect(run.findings.filter((f) => f.code === 'seam-lengths-differ')).toEqual([]);
  });
  it('on the fold gives the side panel what the hem has lost', () => {
    const run = work('swayback-fold', block({ long: true, panels: true, fold: true }), { by: 15 });
    expect(startOf(run, 'back', 'centreBack').x).toBeCloseTo(finishOf(run, 'back', 'centreBack').x, 9);
    expect(lengthOf(run, 'back', 'hem') + lengthOf(run, 'sideBack', 'hem')).toBeCloseTo(200, 2);
    expect(roleOf(run, 'sideBack', 'side')).toBeCloseTo(400, 6);
  });
  it('raises the neck through both: the line runs 160 to the armhole, asin(10 / 160) = 3.583°', () => {
    const run = work('round-back', long, { by: 10 });
    for (const piece of ['back', 'sideBack']) expect(Math.abs(turnsOf(run, piece)['upper'] ?? 0)).toBeCloseTo(3.583, 3);
    expect(lengthOf(run, 'back', 'centreBack')).toBeCloseTo(550, 0);
    // 60 of the 160 lie on the side panel: 10 · 60 / 160 = 3.75 come to the seam.
    expect(lengthOf(run, 'back', 'princess')).toBeCloseTo(563.75, 1);
    expect(lengthOf(run, 'sideBack', 'princess')).toBeCloseTo(lengthOf(run, 'back', 'princess'), 6);
    expect(refusal('round-back', block({ panels: true, fold: true }), { by: 10 })).toBe('panels-on-fold');
  });
  it('redraws a waist seam over both: 15 at the centre, 15 · (1 − 3/4 + 2/8) = 7.5 where they meet', () => {
    const run = work('swayback-waist-seam', block({ panels: true }), { by: 15 });
    expect(lengthOf(run, 'back', 'centreBack')).toBeCloseTo(325, 6);
    for (const piece of ['back', 'sideBack']) expect(lengthOf(run, piece, 'princess')).toBeCloseTo(352.5, 6);
    expect(lengthOf(run, 'sideBack', 'side')).toBeCloseTo(200, 6);
    expect(roleOf(run, 'back', 'waist') + roleOf(run, 'sideBack', 'waist')).toBeCloseTo(200, 3);
  });
});

describe('where no shoulder seam carries the arm', () => {
  it('raises the neck of a raglan back on the fold; neckline and raglan seam stay as long as they were', () => {
    for (const [id, way] of [
      ['round-back', 1],
      ['flat-upper-back', -1],
    ] as const) {
      const on = contextOn('ebb', '5');
      const run = work(id, on, { by: 8 });
      expect(lengthOf(run, 'back', 'centreBack') - lengthOf(on, 'back', 'centreBack')).toBeCloseTo(8 * way, 6);
      expect(lengthOf(run, 'back', 'raglan')).toBeCloseTo(lengthOf(on, 'back', 'raglan'), 3);
      expect(Math.abs(lengthOf(run, 'back', 'neck') - lengthOf(on, 'back', 'neck'))).toBeLessThan(0.1);
      expect(run.findings.filter((f) => f.grade === 'fault')).toEqual([]);
    }
  });
  it('with a sleeve cut on, the line runs up to the shoulder point on the overarm, which stays as long', () => {
    const on = contextOn('causeway-cut-on', '5');
    const run = work('round-back', on, { by: 8 });
    expect(lengthOf(run, 'back', 'centreBack') - lengthOf(on, 'back', 'centreBack')).toBeCloseTo(8, 6);
    expect(lengthOf(run, 'back', 'overarm')).toBeCloseTo(lengthOf(on, 'back', 'overarm'), 3);
    expect(run.findings.filter((f) => f.grade === 'fault')).toEqual([]);
  });
});
