import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Row } from '../fitting/compare/index.ts';
import { parseLength, TOL } from '../units/index.ts';
import { sayFit, saySum, type Units } from './index.ts';

const UNITS: readonly Units[] = [
  { unit: 'cm', fraction: 8 },
  { unit: 'in', fraction: 8 },
  { unit: 'in', fraction: 16 },
];
const LENGTH = String.raw`([+−]?\s?[\d./ ]*\d(?: cm|″))`;
/** The lengths of a text that stand where the pattern has a gap, mm. */
function lengthsIn(text: string, pattern: string, { unit }: Units): readonly number[] {
  const found = new RegExp(pattern.replaceAll('_', LENGTH)).exec(text);
  if (!found) throw new Error(`“${text}” is not written as ${pattern}`);
  return found.slice(1).map((t) => {
    const length = parseLength(t, unit);
    if (!length.ok) throw new Error(`“${t}” is no length`);
    return length.value;
  });
}
const sums = fc.record({
  body: fc.double({ min: 200, max: 1400, noNaN: true }),
  ease: fc.double({ min: 5, max: 120, noNaN: true }),
  pattern: fc.double({ min: 200, max: 1400, noNaN: true }),
});
const every = (check: (v: { body: number; ease: number; pattern: number }, units: Units) => void): void =>
  fc.assert(
    fc.property(sums, fc.constantFrom(...UNITS), (v, units) => check(v, units)),
    { seed: 20261129, numRuns: 400 },
  );

describe('sums add up as they are said', () => {
  it('of a girth: body + ease = wanted, − pattern = difference, ÷ 4', () =>
    every(({ body, ease, pattern }, units) => {
      const data = { key: 'waist', body, ease, wanted: body + ease, pattern, by: body + ease - pattern, share: 0.25 };
      const said = sayFit({ code: 'fit.girth', data }, units);
      const [b, e, w, p, by] = lengthsIn(said, '_ _ ease = _ wanted − _ on the pattern = _', units);
      expect(b! + e!).toBeCloseTo(w!, 9);
      expect(w! - p!).toBeCloseTo(by!, 9);
    }));
  it('of the bust, on the whole front and on each half', () =>
    every(({ body, ease, pattern }, units) => {
      const by = body + ease - pattern;
      const data = { key: 'fullBust', body, ease, pattern, by, whole: by, half: by / 2, verdict: 'do' };
      const said = sayFit({ code: 'fit.bust', data }, units);
      const [b, e, p, all, half] = lengthsIn(said, '_ _ ease − _ on the pattern = _ over the whole front, _ on', units);
      expect(b! + e! - p!).toBeCloseTo(all!, 9);
      expect(half).toBeCloseTo(all! / 2, 9);
    }));
  it('of a row of the worksheet', () =>
    every(({ body, ease, pattern }, units) => {
      const difference = body + ease - pattern;
      const row: Row = {
        ...{ key: 'waist', body, ease, wanted: body + ease, pattern, difference, each: difference / 4 },
        ...{ easeFrom: 'usual', from: 'pieces', design: null, wearing: 30, within: 6 },
        ...{ share: { parts: 4, why: 'sides' }, after: pattern, left: difference, fallen: 0, apart: 0 },
      };
      const said = saySum(row, units);
      const [b, e, w, p, by] = lengthsIn(said, '_ _ ease = _ wanted − _ on the pieces = _', units);
      expect(b! + e!).toBeCloseTo(w!, 9);
      expect(w! - p!).toBeCloseTo(by!, 9);
      // The body is what the tape said.
      expect(Math.abs(b! - body)).toBeLessThan(units.unit === 'cm' ? 0.5 + TOL.same : 25.4 / 16 + TOL.same);
    }));
});
