import { describe, expect, it } from 'vitest';
import { draft } from '@ample/core/draft';
import { samplePattern } from '@ample/core/drafting';
import { stepSchema } from '@ample/core/formats';
import { adopt } from './adopt.ts';

const pattern = samplePattern('skerry-armhole', ['4']);
const step = stepSchema.parse({
  id: 's',
  alteration: 'full-bust-princess-armhole',
  revision: 1,
  school: 'own',
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
  it('is left as it is when it belongs to another size', () => {
    const copy = structuredClone({ ...made, size: '7' });
    expect(adopt(copy, pattern)).toBe(copy);
  });
});
