import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatLength, parseLength, roundToUnit } from './index.ts';

const read = (text: string, unit: 'cm' | 'in' | 'mm' = 'cm'): number | string => {
  const result = parseLength(text, unit);
  return result.ok ? result.value : result.error.code;
};

describe('parseLength', () => {
  it.each(['.', ',', '-.', '. cm', '.,'])('takes %s for no length: a point alone says nothing', (text) => {
    expect(parseLength(text, 'cm')).toMatchObject({ ok: false, error: { code: 'length-unreadable' } });
  });
  it('takes a point at either end of figures', () => {
    expect([read('5.'), read('.5')]).toEqual([50, 5]);
  });
  it.each([
    ['36 1/2', 'in', 927.1],
    ['36-1/2"', 'cm', 927.1],
    ['36.5', 'in', 927.1],
    ['92,7 cm', 'in', 927],
    ['92.7', 'cm', 927],
    ['3/8', 'in', 9.525],
    ['36½', 'in', 927.1],
    ['½', 'in', 12.7],
    ['12 mm', 'cm', 12],
    ['-1/4', 'in', -6.35],
    ['− 2,5', 'cm', -25],
    ['+ 2', 'cm', 20],
    ['.5', 'cm', 5],
    ['36 in', 'cm', 914.4],
  ] as const)('reads %s in %s', (text, unit, expected) => {
    expect(read(text, unit)).toBeCloseTo(expected, 9);
  });

  it.each([
    ['', 'length-empty'],
    ['   ', 'length-empty'],
    ['abc', 'length-unreadable'],
    ['12 cm 3', 'length-unreadable'],
    ['1.2.3', 'length-unreadable'],
    ['1,234.5', 'length-unreadable'],
    ['1/0', 'length-zero-denominator'],
    ['--5', 'length-unreadable'],
    ['NaN', 'length-unreadable'],
    ['1e5', 'length-unreadable'],
  ])('refuses %j with %s', (text, code) => {
    expect(read(text)).toBe(code);
  });
});

describe('formatLength', () => {
  it.each([
    [927.1, 'in', '36 1/2″'],
    [9.525, 'in', '3/8″'],
    [927, 'cm', '92.7 cm'],
    [-35, 'cm', '−3.5 cm'],
    [25.39, 'in', '1″'],
    [0.2, 'in', '0″'],
  ] as const)('prints %d in %s as %s', (value, unit, text) => {
    expect(formatLength(value, unit)).toBe(text);
  });

  it('shows the sign on request, and none on a value that rounds to nothing', () => {
    expect(formatLength(12.7, 'in', { sign: true })).toBe('+1/2″');
    expect(formatLength(-0.2, 'cm', { sign: true })).toBe('0.0 cm');
  });

  it('reads back every sixteenth it prints, whatever unit is on display', () => {
    fc.assert(
      fc.property(fc.integer({ min: -4000, max: 4000 }), (sixteenths) => {
        const value = (sixteenths / 16) * 25.4;
        const printed = formatLength(value, 'in', { fraction: 16 });
        expect(read(printed, 'cm')).toBeCloseTo(value, 9);
      }),
      { seed: 7 },
    );
  });
});

it('rounds to what the unit can show', () => {
  expect(roundToUnit(12.4, 'in')).toBeCloseTo(12.7, 12);
  expect(roundToUnit(12.4, 'cm')).toBe(12);
});
