import { describe, expect, it } from 'vitest';
import { cyclic, last, nth, pairs } from './index.ts';

describe('items of a list', () => {
  it('are taken by an index that must be good', () => {
    expect(nth(['a', 'b'], 1)).toBe('b');
    expect(last(['a', 'b'])).toBe('b');
    for (const index of [-1, 2, Number.NaN]) expect(() => nth(['a', 'b'], index)).toThrow(RangeError);
    expect(() => last([])).toThrow(RangeError);
  });
  it('go round where the list closes on itself', () => {
    expect([-4, -1, 0, 3, 7].map((i) => cyclic(['a', 'b', 'c'], i))).toEqual(['c', 'c', 'a', 'a', 'b']);
    expect(() => cyclic([], 0)).toThrow(RangeError);
  });
  it('come with the next one', () => {
    expect(pairs([1, 2, 3])).toEqual([
      [1, 2],
      [2, 3],
    ]);
    expect(pairs([1, 2, 3], true)).toEqual([
      [1, 2],
      [2, 3],
      [3, 1],
    ]);
    expect(pairs([])).toEqual([]);
    expect(pairs([1])).toEqual([]);
  });
});
