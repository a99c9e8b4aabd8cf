import { describe, expect, it } from 'vitest';
import { counted, noun, withArticle } from './index.ts';

describe('words that go with a count', () => {
  it('are one or many', () => {
    expect([0, 1, 2, 21].map((n) => counted(n, 'piece'))).toEqual(['0 pieces', '1 piece', '2 pieces', '21 pieces']);
    expect([1, 2].map((n) => noun(n, 'is', 'are'))).toEqual(['is', 'are']);
    expect(counted(2, 'half', 'halves')).toBe('2 halves');
  });
  it('take the article of their first sound', () => {
    expect(['side dart', 'armhole dart', 'underarm', 'edge'].map(withArticle)).toEqual([
      'a side dart',
      'an armhole dart',
      'an underarm',
      'an edge',
    ]);
  });
});
