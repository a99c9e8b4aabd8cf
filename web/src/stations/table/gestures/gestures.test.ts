import { describe, expect, it } from 'vitest';
import { alterationById, runAlteration, type Grip, type Values } from '@ample/core/alterations';
import { samplePattern } from '@ample/core/blocks';
import { distance, nearestOnPath, pathLength, pointAt } from '@ample/core/geometry';
import { outlineOf, snapPlaces, type Piece } from '@ample/core/pattern';
import { nudgeOf, valueFromDrag } from './grip.ts';

const pattern = samplePattern('causeway', ['4']);
const pieces = pattern.sizes['4'] as readonly Piece[];
const front = pieces[0] as Piece;
const gripsOf = (alteration: string, values: Values): readonly Grip[] => {
  const context = { pieces, seams: pattern.seams, original: pieces, originalSeams: pattern.seams, wearer: {} };
  const definition = alterationById(alteration);
  const run = definition ? runAlteration(definition, context, values) : null;
  if (!run?.ok) throw new Error(`expected ${alteration} to run`);
  return run.value.grips;
};
const bust = gripsOf('full-bust-side-dart', { total: 40, whose: 'pattern' });
const grip = (id: string, from: readonly Grip[] = bust): Grip => from.find((g) => g.id === id) as Grip;
const cm = { unit: 'cm' as const, piece: front, radius: 0 };
const inches = { ...cm, unit: 'in' as const };

describe('dragging the gap', () => {
  const gap = grip('gap') as Extract<Grip, { kind: 'amount' }>;
  it('gives twice what the bust point moves sideways, to the millimetre', () => {
    expect(valueFromDrag(gap, { x: gap.from.x + 20.3, y: 280 }, cm).value).toBe(40);
    expect(valueFromDrag(gap, { x: gap.from.x - 11.4, y: 255 }, cm).value).toBe(-22);
  });
  it('goes by sixteenths in inches and stops at the limits', () => {
    expect(valueFromDrag(gap, { x: gap.from.x + 12.9, y: 0 }, inches).value).toBeCloseTo(25.4, 9);
    expect(valueFromDrag(gap, { x: 9000, y: 0 }, cm).value).toBe(300);
    expect(valueFromDrag(gap, { x: -9000, y: 0 }, cm).value).toBe(-160);
  });
  it('is nudged twice over, sideways only', () => {
    expect(nudgeOf(gap, { x: 1, y: 0 })).toEqual({ by: 2 });
    expect(nudgeOf(gap, { x: 0, y: 5 })).toEqual({ by: 0 });
  });
});

describe('dragging the hinge', () => {
  const hinge = grip('hinge') as Extract<Grip, { kind: 'along' }>;
  const size = pathLength(hinge.path);
  it('follows its seam by hundredths and stays off its ends', () => {
    for (const share of [0.4, 0.64, 0.9])
      expect(valueFromDrag(hinge, pointAt(hinge.path, share * size), cm).value).toBeCloseTo(share, 9);
    expect(valueFromDrag(hinge, pointAt(hinge.path, 0), cm).value).toBe(0.3);
    expect(valueFromDrag(hinge, pointAt(hinge.path, size), cm).value).toBe(0.95);
  });
  it('is drawn to notch and thirds of its own seam, and says to which', () => {
    const third = valueFromDrag(hinge, pointAt(hinge.path, (2 / 3) * size + 3), { ...cm, radius: 6 });
    expect(third.snap).toMatchObject({ kind: 'third', role: 'armhole' });
    expect(third.value).toBeCloseTo(2 / 3, 6);
    expect(valueFromDrag(hinge, pointAt(hinge.path, 0.83 * size), { ...cm, radius: 2 }).snap).toBeNull();
    for (const place of snapPlaces(front))
      if (place.kind !== 'corner') expect(nearestOnPath(outlineOf(front), place.at).distance).toBeLessThan(0.01);
  });
});

describe('dragging points', () => {
  const point = grip('bustPoint');
  it('the bust point lands on what a ruler shows', () => {
    expect(valueFromDrag(point, { x: 74.6, y: 290.4 }, cm).value).toEqual({ x: 75, y: 290 });
    const { x } = valueFromDrag(point, { x: 74.6, y: 290.4 }, inches).value as { x: number };
    expect(x / (25.4 / 16)).toBeCloseTo(47, 9);
  });
  it('goes straight along the grain when nearly so', () => {
    const drag = valueFromDrag(point, { x: point.at.x + 2, y: point.at.y + 30 }, { ...cm, radius: 5 });
    expect(drag.snap?.kind).toBe('grain');
    expect((drag.value as { x: number }).x).toBe(point.at.x);
    const across = valueFromDrag(point, { x: point.at.x + 30, y: point.at.y - 1 }, { ...cm, radius: 5 });
    expect(across.snap?.kind).toBe('across');
  });
  it('a new place for a dart is drawn to the notch', () => {
    const target = grip('target', gripsOf('dart-rotate', { dart: 'side', to: 'armhole' }));
    const notch = snapPlaces(front).find((s) => s.kind === 'notch');
    if (!notch) throw new Error('expected a notch');
    const near = { x: notch.at.x + 3, y: notch.at.y - 2 };
    const drag = valueFromDrag(target, near, { ...cm, radius: 6 });
    expect(drag.snap?.kind).toBe('notch');
    expect(distance(drag.value as { x: number; y: number }, notch.at)).toBe(0);
    expect(valueFromDrag(target, near, cm).value).toEqual(near);
  });
});
