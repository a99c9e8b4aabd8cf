import { describe, expect, it } from 'vitest';
import { pointAt } from '../../geometry/index.ts';
import { levelWidth, requireEdge, widthAt } from '../../pattern/index.ts';
import { cornerAngle } from '../../paper/truing/index.ts';
import { expectOk } from '../../units/index.ts';
import { block } from '../../testing/block.ts';
import { finishOf, lengthOf, pieceIn, refusal, turnsOf, work } from '../../testing/work.ts';
import { heightShare } from './height.ts';

const b = block({ skirt: true });
const nest = {
  ...b,
  nest: { A: b.pieces, B: block({ skirt: true, wider: 8 }).pieces, C: block({ skirt: true, wider: 20 }).pieces },
  size: 'A',
};
const waist = (of: Parameters<typeof pieceIn>[0], id: string): number =>
  expectOk(levelWidth(pieceIn(of, id), 'waist'), id).width;
const hip = (of: Parameters<typeof pieceIn>[0], id: string): number =>
  expectOk(widthAt(pieceIn(of, id), 200), id).width;

describe('lengthening and shortening', () => {
  it('takes 12 out of every upright seam that the line crosses, and nothing else', () => {
    const run = work('length-line', b, { by: -12 });
    // 360 − 60 = 300 and 200 long before.
    expect(lengthOf(run, 'front', 'centreFront')).toBeCloseTo(288, 9);
    expect(lengthOf(run, 'back', 'centreBack')).toBeCloseTo(328, 9);
    for (const piece of ['front', 'back']) {
      expect(lengthOf(run, piece, 'side')).toBeCloseTo(188, 9);
      expect(lengthOf(run, piece, 'armhole')).toBeCloseTo(lengthOf(b, piece, 'armhole'), 9);
      expect(lengthOf(run, piece, 'waist')).toBeCloseTo(200, 9);
    }
    expect(pieceIn(run, 'skirtFront')).toBe(pieceIn(b, 'skirtFront'));
  });
  it('shares 24 over two lines: 12 through the armhole, 12 below the bust', () => {
    const run = work('length-line', b, { by: 24, where: 'both' });
    expect(lengthOf(run, 'front', 'centreFront')).toBeCloseTo(324, 9);
    expect(lengthOf(run, 'front', 'side')).toBeCloseTo(212, 9);
    // The line crosses the upright part of the armhole: it is blended there, about 12 longer.
    expect(lengthOf(run, 'front', 'armhole') - lengthOf(b, 'front', 'armhole')).toBeCloseTo(12, 0);
  });
  it('lengthens a skirt just above its hem and keeps the corners at centre front and hem', () => {
    const run = work('length-line', b, { by: 30, where: 'hem' });
    expect(lengthOf(run, 'skirtFront', 'centreFront')).toBeCloseTo(630, 9);
    for (const edge of ['hem', 'centreFront'])
      expect(cornerAngle(pieceIn(run, 'skirtFront'), edge, 'end')).toBeCloseTo(
        cornerAngle(pieceIn(b, 'skirtFront'), edge, 'end'),
        6,
      );
  });
  it('draws the line anywhere between: 20 higher it cuts at 280 instead of 300, to the same sums', () => {
    const run = work('length-line', b, { by: 10, moved: -20 });
    expect(run.frames[0]!.pieces[0]!.lines[0]!.points.map((p) => p.y)).toEqual([280, 280]);
    expect(lengthOf(run, 'front', 'side')).toBeCloseTo(210, 9);
    // Moved up past the underarm the line leaves the side for the armhole; past the shoulder there is none.
    expect(refusal('length-line', b, { by: 10, where: 'aboveBust', moved: -80 })).toBe('ran');
  });
  it('says where there is no such line', () => {
    expect(refusal('length-line', block(), { by: 10, where: 'hem' })).toBe('no-line-here');
  });
  it('takes a quarter to a half of the height difference for the bodice, on two lines when it is much', () => {
    expect(heightShare(1600, 1660)).toEqual({
      difference: -60,
      least: -15,
      most: -30,
      proposed: -22.5,
      twoLines: true,
    });
    expect(heightShare(1680, 1660).twoLines).toBe(false);
  });
});

describe('from one size to another', () => {
  it('meets the nest exactly at waist and hip, front and back equally long', () => {
    for (const shape of ['straight', 'curved']) {
      const run = work('grade-between-sizes', nest, { waistSize: 'B', hipSize: 'C', shape });
      for (const piece of ['front', 'back', 'skirtFront', 'skirtBack'])
        expect(waist(run, piece)).toBeCloseTo(208, shape === 'straight' ? 5 : 4);
      // 200 + 60 · 200 / 600 = 220 at the hip of size A, 240 in size C.
      for (const piece of ['skirtFront', 'skirtBack']) expect(hip(run, piece)).toBeCloseTo(240, 0);
      expect(lengthOf(run, 'front', 'side')).toBeCloseTo(lengthOf(run, 'back', 'side'), 6);
      expect(lengthOf(run, 'skirtFront', 'side')).toBeCloseTo(lengthOf(run, 'skirtBack', 'side'), 6);
      expect(lengthOf(run, 'front', 'side')).toBeCloseTo(200, 6);
    }
  });
  it('takes the next larger size from the chart and refuses what the nest has not', () => {
    expect(refusal('grade-between-sizes', nest, { waistSize: 'Z' })).toBe('size-not-in-nest');
    expect(refusal('grade-between-sizes', nest, { waistSize: 'A' })).toBe('same-size');
    expect(refusal('grade-between-sizes', b, { waistSize: 'B' })).toBe('no-nest');
  });
});

describe('widths', () => {
  it('by the chart: 32 around the waist is 8 at each side edge', () => {
    const run = work('grade-by-chart', b, { waist: 32, hip: 16 });
    for (const piece of ['front', 'back', 'skirtFront', 'skirtBack']) expect(waist(run, piece)).toBeCloseTo(208, 5);
    for (const piece of ['skirtFront', 'skirtBack']) expect(hip(run, piece)).toBeCloseTo(224, 0);
  });
  it('at one level: 24 at the waist is 6 at each side, nothing from the notch up', () => {
    const run = work('side-add', b, { by: 24 });
    const side = requireEdge(pieceIn(run, 'front'), 'side').path;
    expect(side.start).toEqual({ x: 200, y: 160 });
    expect(pointAt(side, 50).x).toBeCloseTo(200, 6);
    expect(finishOf(run, 'front', 'side').x).toBeCloseTo(206, 6);
    expect(lengthOf(run, 'front', 'side')).toBeCloseTo(lengthOf(run, 'back', 'side'), 6);
  });
  it('at the hem: 80 around is 20 at each side edge, the waist unchanged', () => {
    const run = work('hem-sweep', b, { by: 80 });
    expect(finishOf(run, 'skirtFront', 'side').x).toBeCloseTo(280, 0);
    expect(waist(run, 'skirtFront')).toBeCloseTo(200, 6);
    expect(lengthOf(run, 'skirtFront', 'side')).toBeCloseTo(lengthOf(b, 'skirtFront', 'side'), 3);
  });
  it('by slash at the hip: 40 around opens 10 at the hip, asin(10 / 200) = 2.866° about the waist', () => {
    const run = work('hip-slash', b, { by: 40 });
    expect(Math.abs(turnsOf(run, 'skirtFront')['upper'] ?? 0)).toBeCloseTo(2.866, 3);
    expect(turnsOf(run, 'skirtFront')['lower']).toBe(0);
    expect(waist(run, 'skirtFront')).toBeCloseTo(200, 6);
    expect(lengthOf(run, 'skirtFront', 'side')).toBeCloseTo(lengthOf(b, 'skirtFront', 'side'), 0);
    // Measured level again, over the smoothed side.
    expect(Math.abs(hip(run, 'skirtFront') - hip(b, 'skirtFront') - 10)).toBeLessThan(0.6);
  });
  it('leaves cloth to fit by without moving the seam line', () => {
    const run = work('fit-allowance', b, { by: 12 });
    expect(pieceIn(run, 'front').edges.map((e) => e.path)).toEqual(pieceIn(b, 'front').edges.map((e) => e.path));
    expect(requireEdge(pieceIn(run, 'back'), 'side').allowance).toBe(27);
    expect(requireEdge(pieceIn(run, 'back'), 'neck').allowance).toBe(15);
  });
});
