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
import { SAMPLE_IDS } from '../blocks/index.ts';
import { runOn, sampleIn } from '../testing/samples.ts';
import type { Result } from '../units/index.ts';
import { MEASUREMENT_CATALOGUE, AMOUNT_METHODS } from '../fitting/fit/index.ts';
import {
  ALTERATION_WORDS,
  CHOICE_WORDS,
  FIT_WORDS,
  MEASUREMENT_WORDS,
  PARAM_WORDS,
  sayFinding,
  sayRefusal,
  sayStep,
  sayWhy,
  METHOD_WORDS,
  STEP_WORDS,
  WAY_WORDS,
} from './index.ts';

const cm = { unit: 'cm', fraction: 8 } as const;

interface Trial {
  readonly d: AlterationDefinition;
  readonly on: string;
  readonly values: Values;
}

/** Its examples, each of its choices in turn, and its amount turned the other way. */
function variants(d: AlterationDefinition): readonly Trial[] {
  const own = d.examples.flatMap(({ on, values }) => {
    const other = Object.entries(values).map(([k, x]) => [k, typeof x === 'number' && signed(d, k) ? -x : x]);
    const turned: Values[] = [values, Object.fromEntries(other)];
    const chosen = turned.flatMap((v) =>
      d.params.flatMap((p): Values[] => (p.kind === 'choice' ? p.options.map((o) => ({ ...v, [p.key]: o })) : [])),
    );
    return [...turned, ...chosen].map((v) => ({ d, on, values: v }));
  });
  const distinct = new Map(own.map((t) => [JSON.stringify([t.on, t.values]), t]));
  return [...distinct.values(), ...(RARE[d.id] ?? []).map((t) => ({ d, ...t }))];
}
/** What takes two amounts at once, or a pattern its examples are not shown on. */
const RARE: Readonly<Record<string, readonly Omit<Trial, 'd'>[]>> = {
  neckline: [
    { on: 'causeway-shirt', values: { by: 4, backBy: 6, wide: -4 } },
    { on: 'causeway-shirt', values: { by: 4, backBy: -6 } },
  ],
  'armhole-depth': [{ on: 'causeway', values: { by: 0, out: 5 } }],
  'double-dart': ['front', 'back'].map((over) => ({
    on: 'jetty',
    values: { by: 0, over, out: 5, down: -5, longerAbove: 8, longerBelow: -8, apart: 20 },
  })),
  'bust-point': [{ on: 'causeway-french', values: { bustPoint: { x: 98, y: 272 } } }],
};
const heardIn = (run: Run): string[] => run.frames.flatMap((f) => f.messages.map((m) => m.code));
/** Steps after which something has to follow. */
const LEADING: readonly (readonly [string, string, Values])[] = [10, -10].flatMap((by) => [
  ['causeway', 'shoulder-redraw', { by }] as const,
  ['causeway', 'side-add', { by: 2 * by }] as const,
  ['causeway-shirt', 'neckline', { by }] as const,
  ['landing', 'trouser-waist', { by: 2 * by }] as const,
  ['quay', 'collar-height', { on: 'stand', by, inFront: by / 2 }] as const,
]);
const signed = (d: AlterationDefinition, key: string): boolean =>
  d.params.some((p) => p.kind === 'length' && p.key === key && p.signed === true);

describe('what is said', () => {
  it('is heard: every step is said by some run', () => {
    const unheard = new Set(Object.keys(STEP_WORDS));
    const listen = (r: Result<Run>): void => {
      if (r.ok) for (const code of heardIn(r.value)) unheard.delete(code);
    };
    for (const d of CATALOGUE.filter((x) => x.family === 'follow'))
      for (const [on, id, values] of LEADING) {
        const led = runOn(alterationById(id) as AlterationDefinition, on, '4', values);
        listen(led.ok ? runOn(d, on, '4', {}, led.value) : led);
      }
    for (const { d, on, values } of CATALOGUE.flatMap(variants))
      if (unheard.size > 0) listen(runOn(d, on, '4', values));
    expect([...unheard]).toEqual([]);
    // Longer than one test usually takes, more so on a busy machine.
  }, 600_000);

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
    expect(
      AMOUNT_METHODS.filter((s) => !(s in METHOD_WORDS) || !(`amount.why.${s}` in FIT_WORDS || s === 'finished')),
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
    const message = { code: 'fba.open' as const, data: { s: 12.7, degrees: 7.04 } };
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
});
