import { afterEach, describe, expect, it } from 'vitest';
import { MISTAKES, type Difference, type Mistake } from '../practice/index.ts';
import { speakEnglish } from '../speech/index.ts';
import { sayMistake, sayOutcome } from './index.ts';

const CM = { unit: 'cm', fraction: 8 } as const;
const IN = { unit: 'in', fraction: 8 } as const;
const at = { x: 0, y: 0 };
const mistake = (code: Mistake['code'], data: Mistake['data'] = {}): Mistake => ({ code, piece: 0, data, makes: [] });

afterEach(() => speakEnglish('british'));

describe('a mistake', () => {
  it.each(MISTAKES)('%s has a name, and says how to do better without a hole', (code) => {
    const { name, why } = sayMistake(mistake(code, { got: 17.6, wanted: 20, off: 9 }), CM);
    expect(name.length).toBeGreaterThan(3);
    expect(why).toMatch(/\.$/);
    expect(why).not.toMatch(/NaN|undefined/);
  });

  it('measured on the slant says what opened square to the line, in one’s own unit', () => {
    const slant = mistake('measured-on-the-slant', { got: 17.6, wanted: 20 });
    expect(sayMistake(slant, CM).why).toContain('square to the line it opened 1.8 cm');
    expect(sayMistake(slant, IN).why).toContain('3/4″');
  });

  it('off to the other side is told as a length, without its sign', () => {
    expect(sayMistake(mistake('tip-off-middle', { off: -9 }), CM).why).toContain('One leg is 0.9 cm longer');
  });

  it('is told in American as well', () => {
    speakEnglish('american');
    const { why } = sayMistake(mistake('not-levelled', { got: 0, wanted: 11 }), CM);
    expect(why).not.toMatch(/centre|levelled/);
  });
});

describe('a difference', () => {
  const say = (d: Difference): string => sayOutcome(d, CM);
  it.each<[string, Difference]>([
    ['armhole 0.8 cm too long', { kind: 'length', role: 'armhole', by: 8, piece: 0, at }],
    ['side seam 0.8 cm too short', { kind: 'length', role: 'side', by: -8, piece: 0, at }],
    ['opened 1.8 cm instead of 2.0 cm', { kind: 'opening', cut: '1', got: 17.6, wanted: 20, by: -2.4, piece: 0, at }],
    ['lapped 0.9 cm instead of 1.2 cm', { kind: 'opening', cut: '1', got: -9, wanted: -12, by: 3, piece: 0, at }],
    [
      'moved 0.9 cm the other way, instead of 1.2 cm',
      { kind: 'opening', cut: '1', got: 9, wanted: -12, by: 21, piece: 0, at },
    ],
    [
      'side seam 0.9 cm longer than the one it is sewn to',
      { kind: 'seam', role: 'side', other: 1, by: 9, piece: 0, at },
    ],
    [
      'corner of waist and centre front: 1.1 cm too high',
      { kind: 'corner', roles: ['waist', 'centreFront'], way: { x: 1, y: -11 }, by: 11, piece: 0, at },
    ],
    ['dart legs 0.4 cm apart', { kind: 'legs', by: 4, piece: 0, at }],
    ['grain line 0.5 cm off over its length', { kind: 'grain', by: -5, piece: 0, at }],
  ])('%s', (text, d) => {
    expect(say(d)).toBe(text);
  });
});
