import { describe, expect, it } from 'vitest';
import { CATALOGUE, type Example } from '../alterations/index.ts';
import { draft, type DraftStep } from '../fitting/plan/index.ts';
import { samplePattern, type SampleId } from '../blocks/index.ts';
import { diagramsSvg } from '../out/index.ts';
import { stepSchema } from '../documents/index.ts';
import { handSheet, labelChanges, printableSheet, sayStep, stepAmount, stepName, type Units } from './index.ts';

const cm: Units = { unit: 'cm', fraction: 8 };
const inch: Units = { unit: 'in', fraction: 16 };

/** The first step of a plan of one alteration on a sample, carried out. */
function step(
  alteration: string,
  on: string,
  values: object,
  more: object = {},
  after: Example['after'] = [],
): DraftStep {
  const s = stepSchema.parse({ id: 's', alteration, revision: 1, values, ...more });
  // Grading runs on the nest: it needs the other sizes too.
  const pattern = samplePattern(on as SampleId, ['4', '5', '6']);
  const d = draft({
    job: {
      size: '4',
      sizeMethod: 'highBust',
      steps: [...after.map((a, i) => stepSchema.parse({ id: `a${i}`, revision: 1, ...a })), s],
    },
    wearer: { sets: [], bustEase: null },
    pattern,
  });
  return d.steps.at(-1) as DraftStep;
}
const skerry = step('full-bust-princess-armhole', 'skerry-armhole', { total: 40 });

describe('the hand sheet', () => {
  it('says exactly what the frames of the program say, in their order, for every example', () => {
    for (const d of CATALOGUE)
      for (const e of d.examples) {
        const s = step(d.id, e.on, e.values, {}, e.after);
        const sheet = handSheet(s, cm);
        if (!sheet || !s.outcome.ok) throw new Error(`${d.id} ${e.name}: expected a sheet`);
        const said = s.outcome.value.frames.flatMap((f) => f.messages.map((m) => sayStep(m, cm)));
        expect(sheet.stages.flatMap((x) => x.lines)).toEqual(said);
        expect(sheet.checks).toHaveLength(s.outcome.value.findings.length);
        for (const stage of sheet.stages.slice(0, -1))
          expect(stage.diagrams.length, `${d.id} ${stage.heading}`).toBeGreaterThan(0);
      }
  });

  it('gives amounts in the reader’s unit, the stage its name: lapped paper is lapped', () => {
    const small = step('full-bust-raglan', 'ebb', { total: -20 });
    expect(handSheet(small, cm)?.stages.map((s) => s.heading)).toContain('Lap');
    expect(handSheet(skerry, cm)?.stages.map((s) => s.heading)).toContain('Open');
    const open = (units: Units) => handSheet(skerry, units)?.stages.find((s) => s.heading === 'Open');
    // 2.25 so that 2.0 are left once the seams are faired.
    expect(open(cm)?.lines[0]).toContain('2.3 cm');
    expect(open(cm)?.lines[0]).toContain('0.3 cm more than half');
    expect(open(inch)?.lines[0]).toContain('7/8″');
    expect(open(inch)?.diagrams[0]?.shapes.filter((x) => x.kind === 'dimension')).toMatchObject([{ text: '7/8″' }]);
  });

  it('draws both panels of a princess line, the centre only from where it is touched', () => {
    const sheet = handSheet(skerry, cm);
    expect(sheet?.stages[0]?.diagrams.map((d) => d.name)).toEqual(['Side front', 'Centre front']);
    const pens = (i: number) =>
      new Set(sheet?.stages[i]?.diagrams.flatMap((d) => d.shapes.flatMap((x) => (x.kind === 'line' ? [x.pen] : []))));
    expect(pens(0).has('slash')).toBe(true);
    expect(pens(2).has('insert')).toBe(true);
    expect(pens(2).has('ghost')).toBe(true);
  });

  it('is none for a step that is off or refused', () => {
    expect(handSheet(step('full-bust-raglan', 'ebb', { total: 40 }, { on: false }), cm)).toBeNull();
    expect(handSheet(step('full-bust-raglan', 'causeway', { total: 40 }), cm)).toBeNull();
  });

  it('prints without the sign its fonts lack', () => {
    const sheet = handSheet(skerry, inch);
    if (!sheet) throw new Error('expected a sheet');
    expect(JSON.stringify(sheet)).toContain('″');
    expect(JSON.stringify(printableSheet(sheet))).not.toContain('″');
  });
});

describe('on paper only', () => {
  it('speaks of a waist dart with an “if”, since only the piece like it is known to have one', () => {
    const s = step('full-bust-side-dart', 'causeway', { total: 40 });
    const lines = (onPaper: boolean) =>
      (handSheet(s, cm, onPaper)?.stages ?? []).flatMap((x) => x.lines).filter((l) => /waist dart/i.test(l));
    expect(lines(false).length).toBeGreaterThan(0);
    expect(lines(false).filter((l) => l.startsWith('If'))).toEqual([]);
    expect(lines(true)).toHaveLength(lines(false).length);
    for (const line of lines(true)) expect(line).toMatch(/^If your piece has a waist dart: [a-z]/);
    // Where what opens goes into the waist dart, there is one: it is what the alteration is for.
    const into = step('full-bust-waist-dart', 'causeway-waist', { total: 40 });
    const said = (handSheet(into, cm, true)?.stages ?? []).flatMap((x) => x.lines);
    expect(said.some((l) => /waist dart/i.test(l))).toBe(true);
    expect(said.filter((l) => l.startsWith('If your piece'))).toEqual([]);
  });
});

describe('an amount', () => {
  it('reads the same on slip, label and sheet, also where lengths are shown to an eighth', () => {
    // By hand: 8 mm are 5.04 sixteenths; to an eighth they would read 3/8.
    const s = step('shoulder-slash', 'causeway', { by: -8 });
    const eighths: Units = { unit: 'in', fraction: 8 };
    expect(stepAmount(s, eighths)).toContain('5/16″');
    expect(handSheet(s, eighths)?.amount).toBe(stepAmount(s, eighths));
    expect(Object.values(labelChanges([s], eighths))[0]).toContain('−5/16 in');
  });
});

describe('slips and labels', () => {
  it.each([
    ['full-bust-raglan', 'ebb', { total: 40 }, 'Full bust, raglan', '+4.0 cm over the front'],
    ['full-bust-raglan', 'ebb', { total: -20 }, 'Small bust, raglan', '−2.0 cm over the front'],
    ['dart-raise', 'causeway', { by: -15 }, 'Dart lower', '−1.5 cm'],
    ['dart-raise', 'causeway', { by: 10 }, 'Dart higher', '+1.0 cm'],
    ['dart-split', 'causeway-side', { share: 0.4 }, 'Dart in two', '40 % goes to the second'],
    ['dart-cut-away', 'causeway-waist', {}, 'Dart cut away', '1.0 cm allowance'],
    ['dart-waist-width', 'causeway', { by: -24 }, 'Waist narrower, in the darts', '−2.4 cm around the waist'],
    ['princess-line', 'causeway', {}, 'Into a princess line', ''],
  ] as const)('%s on %s reads as one says it', (id, on, values, name, amount) => {
    const s = step(id, on, values);
    expect([stepName(s), stepAmount(s, cm)]).toEqual([name, amount]);
  });

  it('every piece that was touched carries what was done to it', () => {
    expect(labelChanges([skerry], cm)).toEqual({
      sideFront: 'Full bust, princess from the armhole: +4.0 cm over the front',
      front: 'Full bust, princess from the armhole: +4.0 cm over the front',
    });
    expect(labelChanges([skerry], inch)['front']).toContain('1 9/16 in over the front');
  });
});

describe('drawings', () => {
  it('are one picture with everything inside its frame', () => {
    const sheet = handSheet(skerry, cm);
    const svg = diagramsSvg(sheet?.stages[2]?.diagrams ?? [], 300, 'A & B');
    expect(svg).toContain('<title>A &amp; B</title>');
    expect(svg).toContain('height="300"');
    const [, width, height] = /viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg) ?? [];
    expect(Number(width) / Number(height)).toBeGreaterThan(0.5);
    expect(svg).not.toMatch(/NaN|undefined|Infinity/);
  });
});
