import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, propose } from '../alterations/index.ts';
import { draftSample, SAMPLE_IDS } from '../drafting/index.ts';
import { MEASUREMENT_CATALOGUE, SCHOOLS } from '../fit/index.ts';
import {
  ALTERATION_WORDS,
  BODY_WORDS,
  CHOICE_WORDS,
  ERROR_WORDS,
  FINDING_WORDS,
  FIT_WORDS,
  MEASUREMENT_WORDS,
  PARAM_WORDS,
  PROBLEM_WORDS,
  sayFinding,
  sayRefusal,
  sayStep,
  sayWhy,
  SCHOOL_WORDS,
  STEP_WORDS,
  TERM_WORDS,
  WAY_WORDS,
} from './index.ts';

const root = new URL('..', import.meta.url).pathname;
const files = (folder: string): string[] =>
  readdirSync(folder).flatMap((f) =>
    f === 'node_modules'
      ? []
      : statSync(join(folder, f)).isDirectory()
        ? files(join(folder, f))
        : f.endsWith('.ts') && !f.endsWith('.test.ts')
          ? [join(folder, f)]
          : [],
  );
const source = files(root)
  .filter((f) => !f.includes('/words/'))
  .map((f) => readFileSync(f, 'utf8'))
  .join('\n');
const codes = (pattern: RegExp): string[] => [...new Set([...source.matchAll(pattern)].map((m) => m[1] as string))];
const cm = { unit: 'cm', fraction: 8 } as const;

describe('every code has its sentence', () => {
  it('refusals', () => {
    const said = codes(/refuse\(\s*'([\w-]+)'/g);
    expect(said.length).toBeGreaterThan(30);
    expect(said.filter((c) => !(c in ERROR_WORDS))).toEqual([]);
    for (const d of CATALOGUE) expect(d.refusals.filter((c) => !(c in ERROR_WORDS))).toEqual([]);
  });

  it('steps of the hands', () => {
    const said = codes(
      /'((?:fba|princess|princessLine|apex|rotate|split|cutAway|ease|gather|setback|waistDarts|raise|lower|bustPoint|dart)\.[\w.]+)'/g,
    ).filter((c) => !(c in TERM_WORDS));
    expect(said.length).toBeGreaterThan(60);
    expect(said.filter((c) => !(c in STEP_WORDS))).toEqual([]);
    expect(Object.keys(STEP_WORDS).filter((c) => !said.includes(c))).toEqual([]);
  });

  it('why an alteration suits a pattern, or does not', () => {
    for (const id of SAMPLE_IDS)
      for (const family of ['bust', 'dart'] as const)
        for (const p of propose(draftSample(id, '4'), family)) expect(sayWhy(p.why, cm)).toMatch(/^[A-Z“].*\.$/);
    expect(Object.keys(WAY_WORDS)).toEqual(['split', 'cutAway', 'twoSteps', 'princess']);
  });

  it('findings, problems, terms, schools, measurements, values and choices', () => {
    expect(codes(/code: '([\w-]+)', grade/g).filter((c) => !(c in FINDING_WORDS) && !(c in BODY_WORDS))).toEqual([]);
    expect(codes(/say\([^']*'([\w-]+)'/g).filter((c) => !(c in PROBLEM_WORDS))).toEqual([]);
    expect(
      codes(/code: '((?:body|ease|chart|draft)\.\w+)'/g).filter((c) => !(c in TERM_WORDS) && !(c in STEP_WORDS)),
    ).toEqual([]);
    expect(
      SCHOOLS.filter((s) => !(s in SCHOOL_WORDS) || !(`amount.why.${s}` in FIT_WORDS || s === 'finished')),
    ).toEqual([]);
    expect(MEASUREMENT_CATALOGUE.filter((d) => !MEASUREMENT_WORDS[d.key])).toEqual([]);
    for (const d of CATALOGUE) {
      expect(ALTERATION_WORDS[d.id]).toBeDefined();
      for (const p of d.params) {
        expect(PARAM_WORDS[p.key]).toBeDefined();
        if (p.kind === 'choice') expect(p.options.filter((o) => !(`${p.key}.${o}` in CHOICE_WORDS))).toEqual([]);
      }
    }
  });
});

describe('sentences', () => {
  it('use the user’s unit, and both where amounts are cut', () => {
    const message = { code: 'fba.open', data: { s: 12.7, degrees: 7.04 } };
    expect(sayStep(message, cm)).toContain('1.3 cm (1/2″)');
    expect(sayStep(message, { unit: 'in', fraction: 8 })).toContain('1/2″ (1.3 cm)');
  });

  it('say what is wrong, where, and what to do', () => {
    expect(sayRefusal({ code: 'overlap-larger-than-dart', data: { wanted: 30, most: 18.2 } }, cm)).toBe(
      'Overlapping by 3.0 cm on each half would close the side dart altogether; it allows 1.8 cm. Lap less, or start from a smaller size.',
    );
    expect(
      sayFinding(
        { code: 'seam-lengths-differ', grade: 'fault', data: { kind: 'side', first: 200, second: 205, by: 5 } },
        cm,
      ),
    ).toContain('0.5 cm apart');
  });

  it('show a code that has none rather than nothing', () => {
    expect(sayRefusal({ code: 'never-heard-of', data: {} }, cm)).toBe('never-heard-of');
  });

  it('speak without raised voice', () => {
    const every =
      source + readFileSync(join(root, 'words/steps.ts'), 'utf8') + readFileSync(join(root, 'words/errors.ts'), 'utf8');
    expect(/[a-z]!['`]/.test(every.replace(/!\[|!==?|!\w|!\(/g, ''))).toBe(false);
  });
});
