import { describe, expect, it } from 'vitest';
import { armholePath, findFront } from '@ample/core/alterations';
import { draftCauseway } from '@ample/core/drafting';
import { pathLength, pointAt } from '@ample/core/geometry';
import { amountFromDrag } from './amount.ts';
import { bustPointFromDrag } from './bustPoint.ts';
import { hingeFromDrag } from './hinge.ts';
import { setbackFromDrag } from './setback.ts';

const limits = { min: -160, max: 300 };
const P = { x: 95, y: 260 };

describe('dragging the gap', () => {
  it('gives twice what the bust point moves sideways, to the millimetre', () => {
    expect(amountFromDrag({ x: 115.3, y: 280 }, P, 1, limits, 'cm')).toBe(40);
    expect(amountFromDrag({ x: 83.6, y: 255 }, P, 1, limits, 'cm')).toBe(-22);
  });
  it('goes by sixteenths in inches, mirrored on a mirrored front', () => {
    expect(amountFromDrag({ x: 95 + 12.9, y: 0 }, P, 1, limits, 'in')).toBeCloseTo(25.4, 9);
    expect(amountFromDrag({ x: -115, y: 0 }, { x: -95, y: 260 }, -1, limits, 'cm')).toBe(40);
  });
  it('stops at the limits', () => {
    expect(amountFromDrag({ x: 9000, y: 0 }, P, 1, limits, 'cm')).toBe(300);
    expect(amountFromDrag({ x: -9000, y: 0 }, P, 1, limits, 'cm')).toBe(-160);
  });
});

describe('dragging the rest', () => {
  const found = findFront(draftCauseway('4'));
  const armhole = armholePath((found as Extract<typeof found, { ok: true }>).value);

  it('the hinge follows the armhole by hundredths and stays off its ends', () => {
    const total = pathLength(armhole);
    for (const share of [0.4, 0.64, 0.9])
      expect(hingeFromDrag(pointAt(armhole, share * total), armhole)).toBeCloseTo(share, 9);
    expect(hingeFromDrag(pointAt(armhole, 0), armhole)).toBe(0.3);
    expect(hingeFromDrag(pointAt(armhole, total), armhole)).toBe(0.95);
  });
  it('the dart tip stays between half a centimetre and eight behind the bust point', () => {
    expect(setbackFromDrag({ x: 130.4, y: 0 }, P, 1, 'cm')).toBe(35);
    expect(setbackFromDrag({ x: 60, y: 0 }, P, 1, 'cm')).toBe(5);
    expect(setbackFromDrag({ x: 400, y: 0 }, P, 1, 'cm')).toBe(80);
  });
  it('the bust point lands on what a ruler shows', () => {
    expect(bustPointFromDrag({ x: 94.6, y: 260.4 }, 'cm')).toEqual({ x: 95, y: 260 });
    expect(bustPointFromDrag({ x: 94.6, y: 260.4 }, 'in').x / (25.4 / 16)).toBeCloseTo(60, 9);
  });
});
