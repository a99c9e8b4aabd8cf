import { describe, expect, it } from 'vitest';
import { flatOf } from '../../alterations/index.ts';
import { samplePattern } from '../../blocks/index.ts';
import { checkSets, rightFrom } from '../fit/index.ts';
import { wearerWith, type Readings } from '../../testing/wearers.ts';
import { askedSteps, draft, type ResolvedJob } from './index.ts';

const pattern = samplePattern('causeway', ['4']);
const row = pattern.chart.find((r) => r.size === '4')!.body as Readings;
/** The slope the front of the draft has, mm; the chart does not give one. */
const DRAFTED = 39;

/** A body of the chart, and what was taken on its right as well. */
function job(left: Readings, right: Readings): ResolvedJob {
  const wearer = wearerWith({ ...row, ...left }, right);
  return { job: { size: '4', sizeMethod: 'highBust', steps: [] }, wearer, pattern };
}
const asked = (of: ResolvedJob) =>
  draft(of).asks.map((a) => [a.alteration, a.side, Math.round(Number(a.fit.values['by']))]);
const carriedOut = (of: ResolvedJob) => draft({ ...of, job: { ...of.job, steps: [...askedSteps(of)] } });

describe('a body that differs on its right', () => {
  it('is asked for nothing where both sides fit, or were taken alike', () => {
    expect(asked(job({}, {}))).toEqual([]);
    expect(asked(job({ shoulderSlope: DRAFTED }, { shoulderSlope: DRAFTED }))).toEqual([]);
    expect(rightFrom(job({ shoulder: 122 }, { shoulder: 122 }).wearer.sets)).toBeNull();
  });

  it('is asked for a step on the side that needs it, in its own amount', () => {
    const low = job({ shoulderSlope: DRAFTED }, { shoulderSlope: DRAFTED + 15 });
    expect(asked(low)).toEqual([['shoulder-slope', 'right', 15]]);
    const both = job({ shoulderSlope: DRAFTED + 10 }, { shoulderSlope: DRAFTED + 20 });
    expect(asked(both)).toEqual([
      ['shoulder-slope', 'left', 10],
      ['shoulder-slope', 'right', 20],
    ]);
    // The same on both sides is one step for both.
    expect(asked(job({ shoulderSlope: 54, shoulder: 122 }, { shoulderSlope: 54, shoulder: 122 }))).toEqual([
      ['shoulder-slope', 'both', 15],
    ]);
  });

  it('has each side altered by its own tape, and is asked for nothing more then', () => {
    const of = job({ shoulderSlope: DRAFTED + 10 }, { shoulderSlope: DRAFTED + 20, shoulder: 112 });
    const done = carriedOut(of);
    expect(done.steps.every((s) => s.outcome.ok)).toBe(true);
    const slope = (side: 'left' | 'right') => flatOf(done.sides[side], 'shoulderSlope')?.value ?? NaN;
    expect(slope('left')).toBeCloseTo(DRAFTED + 10, 0);
    expect(slope('right')).toBeCloseTo(DRAFTED + 20, 0);
    expect(flatOf(done.sides.left, 'shoulder')?.value).toBeCloseTo(122, 0);
    expect(flatOf(done.sides.right, 'shoulder')?.value).toBeCloseTo(112, 0);
    expect(done.asks).toEqual([]);
    for (const r of done.onRight) expect(Math.abs(r.left ?? NaN)).toBeLessThan(1);
    expect(done.onRight.map((r) => r.key).sort()).toEqual(['shoulder', 'shoulderSlope']);
  });

  it('goes by the newest set: a side taken alike again is alike', () => {
    const { sets } = job({ shoulderSlope: 40 }, { shoulderSlope: 55 }).wearer;
    const again = { ...sets[0]!, id: 't', date: '2026-11-01', right: {} };
    expect(rightFrom(sets)?.shoulderSlope).toBe(55);
    expect(rightFrom([...sets, again])).toBeNull();
    // A set without the measurement leaves the older one.
    expect(rightFrom([...sets, { ...again, readings: {} }])?.shoulderSlope).toBe(55);
  });

  it('is asked about where the right is unlikely, or far from the left', () => {
    const problems = (left: number, right: number) =>
      checkSets(job({ shoulderSlope: left }, { shoulderSlope: right }).wearer.sets).map((p) => [p.code, p.right]);
    expect(problems(39, 54)).toEqual([]);
    expect(problems(30, 62)).toEqual([['sides-far-apart', undefined]]);
    expect(problems(39, -4)).toEqual([['measure-not-positive', true]]);
  });
});
