import { describe, expect, it } from 'vitest';
import { draftSample, samplePattern, type SampleId } from '../../blocks/index.ts';
import { stepSchema, type Step } from '../../documents/schema.ts';
import { flatOf, propose } from '../../alterations/index.ts';
import { draft, waysOn, type Draft } from './index.ts';

const wearer = { sets: [], bustEase: null };
const draftOf = (id: SampleId, steps: readonly Step[]): Draft =>
  draft({ job: { size: '4', sizeMethod: 'highBust', steps: [...steps] }, wearer, pattern: samplePattern(id, ['4']) });
const bust = (id: SampleId, total: number): Step => {
  const best = propose(draftSample(id, '4'), 'bust')[0]!;
  const whose = best.id.includes('princess') ? {} : { whose: 'pattern' };
  return stepSchema.parse({
    id: 'bust',
    alteration: best.id,
    revision: best.revision,
    values: { total, ...whose },
  });
};

describe('past 38 mm a half on one dart', () => {
  it('offers nothing before, and nothing on panels, which take any amount', () => {
    expect(waysOn(draftOf('causeway', [bust('causeway', 76)]).steps[0]!)).toEqual([]);
    expect(waysOn(draftOf('skerry-armhole', [bust('skerry-armhole', 90)]).steps[0]!)).toEqual([]);
  });

  it.each(['causeway', 'causeway-side', 'causeway-waist', 'causeway-french', 'causeway-shirt', 'ebb'] as const)(
    'on %s every way that is offered can be carried out whole',
    (id) => {
      const first = draftOf(id, [bust(id, 84)]).steps[0]!;
      const ways = waysOn(first);
      expect(ways.map((w) => w.code)).toEqual(['split', 'cutAway', 'twoSteps', 'princess']);
      for (const way of ways) {
        if (!way.steps) continue;
        const done = draftOf(id, way.steps);
        expect(
          done.steps.map((s) => (s.outcome.ok ? 'ok' : s.outcome.error.code)),
          `${id} ${way.code}`,
        ).toEqual(way.steps.map(() => 'ok'));
        expect(
          done.check.findings.filter((f) => f.grade === 'fault'),
          `${id} ${way.code}`,
        ).toEqual([]);
      }
    },
  );

  it('offers nothing where no dart takes it: let down to the hem the front needs no way on', () => {
    const hem = bust('causeway-shirt', 84);
    const done = draftOf('causeway-shirt', [{ ...hem, values: { ...hem.values, ending: 'hem', waistWidth: 'keep' } }]);
    const run = done.steps[0]!.outcome;
    if (!run.ok) throw new Error(run.error.code);
    expect(run.value.findings.map((f) => f.code)).not.toContain('large-spread');
    expect(waysOn(done.steps[0]!)).toEqual([]);
  });

  it('two steps come to the same amount, and both darts of a split are narrower than the one', () => {
    const first = draftOf('causeway-side', [bust('causeway-side', 84)]).steps[0]!;
    const ways = waysOn(first);
    const two = ways.find((w) => w.code === 'twoSteps')!.steps!;
    expect(two.reduce((n, s) => n + Number(s.values['total']), 0)).toBe(84);
    const one = first.outcome.ok ? first.outcome.value.changes[0]!.darts[0]!.intake : 0;
    const split = draftOf('causeway-side', ways.find((w) => w.code === 'split')!.steps!).pieces[0]!;
    expect(split.darts).toHaveLength(2);
    const last = draftOf('causeway-side', ways.find((w) => w.code === 'split')!.steps!).steps[1]!;
    if (!last.outcome.ok) throw new Error('expected the split to run');
    for (const d of last.outcome.value.changes[0]!.darts) expect(d.intake).toBeLessThan(one * 0.7);
  });
});

describe('the knit factor', () => {
  it('takes the share asked for instead of the usual half', () => {
    const pattern = samplePattern('ebb', ['4']);
    const body = {
      sets: [{ id: 's', date: '2026-10-24', readings: { highBust: [870], fullBust: [970] }, notes: '' }],
      bustEase: null,
    };
    const total = (knitFactor: number | null) => {
      const step = stepSchema.parse({
        id: 'b',
        alteration: 'full-bust-raglan',
        revision: 1,
        knitFactor,
        values: { whose: 'pattern' },
      });
      const [done] = draft({ job: { size: '4', sizeMethod: 'highBust', steps: [step] }, wearer: body, pattern }).steps;
      return Number(done?.values['total']);
    };
    // 970 on the body, 920 on the chart: what is drafted smaller than the body is not counted a second time.
    expect(total(1)).toBeCloseTo(50, 6);
    expect(total(null)).toBeCloseTo(25, 6);
    expect(total(0.5)).toBeCloseTo(total(1) / 2, 9);
  });
});

describe('a bust smaller than the dart can give up', () => {
  it.each(['causeway', 'causeway-side', 'causeway-french', 'causeway-shoulder'] as const)(
    'closes the dart on %s and takes the rest elsewhere: every way that is offered is carried out',
    (id) => {
      const first = draftOf(id, [bust(id, -44)]).steps[0]!;
      expect(first.outcome.ok).toBe(false);
      const ways = waysOn(first);
      expect(ways.map((w) => w.code)).toEqual(['restWaist', 'restSide', 'restEase']);
      const grown = (steps: readonly Step[]): number => {
        const d = draftOf(id, steps);
        expect(d.steps.map((s) => (s.outcome.ok ? 'ok' : s.outcome.error.code))).toEqual(steps.map(() => 'ok'));
        const was = flatOf({ pieces: d.original, seams: samplePattern(id, ['4']).seams }, 'fullBust')!.value;
        return flatOf(d.sides.left, 'fullBust')!.value - was;
      };
      const by = (code: string) => ways.find((w) => w.code === code)!.steps;
      expect(grown(by('restSide')!)).toBeGreaterThan(-46);
      expect(grown(by('restSide')!)).toBeLessThan(-40);
      expect(grown(by('restEase')!)).toBeGreaterThan(-26);
      if (by('restWaist')) expect(Math.abs(grown(by('restWaist')!) + 44)).toBeLessThan(4);
    },
  );

  it('laps a small rest into the waist dart, and comes to what was asked', () => {
    const first = draftOf('causeway', [bust('causeway', -32)]).steps[0]!;
    const steps = waysOn(first).find((w) => w.code === 'restWaist')!.steps!;
    const d = draftOf('causeway', steps);
    expect(d.steps.map((s) => (s.outcome.ok ? 'ok' : s.outcome.error.code))).toEqual(['ok', 'ok', 'ok']);
    const bustOf = (pieces: Draft['original']) => flatOf({ pieces, seams: d.seams }, 'fullBust')!.value;
    expect(Math.abs(bustOf(d.sides.left.pieces) - bustOf(d.original) + 32)).toBeLessThan(4);
    expect(d.check.findings.filter((f) => f.grade === 'fault')).toEqual([]);
  });

  it('offers nothing while the dart has room', () => {
    expect(waysOn(draftOf('causeway', [bust('causeway', -16)]).steps[0]!)).toEqual([]);
  });
});
