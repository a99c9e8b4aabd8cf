import { describe, expect, it } from 'vitest';
import { compared, READINGS, type ReadingId, type Readings } from '../../drape/index.ts';
import { signsOf } from './index.ts';

/** Every reading as on the drafted body, but for some. */
const off = (some: Partial<Record<ReadingId, number>>) => {
  const none = Object.fromEntries(
    READINGS.map((id) => [id, id.includes('arm') && id !== 'stand-off-armhole' ? null : 0]),
  ) as Readings;
  return signsOf(compared({ ...none, ...some }, none)).map((s) => [s.sign, s.amount]);
};

describe('the signs of a fitting on the form', () => {
  it('are none where all reads as on the drafted body, or nearly', () => {
    expect(off({})).toEqual([]);
    expect(off({ 'pull-bust': 0.19, 'ease-bust': -29, 'waist-seam-side': 11 })).toEqual([]);
  });
  it('count a pull by the width that is missing, once', () => {
    // 0.6 of 0.2 is the strongest, 56 of 30 the next; both are one sign, of 56 mm.
    expect(off({ 'pull-bust': 0.6, 'ease-bust': -56, 'waist-seam-side': 13 })).toEqual([
      ['tight-bust', 56],
      ['waist-high', 13],
    ]);
    // A pull with no width missing has no amount.
    expect(off({ 'pull-waist': 0.4, 'ease-waist': 3 })).toEqual([['tight-waist', null]]);
    expect(off({ 'pull-cross-back': 0.4 })).toEqual([['tight-across-back', null]]);
  });
  it('count width across the back by halves where it is pinned on both sides', () => {
    expect(off({ 'ease-cross-back': 16 })).toEqual([['loose-across-back', 8]]);
    expect(off({ 'ease-cross-back': -16 })).toEqual([['tight-across-back', 16]]);
  });
  it('tell shoulders from a long or short bodice: the neckline moves with the waist', () => {
    const waist = (by: number) => ({ 'waist-seam-front': by, 'waist-seam-side': by, 'waist-seam-back': by });
    expect(off({ 'neck-rise-back': 14, ...waist(13) })).toEqual([['shoulder-strain', null]]);
    expect(off({ 'neck-rise-back': -12, ...waist(-13) })).toEqual([['folds-neck-armhole', null]]);
    // The waist alone is a length, the neckline alone nothing that a step mends.
    expect(off(waist(13))).toEqual([['waist-high', 13]]);
    expect(off({ 'neck-rise-back': -15 })).toEqual([]);
  });
  it('tell a long back from a long bodice', () => {
    expect(off({ 'waist-seam-back': -20, 'waist-seam-side': -4 })).toEqual([['cloth-above-seat', 20]]);
    expect(off({ 'waist-seam-back': -20, 'waist-seam-side': -18, 'waist-seam-front': -15 })).toEqual([
      ['waist-low', 18],
    ]);
  });
  it('have a way at the shoulder and at the hip', () => {
    expect(off({ 'shoulder-end': 9, 'ease-hip': 41 })).toEqual([
      ['loose-hip', 41],
      ['shoulder-hangs', 9],
    ]);
    expect(off({ 'shoulder-end': -9, 'ease-hip': -41 })).toEqual([
      ['hip-wrinkles', 41],
      ['shoulder-strain', 9],
    ]);
  });
});
