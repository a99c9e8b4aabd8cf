import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import {
  alterationById,
  CATALOGUE,
  FAMILIES,
  propose,
  type AlterationDefinition,
  type Run,
  type Values,
} from '../alterations/index.ts';
import { BUREAU_ERRORS } from '../out/bureau/index.ts';
import { SAMPLE_IDS } from '../blocks/index.ts';
import { runOn, sampleIn } from '../testing/samples.ts';
import { MEASUREMENT_CATALOGUE, SCHOOLS } from '../fitting/fit/index.ts';
import {
  ALTERATION_WORDS,
  BODY_WORDS,
  BUREAU_WORDS,
  CALIBRATE_WORDS,
  CHOICE_WORDS,
  ERROR_WORDS,
  FILE_WORDS,
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
const problems = readFileSync(join(root, 'pattern/validate.ts'), 'utf8');
const codes = (pattern: RegExp, text = source): string[] => [
  ...new Set([...text.matchAll(pattern)].map((m) => m[1] as string)),
];
const cm = { unit: 'cm', fraction: 8 } as const;

/** Every example, each of its choices in turn, and its amount turned the other way. */
function variants(d: AlterationDefinition): { d: AlterationDefinition; on: string; values: Values }[] {
  if (d.family === 'bust' || d.family === 'dart') return [];
  return SAMPLE_IDS.filter((id) =>
    ['causeway', 'causeway-side', 'causeway-french', 'causeway-shirt', 'skerry-shoulder'].includes(id),
  ).flatMap((on) => {
    const base: Values[] = d.examples.length > 0 ? d.examples.map((e) => e.values) : [{}];
    const turned = base.flatMap((v): Values[] => [
      v,
      Object.fromEntries(Object.entries(v).map(([k, x]) => [k, typeof x === 'number' && signed(d, k) ? -x : x])),
    ]);
    const chosen = turned.flatMap((v) =>
      d.params.flatMap((p): Values[] => (p.kind === 'choice' ? p.options.map((o) => ({ ...v, [p.key]: o })) : [v])),
    );
    const also: Values[] =
      d.id === 'neckline'
        ? [
            { by: 4, backBy: 6, wide: -4 },
            { by: 4, backBy: -6 },
          ]
        : [];
    const out: Values[] = d.id === 'armhole-depth' ? [{ by: 0, out: 5 }] : [];
    return [...turned, ...chosen, ...also, ...out].map((values) => ({ d, on, values }));
  });
}
const heardIn = (run: Run): string[] => run.frames.flatMap((f) => f.messages.map((m) => m.code));
/** Steps after which something has to follow. */
const LEADING: readonly (readonly [string, string, Values])[] = [10, -10].flatMap((by) => [
  ['causeway', 'shoulder-redraw', { by }] as const,
  ['causeway', 'side-add', { by: 2 * by }] as const,
  ['causeway-shirt', 'neckline', { by }] as const,
]);
const signed = (d: AlterationDefinition, key: string): boolean =>
  d.params.some((p) => p.kind === 'length' && p.key === key && p.signed === true);

describe('every code has its sentence', () => {
  it('refusals', () => {
    const said = codes(/refuse\(\s*'([\w-]+)'/g);
    expect(said.length).toBeGreaterThan(60);
    const words = { ...ERROR_WORDS, ...FILE_WORDS, ...CALIBRATE_WORDS, ...BUREAU_WORDS };
    expect(said.filter((c) => !(c in words))).toEqual([]);
    expect(BUREAU_ERRORS.filter((c) => !(c in BUREAU_WORDS))).toEqual([]);
    for (const d of CATALOGUE) expect(d.refusals.filter((c) => !(c in ERROR_WORDS))).toEqual([]);
  });

  it('steps of the hands', () => {
    const literal = codes(
      /'((?:fba|princess|princessLine|apex|rotate|split|cutAway|ease|gather|setback|waistDarts|raise|lower|bustPoint|dart)\.[\w.]+)'/g,
    ).filter((c) => !(c in TERM_WORDS));
    expect(literal.length).toBeGreaterThan(60);
    // Where an alteration puts a code together, the code is heard by running it.
    const heard = new Set(
      CATALOGUE.flatMap((d) => variants(d)).flatMap(({ d, on, values }) => {
        const r = runOn(d, on, '4', values);
        return r.ok ? heardIn(r.value) : [];
      }),
    );
    for (const d of CATALOGUE.filter((x) => x.family === 'follow'))
      for (const [on, id, values] of LEADING) {
        const led = runOn(alterationById(id) as AlterationDefinition, on, '4', values);
        const r = led.ok ? runOn(d, on, '4', {}, led.value) : led;
        if (r.ok) for (const code of heardIn(r.value)) heard.add(code);
      }
    const said = new Set([...literal, ...heard]);
    expect([...said].filter((c) => !(c in STEP_WORDS))).toEqual([]);
    expect(Object.keys(STEP_WORDS).filter((c) => !said.has(c))).toEqual([]);
    // Every example of the catalogue is run: longer than one test usually takes, more so on a busy machine.
  }, 120_000);

  it('why an alteration suits a pattern, or does not', () => {
    for (const id of SAMPLE_IDS)
      for (const family of FAMILIES)
        for (const p of propose(sampleIn(id, '4').pieces, family, sampleIn(id, '4').seams))
          expect(sayWhy(p.why, cm)).toMatch(/^[A-Z“].*\.$/);
    expect(Object.keys(WAY_WORDS)).toEqual([
      'split',
      'cutAway',
      'twoSteps',
      'princess',
      'restWaist',
      'restSide',
      'restEase',
    ]);
  });

  it('findings, problems, terms, schools, measurements, values and choices', () => {
    expect(codes(/code: '([\w-]+)', grade/g).filter((c) => !(c in FINDING_WORDS) && !(c in BODY_WORDS))).toEqual([]);
    expect(codes(/say\([^']*'([\w-]+)'/g, problems).filter((c) => !(c in PROBLEM_WORDS))).toEqual([]);
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
      'Overlapping by 3.0 cm on each half would close the side dart altogether; it allows 1.8 cm. Lap that much and take the rest in at the side seams, or start from a smaller size.',
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
