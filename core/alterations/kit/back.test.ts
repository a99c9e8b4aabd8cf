import { describe, expect, it } from 'vitest';
import { pieceArea } from '../../pattern/index.ts';
import { sampleIn } from '../../testing/samples.ts';
import { block } from '../../testing/block.ts';
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
