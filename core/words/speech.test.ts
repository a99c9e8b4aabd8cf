import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, runAlteration } from '../alterations/index.ts';
import { causewayPattern } from '../blocks/index.ts';
import { sampleIn } from '../testing/samples.ts';
import { bustAmounts, easesFor, startingSize, uncertaintyOf, checkBody } from '../fitting/fit/index.ts';
import { worksheet } from '../fitting/compare/index.ts';
import { sayAdvice, sayBodyProblem, sayFinding, sayFit, sayRefusal, sayStep, type Units } from './index.ts';

const pattern = causewayPattern();
const units = fc.constantFrom<Units>({ unit: 'cm', fraction: 8 }, { unit: 'in', fraction: 16 });
/** What no sentence may ever show a person. */
const sound = (text: string) => {
  expect(text).not.toMatch(/undefined|NaN|Infinity|\[object|null/);
  expect(text.length).toBeGreaterThan(10);
  expect(text).toMatch(/[.?]$/);
};

describe('everything that is ever said is a whole sentence', () => {
  it('by an alteration, whether it runs or refuses', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CATALOGUE.flatMap((d) => d.examples.map((example) => ({ d, example })))),
        fc.constantFrom('2', '7'),
        fc.integer({ min: -60, max: 260 }),
        units,
        ({ d, example }, size, total, u) => {
          const { pieces, seams } = sampleIn(example.on, size);
          const context = { pieces, seams, original: pieces, originalSeams: seams, wearer: {} };
          const values = { ...example.values, ...(d.amount === 'total' ? { total } : {}) };
          const run = runAlteration(d, context, values);
          if (!run.ok) return sound(sayRefusal(run.error, u));
          for (const f of run.value.frames) for (const m of f.messages) sound(sayStep(m, u));
          for (const f of run.value.findings) sound(sayFinding(f, u));
        },
      ),
      { seed: 51, numRuns: 250 },
    );
  });

  it('about any body and size', () => {
    const girth = fc.integer({ min: -50, max: 2600 });
    fc.assert(
      fc.property(
        girth,
        girth,
        girth,
        fc.constantFrom('highBust', 'fullBust'),
        units,
        (highBust, fullBust, waist, method, u) => {
          const body = { highBust, fullBust, waist };
          for (const p of checkBody(body)) sound(sayBodyProblem(p, u));
          const choice = startingSize(body, pattern, method as 'highBust' | 'fullBust');
          if (!choice.ok) return sound(sayRefusal(choice.error, u));
          for (const r of choice.value.reasons) sound(sayFit(r, u));
          const amounts = bustAmounts(body, pattern, choice.value.chosen.size);
          sound(sayFit({ code: amounts.why, data: {} }, u));
          const eases = easesFor(pattern, choice.value.chosen.size, null);
          const worksheetOf = { body, eases, uncertainty: uncertaintyOf([], pattern), pattern, told: null, placed: [] };
          const on = { pieces: [], seams: [] };
          const rows = worksheet({ ...worksheetOf, size: choice.value.chosen.size, before: on, after: on });
          sound(sayAdvice({ steps: [], asks: [], worksheet: rows }, u));
        },
      ),
      { seed: 52, numRuns: 120 },
    );
  });
});
