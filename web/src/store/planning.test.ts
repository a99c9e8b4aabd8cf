// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { DEMO } from '@ample/samples';
import { draft, isTyped } from '@ample/core/fitting/plan';
import { setEase, setFlat } from './compare.ts';
import { resolvedJob } from './draftWorker.ts';
import { history, openJob, saveNow, useJob } from './job.ts';
import { finishJob, reopenJob } from './history.ts';
import { db } from './db.ts';
import { openLibrary, setDemo, startOwn, useLibrary } from './library.ts';
import { copyPattern, editPattern, isOwn, paperPattern, patternOf } from './patterns.ts';
import { addStep, addSteps, dropStep, takeAmounts } from './plan.ts';

const asked = (...alterations: readonly string[]) =>
  alterations.map((alteration) => ({ alteration, side: 'both' as const }));
const plan = () => useJob.getState().job!.steps.map((s) => s.alteration);
const pattern = () => patternOf(useJob.getState().job, useLibrary.getState().patterns)!;
setDemo(DEMO);
beforeEach(async () => {
  localStorage.clear();
  await db.delete();
  await db.open();
  history().clear();
  useJob.setState({ job: null, wearer: null });
  await openLibrary();
  openJob('marit-causeway');
});

describe('the plan', () => {
  it('takes several alterations at once, each in its place, and is one change to undo', () => {
    addSteps(asked('hip-slash', 'shoulder-slash', 'length-line'));
    expect(plan()).toEqual(['length-line', 'shoulder-slash', 'full-bust-side-dart', 'hip-slash']);
    history().undo();
    expect(plan()).toEqual(['full-bust-side-dart']);
  });

  it('lets a slip be slid up and down, and stays as it is when dropped nowhere', () => {
    addSteps(asked('hip-slash', 'shoulder-slash'));
    const id = (n: number) => useJob.getState().job!.steps[n]!.id;
    dropStep(id(2), id(0));
    expect(plan()).toEqual(['hip-slash', 'shoulder-slash', 'full-bust-side-dart']);
    dropStep(id(0), id(1));
    expect(plan()).toEqual(['shoulder-slash', 'hip-slash', 'full-bust-side-dart']);
    const before = useJob.getState().job;
    dropStep(id(0), 'gone');
    dropStep(id(1), id(1));
    expect(useJob.getState().job).toBe(before);
  });

  it('takes amounts that were found as one’s own, together', () => {
    addStep('grade-by-chart');
    const [grade, bust] = useJob.getState().job!.steps;
    takeAmounts([
      { step: grade!.id, key: 'waist', to: 11.3 },
      { step: grade!.id, key: 'hip', to: 24 },
      { step: bust!.id, key: 'total', to: 41.7 },
    ]);
    const [g, b] = useJob.getState().job!.steps;
    expect(g).toMatchObject({ values: { waist: 11.3, hip: 24 } });
    expect(b).toMatchObject({ values: { total: 41.7 } });
    history().undo();
    expect(useJob.getState().job!.steps.some(isTyped)).toBe(false);
  });
});

describe('ease and paper', () => {
  it('keeps an ease for the wearer by kind of garment, and gives the usual back', () => {
    setEase('fittedWoven', 'waist', 20);
    setEase('fittedWoven', 'hip', 60);
    setEase('knit', 'waist', -20);
    expect(useJob.getState().wearer!.eases).toEqual({ fittedWoven: { waist: 20, hip: 60 }, knit: { waist: -20 } });
    expect(draft(resolvedJob()!).ease).toMatchObject({ waist: 20, hip: 60 });
    setEase('fittedWoven', 'waist', null);
    // Causeway’s own: 770 on the pieces for a body of 740.
    expect(draft(resolvedJob()!).ease.waist).toBeCloseTo(30, 0);
  });

  it('never changes a sample: it becomes one’s own first, with a new id, and goes into the drawer', async () => {
    const sample = pattern();
    editPattern((p) => ({ ...p, name: 'Changed' }));
    expect(pattern()).toBe(sample);
    copyPattern();
    expect(isOwn(pattern())).toBe(true);
    editPattern((p) => ({ ...p, draftCup: 25 }));
    expect(pattern()).toMatchObject({ draftCup: 25, name: 'Causeway, my own' });
    await saveNow();
    expect(useLibrary.getState().patterns.map((p) => p.draftCup)).toEqual([25]);
    expect(await db.patterns.count()).toBe(1);
    history().undo();
    history().undo();
    expect(pattern()).toBe(sample);
  });

  it('starts a pattern of paper and keeps what was measured on it, size by size', async () => {
    openJob(await startOwn('Nele', 'Blouse', '2026-11-23', paperPattern('Envelope')));
    setFlat('1', 'waist', 740);
    setFlat('1', 'shoulder', 121);
    setFlat('2', 'waist', 780);
    setFlat('1', 'shoulder', null);
    expect(pattern().flat).toEqual({ '1': { waist: 740 }, '2': { waist: 780 } });
    await saveNow();
    await openLibrary();
    expect(useLibrary.getState().patterns.map((p) => p.name)).toEqual(['Envelope']);
  });
});

describe('a finished garment', () => {
  const finish = () => finishJob(draft(resolvedJob()!), pattern().name, '2026-11-23');
  it('teaches the wearer once, however often it is finished, and takes it back', () => {
    finish();
    finish();
    const { job, wearer } = useJob.getState();
    expect(job!.finished).toBe('2026-11-23');
    expect(wearer!.learnt).toHaveLength(1);
    expect(wearer!.learnt[0]).toMatchObject({ pattern: 'Causeway', steps: [{ alteration: 'full-bust-side-dart' }] });
    expect(draft(resolvedJob()!).usual).toMatchObject([{ done: 'full-bust-side-dart', planned: true, times: 1 }]);
    reopenJob();
    expect(useJob.getState().job!.finished).toBeNull();
    expect(useJob.getState().wearer!.learnt).toEqual([]);
  });
});
