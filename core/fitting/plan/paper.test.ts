import { describe, expect, it } from 'vitest';
import { samplePattern } from '../../blocks/index.ts';
import type { Lesson, Step } from '../../documents/index.ts';
import { stepSchema } from '../../documents/index.ts';
import { PATTERN_VERSION, patternSchema, type MeasurementKey } from '../../pattern/index.ts';
import { draft, lessonOf, likeOf, type Draft, type ResolvedJob } from './index.ts';

const dress = samplePattern('causeway');
const paper = patternSchema.parse({
  format: 'ample-draft/pattern',
  version: PATTERN_VERSION,
  id: 'own',
  name: 'Envelope',
  chart: [
    { size: '12', body: { highBust: 860, fullBust: 910, waist: 711, hip: 965, shoulder: 124, napeToWaist: 406 } },
    { size: '14', body: { highBust: 910, fullBust: 960, waist: 762, hip: 1016, shoulder: 127, napeToWaist: 410 } },
  ],
  flat: { '12': { shoulder: 126 } },
  sizes: {},
});
const step = (id: string, alteration: string, values: Step['values'] = {}): Step =>
  stepSchema.parse({ id, alteration, revision: 1, values });
type Readings = Partial<Record<MeasurementKey, number>>;
const jobOn = (
  pattern: ResolvedJob['pattern'],
  steps: readonly Step[],
  body: Readings,
  learnt: readonly Lesson[] = [],
): ResolvedJob => ({
  job: { size: null, sizeMethod: 'highBust', steps: [...steps] },
  wearer: {
    sets: [
      {
        id: 's',
        date: '2026-11-01',
        notes: '',
        readings: Object.fromEntries(Object.entries(body).map(([k, v]) => [k, [v]])),
      },
    ],
    bustEase: null,
    learnt: [...learnt],
  },
  pattern,
});
const BODY: Readings = { highBust: 866, fullBust: 980, waist: 740, hip: 990, shoulder: 118, napeToWaist: 395 };
const stepOf = (d: Draft, id: string) => d.steps.find((s) => s.step.id === id)!;

describe('paper only', () => {
  it('chooses the size from the chart and draws on the sample drafted for about the same body', () => {
    const d = draft(jobOn(paper, [], BODY));
    expect(d.size).toBe('12');
    // 910 lies nearest to the 920 of sample size 4.
    expect(d.paper).toEqual({ sample: 'causeway', size: '4' });
    expect(d.refusal).toBeNull();
    expect(likeOf({ like: null, fabric: { kind: 'knit', stretch: 0.4 }, style: 'fitted' })).toBe('ebb');
    expect(likeOf({ like: 'skerry-armhole', fabric: { kind: 'woven', stretch: 0 }, style: 'loose' })).toBe(
      'skerry-armhole',
    );
  });

  it('has all amounts from the paper: chart, typed flat measurements, never the stand-in', () => {
    const d = draft(jobOn(paper, [step('a', 'shoulder-slash'), step('b', 'full-bust-side-dart')], BODY));
    // Shoulder 118 on the body, 124 on the chart, 126 typed from the paper (the sample has 122): 2 are the design’s.
    expect(stepOf(d, 'a').values['by']).toBe(-6);
    // What the sheet says the shoulder comes to is the paper's, not the stand-in's: 126 − 6.
    const run = stepOf(d, 'a').outcome;
    const said = run.ok
      ? run.value.frames.flatMap((f) => f.messages).find((m) => m.data['wanted'] !== undefined)
      : null;
    expect(said?.data['wanted']).toBe(120);
    // Bust by the chart: 980 − 910.
    expect(stepOf(d, 'b').values['total']).toBe(70);
    expect(d.steps.every((s) => s.outcome.ok)).toBe(true);
    expect(d.worksheet.find((r) => r.key === 'shoulder')).toMatchObject({ from: 'typed', pattern: 126 });
    expect(d.worksheet.find((r) => r.key === 'shoulder')?.left).toBeCloseTo(0, 1);
  });

  it('asks for what paper and chart differ in, once each, and grades by the difference where there is no nest', () => {
    const asks = draft(jobOn(paper, [], BODY)).asks;
    expect(asks.map((a) => a.alteration)).toEqual([
      'grade-by-chart',
      'length-line',
      'shoulder-slash',
      'full-bust-side-dart',
    ]);
    // Waist 740 − 711 and hip 990 − 965: ease stands on both sides.
    expect(asks[0]?.fit.values).toMatchObject({ waist: 29, hip: 25 });
    expect(asks[1]?.fit.values['by']).toBe(-11);
  });

  it('lets a later step see what an earlier one did to the paper', () => {
    const one = draft(jobOn(paper, [step('a', 'length-line', { by: -6 })], BODY));
    // 406 − 6 = 400 on the paper by then; 395 on the body: 5 are left.
    expect(one.worksheet.find((r) => r.key === 'napeToWaist')?.left).toBeCloseTo(-5, 0);
  });

  it('counts what was typed, to the bit, whatever the draft like it makes of it, and nothing no step was asked for', () => {
    const like = { ...paper, like: 'causeway-shirt' as const };
    // 980 on the body, 910 on the chart; a loose shirt's own line would come out a tenth of a millimetre off.
    const d = draft(jobOn(like, [step('a', 'full-bust-no-dart', { total: 70 })], BODY));
    expect(stepOf(d, 'a').outcome.ok).toBe(true);
    const row = (key: MeasurementKey) => d.worksheet.find((r) => r.key === key);
    expect(row('fullBust')?.left).toBe(0);
    // The draft's waist grows with its bust; whether the paper's does, nobody has measured.
    expect(row('waist')).toMatchObject({ difference: 29, left: 29 });
    expect(row('waist')?.after).toBe(row('waist')?.pattern);
  });

  it('still refuses a size that only lacks its pieces', () => {
    const gap = { ...dress, sizes: { '3': dress.sizes['3'] ?? [] } };
    expect(draft(jobOn(gap, [], BODY)).refusal?.code).toBe('size-has-no-pieces');
  });
});

describe('usual alterations', () => {
  const first = draft(
    jobOn(
      dress,
      [
        step('a', 'shoulder-slash'),
        step('b', 'full-bust-side-dart'),
        step('c', 'side-add', { by: 12 }),
        step('d', 'cap-follows'),
      ],
      BODY,
    ),
  );
  const lesson = lessonOf(first, 'job-1', 'Causeway', '2026-03-01');

  it('keep what was carried out with its amounts and the body, not what only followed', () => {
    expect(lesson.steps.map((s) => s.alteration)).toEqual(['shoulder-slash', 'full-bust-side-dart', 'side-add']);
    expect(lesson.steps[2]?.values['by']).toBe(12);
    expect(lesson.body['fullBust']).toBe(980);
  });

  it('are proposed for another pattern as that pattern needs them', () => {
    const shirt = samplePattern('causeway-shirt', ['3', '4']);
    const usual = draft(jobOn(shirt, [], BODY, [lesson])).usual;
    const by = Object.fromEntries(usual.map((u) => [u.done, u]));
    // The shirt has no dart: the bust is altered as it suits the shirt, its amount worked out anew.
    expect(by['full-bust-side-dart']).toMatchObject({ alteration: 'full-bust-no-dart', values: {}, planned: false });
    expect(by['shoulder-slash']?.fit?.values['by']).toBeCloseTo(118 - 122, 0);
    // What no measurement tells is proposed as it was.
    expect(by['side-add']?.values['by']).toBe(12);
    expect(usual.every((u) => u.moved.length === 0)).toBe(true);
  });

  it('count how often, say where last, and caution when the body has changed', () => {
    const again: Lesson = {
      ...lesson,
      job: 'job-2',
      pattern: 'Skerry',
      date: '2026-06-01',
      body: { ...lesson.body, waist: 700 },
    };
    const usual = draft(jobOn(dress, [step('x', 'shoulder-redraw')], BODY, [lesson, again])).usual;
    const shoulder = usual.find((u) => u.done === 'shoulder-slash')!;
    expect(shoulder).toMatchObject({ times: 2, pattern: 'Skerry', planned: true });
    expect(shoulder.moved).toEqual([{ key: 'waist', before: 700, now: 740, by: 40 }]);
  });

  it('name what these pieces do not allow', () => {
    const raglan = samplePattern('ebb', ['4']);
    const u = draft(jobOn(raglan, [], BODY, [lesson])).usual.find((x) => x.done === 'shoulder-slash');
    expect(u?.alteration).toBeNull();
  });
});
