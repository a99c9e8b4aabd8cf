import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { merge3 } from './merge.ts';

const base = {
  title: 'Dress',
  fabric: '',
  steps: [
    { id: 'a', on: true, by: 1 },
    { id: 'b', on: true, by: 2 },
  ],
  readings: { waist: [700], hip: [900] },
};
type Doc = typeof base;

describe('two windows on one document', () => {
  it('take what only one of them changed', () => {
    const mine: Doc = { ...base, title: 'Long dress', steps: [{ id: 'a', on: true, by: 5 }, base.steps[1]!] };
    const theirs: Doc = { ...base, fabric: 'wool', steps: [base.steps[0]!, { id: 'b', on: false, by: 2 }] };
    expect(merge3(base, mine, theirs)).toEqual({
      merged: {
        ...base,
        title: 'Long dress',
        fabric: 'wool',
        steps: [
          { id: 'a', on: true, by: 5 },
          { id: 'b', on: false, by: 2 },
        ],
      },
      clashes: [],
    });
  });
  it('keep both what each has added, behind what it stood behind', () => {
    const c = { id: 'c', on: true, by: 3 };
    const d = { id: 'd', on: true, by: 4 };
    const merged = merge3(
      base,
      { ...base, steps: [base.steps[0]!, c, base.steps[1]!] },
      { ...base, steps: [...base.steps, d] },
    ).merged;
    expect(merged.steps.map((s) => s.id)).toEqual(['a', 'c', 'b', 'd']);
  });
  it('tell where both changed the same, and mine stands', () => {
    const { merged, clashes } = merge3(
      base,
      { ...base, readings: { ...base.readings, waist: [710] } },
      { ...base, readings: { hip: [905], waist: [720] } },
    );
    expect(merged.readings).toEqual({ waist: [710], hip: [905] });
    expect(clashes).toEqual([{ path: 'readings.waist', theirs: [720] }]);
  });
  it('take away what one took away, unless the other had worked on it', () => {
    const without: Doc = { ...base, steps: [base.steps[0]!] };
    expect(merge3(base, base, without).merged.steps.map((s) => s.id)).toEqual(['a']);
    expect(merge3(base, without, { ...base, title: 'x' }).merged.steps.map((s) => s.id)).toEqual(['a']);
    const worked: Doc = { ...base, steps: [base.steps[0]!, { id: 'b', on: false, by: 9 }] };
    expect(merge3(base, without, worked)).toMatchObject({
      merged: { steps: worked.steps },
      clashes: [{ path: 'steps.b' }],
    });
    expect(merge3(base, worked, without)).toMatchObject({ merged: { steps: worked.steps } });
  });
  it('keep both lessons and both looks at what was seen: lists are known by job and by observation too', () => {
    const was = { learnt: [{ job: 'a', n: 1 }], followed: [{ observation: 'o', result: 'same' }] };
    const mine = {
      ...was,
      learnt: [...was.learnt, { job: 'b', n: 2 }],
      followed: [...was.followed, { observation: 'p', result: 'gone' }],
    };
    const theirs = {
      ...was,
      learnt: [...was.learnt, { job: 'c', n: 3 }],
      followed: [{ observation: 'o', result: 'gone' }],
    };
    const { merged, clashes } = merge3(was, mine, theirs);
    expect(merged.learnt.map((l) => l.job).sort()).toEqual(['a', 'b', 'c']);
    expect(merged.followed).toEqual([
      { observation: 'o', result: 'gone' },
      { observation: 'p', result: 'gone' },
    ]);
    expect(clashes).toEqual([]);
  });
  it('merge lists of words word by word: each strikes its own and adds its own', () => {
    const was = { carried: ['waist', 'hip', 'height'] };
    expect(merge3(was, { carried: ['hip', 'height'] }, { carried: ['waist', 'height', 'bust'] })).toEqual({
      merged: { carried: ['height', 'bust'] },
      clashes: [],
    });
  });
  it('take the order of the one who changed it', () => {
    const turned: Doc = { ...base, steps: [base.steps[1]!, base.steps[0]!] };
    const edited: Doc = { ...base, steps: [{ id: 'a', on: false, by: 1 }, base.steps[1]!] };
    expect(merge3(base, edited, turned).merged.steps).toEqual([base.steps[1], { id: 'a', on: false, by: 1 }]);
    expect(merge3(base, turned, edited).merged.steps).toEqual([base.steps[1], { id: 'a', on: false, by: 1 }]);
  });
  it('lose nothing that either has written: every changed value stands or is told of', () => {
    const doc = fc.dictionary(fc.constantFrom('a', 'b', 'c'), fc.integer({ min: 0, max: 3 }));
    fc.assert(
      fc.property(doc, doc, doc, (b, m, t) => {
        const { merged, clashes } = merge3(b, m, t);
        for (const key of ['a', 'b', 'c'] as const) {
          if (m[key] !== b[key]) expect(merged[key]).toBe(m[key] ?? (t[key] !== b[key] ? t[key] : undefined));
          else expect(merged[key]).toBe(t[key]);
          if (
            m[key] !== b[key] &&
            t[key] !== b[key] &&
            m[key] !== t[key] &&
            m[key] !== undefined &&
            t[key] !== undefined
          )
            expect(clashes).toContainEqual({ path: key, theirs: t[key] });
        }
      }),
      { seed: 3, numRuns: 300 },
    );
  });
});
