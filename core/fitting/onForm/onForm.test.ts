import { describe, expect, it } from 'vitest';
import { flatOf } from '../../alterations/index.ts';
import { samplePattern } from '../../blocks/index.ts';
import { wearerWith, type Readings } from '../../testing/wearers.ts';
import { figureUnder, shownOf, type ReadingId } from '../../drape/index.ts';
import { expectOk, telling, toEnd } from '../../units/index.ts';
import { planStep, type ResolvedJob, type Side } from '../plan/index.ts';
import { moreOf, onForm, toSee, type Before, type Stage } from './index.ts';

const pattern = samplePattern('causeway', ['4']);
const row = pattern.chart.find((r) => r.size === '4')!.body as Readings;
const job = (body: Readings, alterations: readonly string[] = [], last = {}): ResolvedJob => ({
  job: { size: '4', sizeMethod: 'highBust', steps: alterations.map((a, i) => planStep(`s${i}`, a, i > 0 ? last : {})) },
  wearer: wearerWith(body),
  pattern,
});

/** The whole of the work, and which stages took steps. */
function hung(of: ResolvedJob, before: Before | null = null) {
  const work = onForm(expectOk(toSee(of), 'job'), 'calico', 'coarse', before);
  const stages = new Set<Stage>();
  const done = toEnd(telling(work, (part) => ('share' in part ? stages.add(part.stage) : null)));
  return { ...expectOk(done, 'hung'), stages: [...stages] };
}

describe('a job on the form', () => {
  it('is hung as drafted, as planned and on the chart’s body; after a change only the plan is hung again', () => {
    const fuller = { ...row, fullBust: 970 };
    const first = hung(job(fuller, ['full-bust-side-dart']));
    expect(first.stages).toEqual(['drafted', 'planned', 'chart']);
    const pull = (seen: typeof first.seen.drafted) => seen.readings.find((r) => r.id === 'pull-bust')!.off;
    expect(pull(first.seen.planned)).toBeLessThan(0.4 * pull(first.seen.drafted));
    const again = hung(job(fuller, ['full-bust-side-dart', 'shoulder-slash'], { by: -9 }), first.kept);
    expect(again.stages).toEqual(['planned']);
    expect(again.seen.drafted.readings).toEqual(first.seen.drafted.readings);
    // Without a step the plan is the draft itself.
    const bare = hung(job(fuller), first.kept);
    expect(bare.stages).toEqual([]);
    expect(bare.seen.planned).toEqual(bare.seen.drafted);
  });

  it('tells what each step does, and how much no tape tells matters', () => {
    const of = job({ ...row, fullBust: 970, hip: 960 }, ['full-bust-side-dart', 'hip-slash']);
    const { seen, kept } = hung(of);
    const { without, plusMinus } = toEnd(moreOf(of, kept));
    expect(without.map((w) => w.alteration)).toEqual(['full-bust-side-dart', 'hip-slash']);
    const value = (readings: typeof seen.planned.readings, id: ReadingId) => readings.find((r) => r.id === id)!.value;
    const by = (step: number, id: ReadingId) => value(seen.planned.readings, id) - value(without[step]!.readings, id);
    // The bust step lets the bust out and leaves the hip; the other takes the hip in and leaves the bust.
    expect(by(0, 'ease-bust')).toBeGreaterThan(25);
    expect(Math.abs(by(0, 'ease-hip'))).toBeLessThan(8);
    expect(by(1, 'ease-hip')).toBeLessThan(-15);
    expect(Math.abs(by(1, 'ease-bust'))).toBeLessThan(5);
    // Girths are told by the tape; where the neckline lies is not.
    expect(plusMinus['ease-bust']).toBeLessThan(10);
    expect(plusMinus['neck-rise-back']).toBeGreaterThan(2);
  });

  it('puts the pieces of each side on where a step is for one, and reads the one that is asked for', () => {
    const one = job(row, ['full-bust-side-dart', 'shoulder-slash'], { by: -9 });
    const steps = one.job.steps.map((s, i) => (i > 0 ? { ...s, side: 'right' as const } : s));
    const seen = (side: Side) => expectOk(toSee({ ...one, job: { ...one.job, steps } }, side), side);
    const shoulder = (side: Side) => flatOf(seen(side).planned![side], 'shoulder')?.value ?? NaN;
    expect([seen('left').differ, seen('right').side]).toEqual([true, 'right']);
    expect(shoulder('left') - shoulder('right')).toBeCloseTo(9, 3);
  });

  it('hangs the two sides sewn together, each on its own half of the body, where the right differs', () => {
    const slope = 39;
    const uneven = (steps: ResolvedJob['job']['steps'] = []): ResolvedJob => ({
      ...job(row),
      wearer: wearerWith({ ...row, shoulderSlope: slope }, { shoulderSlope: slope + 25 }),
      job: { size: '4', sizeMethod: 'highBust', steps },
    });
    const low = planStep('low', 'shoulder-slope', {}, 'right');
    const neck = (side: Side, before: Before | null = null) => {
      const work = onForm(expectOk(toSee(uneven([low]), side), side), 'calico', 'coarse', before);
      const { seen, kept } = expectOk(toEnd(work), 'hung');
      const of = (s: typeof seen.drafted) => s.readings.find((r) => r.id === 'neck-rise-back')!.off;
      expect(seen.differ).toBe(true);
      expect(figureUnder(seen.planned.halves).right?.shoulderDrop).toBeCloseTo(slope + 25, 0);
      return { drafted: of(seen.drafted), planned: of(seen.planned), halves: seen.planned.halves, kept };
    };
    const left = neck('left');
    const right = neck('right', left.kept);
    // Sewn together they slide down together, less than two sloping sides would; the step for one side lifts them again.
    const even = hung(job({ ...row, shoulderSlope: slope })).seen.drafted.readings.find(
      (r) => r.id === 'neck-rise-back',
    )!;
    expect(right.drafted - even.off).toBeLessThan(-3);
    expect(right.drafted - even.off).toBeGreaterThan(-10);
    expect(right.drafted).toBeCloseTo(left.drafted, 6);
    expect(right.planned - right.drafted).toBeGreaterThan(3);
    expect(Math.abs(right.planned - even.off)).toBeLessThan(Math.abs(right.drafted - even.off));
    const shown = shownOf(left.halves);
    const n = left.halves.left.sheet.points + left.halves.right.sheet.points;
    expect([shown.mesh.positions.length, shown.pull.length, shown.standOff.length]).toEqual([3 * n, n, n]);
    expect(Math.max(...shown.mesh.triangles)).toBe(n - 1);
    expect(Math.max(...shown.seams)).toBeLessThan(n);
  });

  it('says what is missing', () => {
    const codeOf = (of: ResolvedJob): string => {
      const r = toSee(of);
      return r.ok ? 'ok' : r.error.code;
    };
    expect(codeOf(job({ highBust: 870 }))).toBe('form-no-body');
    expect(codeOf({ ...job(row), pattern: { ...pattern, sizes: {} } })).toBe('form-no-pieces');
    expect(codeOf(job(row))).toBe('ok');
  });
});
