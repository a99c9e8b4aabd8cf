import { describe, expect, it } from 'vitest';
import { alike, draft } from '@ample/core/fitting/plan';
import { samplePattern } from '@ample/core/blocks';
import { stepSchema } from '@ample/core/documents';
import { adopt } from './adopt.ts';

const pattern = samplePattern('skerry-armhole', ['4']);
const step = stepSchema.parse({
  id: 's',
  alteration: 'full-bust-princess-armhole',
  revision: 1,
  values: { total: 40 },
});
const made = draft({
  job: { size: '4', sizeMethod: 'highBust', steps: [step] },
  wearer: { sets: [], bustEase: null },
  pattern,
});

describe('a draft that came from the worker', () => {
  it('shows untouched pieces as the pattern’s own, so that they are not drawn again', () => {
    const copy = structuredClone(made);
    const own = pattern.sizes['4'] ?? [];
    const adopted = adopt(copy, pattern);
    expect(adopted.original).toBe(own);
    expect(adopted.pieces.map((p) => own.includes(p))).toEqual([false, false, true, true]);
    expect(adopted.pieces).toEqual(made.pieces);
    const first = adopted.steps[0]?.outcome;
    if (!first?.ok) throw new Error('expected the step to run');
    expect(first.value.pieces.filter((p) => own.includes(p)).map((p) => p.id)).toEqual(['sideBack', 'back']);
  });
  it('keeps one side one, and two sides apart', () => {
    const same = adopt(structuredClone(made), pattern);
    expect(alike(same.sides)).toBe(true);
    expect(same.sides.left.pieces.map((p) => (pattern.sizes['4'] ?? []).includes(p))).toEqual([
      false,
      false,
      true,
      true,
    ]);
    const dress = samplePattern('causeway', ['4']);
    const parted = draft({
      job: {
        size: '4',
        sizeMethod: 'highBust',
        steps: [
          stepSchema.parse({ id: 'l', alteration: 'shoulder-slash', revision: 1, side: 'left', values: { by: -8 } }),
        ],
      },
      wearer: { sets: [], bustEase: null },
      pattern: dress,
    });
    const adopted = adopt(structuredClone(parted), dress);
    expect(alike(adopted.sides)).toBe(false);
    expect(adopted.sides.right.pieces.map((p, i) => p === dress.sizes['4']?.[i])).not.toContain(false);
    expect(adopted.pieces.map((p) => p.id)).toEqual(parted.pieces.map((p) => p.id));
  });
  it('keeps the tape where it lies through the wearer’s own bust point', () => {
    const dress = samplePattern('causeway', ['4']);
    const readings = { neckPointToBustPoint: [273], bustSpan: [195] };
    const resolved = {
      job: { size: '4', sizeMethod: 'highBust' as const, steps: [] },
      wearer: { sets: [{ id: 's', date: '2026-10-01', readings, notes: '' }], bustEase: null },
      pattern: dress,
    };
    const [first, again] = [0, 1].map(() => adopt(structuredClone(draft(resolved)), dress));
    expect(first?.original[0]?.bustLine?.length).toBeGreaterThan(0);
    expect(first?.original[0]).toBe(again?.original[0]);
    expect(first?.original[1]).toBe(dress.sizes['4']?.[1]);
  });
  it('is left as it is when it belongs to another size', () => {
    const copy = structuredClone({ ...made, size: '7' });
    expect(adopt(copy, pattern)).toBe(copy);
  });
});
