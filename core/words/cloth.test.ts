import { expect, it } from 'vitest';
import type { CutLine } from '../out/layout/index.ts';
import { sayClothAlarm, sayCut } from './index.ts';

const cut = (how: CutLine['how'], times: number, oneLayer = false): string =>
  sayCut({ piece: 'p', name: 'P', how, times, oneLayer });

it('says how a piece is cut, once or more often', () => {
  expect(['fold', 'pair', 'single', 'opened'].map((how) => cut(how as CutLine['how'], 1))).toEqual([
    'on the fold',
    'a pair, from both layers',
    'once',
    'opened out to a whole, from one layer',
  ]);
  expect([cut('fold', 2), cut('pair', 2), cut('single', 2), cut('single', 4)]).toEqual([
    'on the fold twice',
    '2 pairs, from both layers',
    'twice, the second turned over',
    '4 times, every second one turned over',
  ]);
  expect(cut('single', 1, true)).toBe('once, from the upper layer only');
});

it('says what cloth and pattern disagree on, with what to do', () => {
  const units = { unit: 'cm', fraction: 8 } as const;
  expect(sayClothAlarm({ code: 'stretch-missing', data: { share: 40 } }, units)).toMatch(/gives 40 %.*take a knit/);
  expect(sayClothAlarm({ code: 'grain-missing', data: { piece: 'Cuff' } }, units)).toMatch(/^“Cuff”.*before you cut/);
});
