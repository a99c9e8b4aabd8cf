// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { newestFirst } from '@ample/core/fitting/fit';
import { DEMO, DEMO_JOBS, DEMO_WEARERS } from '@ample/samples';
import { addSet, removeSet, setReading as readInto, setRemark } from './body.ts';
import { readJournals, writeJournal } from './journal.ts';
import { beginGesture, closeJob, history, openJob, saveNow, setValue, startAutosave, useJob, useSave } from './job.ts';
import { db } from './db.ts';
import { bringDemoBack, clearDemo, forgetDamaged, openLibrary, setDemo, startOwn, useLibrary } from './library.ts';

const ID = 'marit-causeway';
const NO_BASES = { job: undefined, wearer: undefined };
/** A reading of the newest set. */
const setReading = (...[key, index, value]: DropFirst<Parameters<typeof readInto>>) =>
  readInto(newestFirst(useJob.getState().wearer!.sets)[0]!.id, key, index, value);
type DropFirst<T extends readonly unknown[]> = T extends readonly [unknown, ...infer R] ? R : never;
const step = () => useJob.getState().job!.steps[0]!;
setDemo(DEMO);
beforeEach(async () => {
  localStorage.clear();
  await db.delete();
  await db.open();
  history().clear();
  useJob.setState({ job: null, wearer: null });
  await openLibrary();
  openJob(ID);
});

describe('the library', () => {
  it('opens an empty browser with the demo on the rail, once', async () => {
    expect(
      useLibrary
        .getState()
        .jobs.map((j) => j.id)
        .sort(),
    ).toEqual(DEMO_JOBS.map((j) => j.id).sort());
    await clearDemo();
    await openLibrary();
    expect(useLibrary.getState().jobs).toEqual([]);
    await bringDemoBack();
    expect(useLibrary.getState().jobs).toHaveLength(DEMO_JOBS.length);
  });

  it('keeps what is one’s own when the demo is cleared', async () => {
    const id = await startOwn('Nele', 'Blouse', '2026-11-23', 'causeway');
    await clearDemo();
    await openLibrary();
    expect(useLibrary.getState().jobs.map((j) => j.id)).toEqual([id]);
    expect(useLibrary.getState().wearers.map((w) => w.name)).toEqual(['Nele']);
    expect(useLibrary.getState().patterns).toHaveLength(0);
  });

  it('sets a damaged document aside whole, and goes on with the rest', async () => {
    const broken = { ...DEMO_JOBS[1]!, steps: 'eaten by moths' };
    await db.jobs.put(broken as never);
    await openLibrary();
    const { jobs, damaged } = useLibrary.getState();
    expect(jobs.map((j) => j.id)).not.toContain(broken.id);
    expect(jobs).toHaveLength(DEMO_JOBS.length - 1);
    expect(damaged[0]).toMatchObject({ kind: 'job', key: broken.id, raw: broken });
    await forgetDamaged(damaged[0]!.id);
    expect(await db.damaged.count()).toBe(0);
  });

  it('still opens when the browser gives no storage, and says so', async () => {
    const failing = vi.spyOn(db.meta, 'get').mockRejectedValue(new Error('no storage here'));
    await openLibrary();
    failing.mockRestore();
    expect(useLibrary.getState().trouble).toMatchObject({ code: 'storage-failed' });
    expect(useLibrary.getState().jobs).toHaveLength(DEMO_JOBS.length);
  });
});

describe('a full disk when the browser opens', () => {
  const full = () =>
    Promise.reject(Object.assign(new Error('The quota has been exceeded.'), { name: 'QuotaExceededError' }));

  it('hides none of one’s own jobs: the last change is shown from the journal, and kept there', async () => {
    const id = await startOwn('Nele', 'Blouse', '2026-11-23', 'causeway');
    openJob(id);
    setReading('waist', 0, 713);
    writeJournal({ job: useJob.getState().job!, wearer: useJob.getState().wearer! }, NO_BASES);
    const put = vi.spyOn(db.jobs, 'put').mockImplementation(full as never);
    await openLibrary();
    put.mockRestore();
    const { jobs, wearers, trouble } = useLibrary.getState();
    expect(jobs.map((j) => j.id)).toContain(id);
    expect(wearers.find((w) => w.name === 'Nele')?.sets[0]?.readings.waist).toEqual([713]);
    expect(trouble).toMatchObject({ code: 'storage-full' });
    expect(readJournals()[0]?.job.id).toBe(id);
  });

  it('shows a damaged document that cannot be set aside, and leaves it where it is', async () => {
    await db.jobs.put({ ...DEMO_JOBS[1]!, steps: 'moths' } as never);
    const add = vi.spyOn(db.damaged, 'add').mockImplementation(full as never);
    await openLibrary();
    add.mockRestore();
    expect(useLibrary.getState().damaged[0]).toMatchObject({ key: DEMO_JOBS[1]!.id });
    expect(useLibrary.getState().jobs).toHaveLength(DEMO_JOBS.length - 1);
    expect(await db.jobs.get(DEMO_JOBS[1]!.id)).toMatchObject({ steps: 'moths' });
  });
});

describe('editing', () => {
  it('undo returns to the exact document, redo to the exact change', () => {
    const before = useJob.getState().job;
    setValue('bust', 'total', 60);
    const after = useJob.getState().job;
    setValue('bust', 'setback', 33);
    history().undo();
    expect(useJob.getState().job).toBe(after);
    history().undo();
    expect(useJob.getState().job).toBe(before);
    history().redo();
    expect(useJob.getState().job).toBe(after);
  });

  it('undoes a whole drag as one, and Escape leaves no trace', () => {
    const before = useJob.getState().job;
    const drag = beginGesture();
    for (const total of [50, 55, 60, 65]) setValue('bust', 'total', total);
    drag.end();
    expect(step().values['total']).toBe(65);
    expect(history().pastStates).toHaveLength(1);
    history().undo();
    expect(useJob.getState().job).toBe(before);
    const dropped = beginGesture();
    setValue('bust', 'total', 99);
    dropped.cancel();
    expect(useJob.getState().job).toBe(before);
    expect(history().pastStates).toHaveLength(0);
  });

  it('changes one reading of the newest set and leaves the older set alone', () => {
    const older = useJob.getState().wearer!.sets[0];
    setReading('fullBust', 1, 975);
    setReading('waist', 1, null);
    const { sets } = useJob.getState().wearer!;
    expect(sets[1]!.readings.fullBust).toEqual([967, 975]);
    expect(sets[1]!.readings.waist).toEqual([752]);
    expect(sets[0]).toBe(older);
    setReading('waist', 0, null);
    expect(useJob.getState().wearer!.sets[1]!.readings).not.toHaveProperty('waist');
  });

  it('copies the last set to take some of it again: what is not taken is told apart, the old set stays', () => {
    const before = newestFirst(useJob.getState().wearer!.sets)[0]!;
    const id = addSet('2026-11-23', true);
    const copy = () => useJob.getState().wearer!.sets.find((s) => s.id === id)!;
    expect(copy().readings).toEqual(before.readings);
    expect(copy().carried).toContain('waist');
    // Two old readings give way to the first new one.
    readInto(id, 'waist', 0, 760);
    expect(copy().readings.waist).toEqual([760]);
    expect(copy().carried).not.toContain('waist');
    expect(copy().carried).toContain('hip');
    setRemark(id, 'waist', ' after lunch ');
    expect(copy().remarks).toEqual({ waist: 'after lunch' });
    setRemark(id, 'waist', '');
    expect(copy().remarks).toEqual({});
    expect(useJob.getState().wearer!.sets).toContain(before);
    removeSet(id);
    expect(newestFirst(useJob.getState().wearer!.sets)[0]).toBe(before);
  });
});

describe('saving', () => {
  it('keeps every change in the journal at once, in the database soon, and both agree', async () => {
    const stop = startAutosave();
    setValue('bust', 'total', 61);
    expect(readJournals()[0]?.job.steps[0]?.values['total']).toBe(61);
    await saveNow();
    stop();
    expect(readJournals()).toEqual([]);
    expect((await db.jobs.get(ID))?.steps[0]?.values['total']).toBe(61);
    expect(useSave.getState()).toMatchObject({ state: 'saved', trouble: null });
  });

  it('a tab that closed before the database was written loses nothing', async () => {
    setValue('bust', 'total', 62);
    writeJournal({ job: useJob.getState().job!, wearer: useJob.getState().wearer! }, NO_BASES);
    await openLibrary();
    expect(useLibrary.getState().jobs.find((j) => j.id === ID)?.steps[0]?.values['total']).toBe(62);
    expect(readJournals()).toEqual([]);
  });

  it('a change made just before leaving the job is there when it is opened again, and in the database', async () => {
    const stop = startAutosave();
    setValue('bust', 'total', 64);
    closeJob();
    expect(useJob.getState().job).toBeNull();
    openJob(ID);
    expect(step().values['total']).toBe(64);
    setValue('bust', 'total', 65);
    openJob('tove-causeway');
    await saveNow();
    stop();
    expect((await db.jobs.get(ID))?.steps[0]?.values['total']).toBe(65);
  });

  it('a torn journal is left alone', () => {
    writeJournal({ job: useJob.getState().job!, wearer: useJob.getState().wearer! }, NO_BASES);
    localStorage.setItem('ample-draft.journal.torn', '{"job": {');
    expect(readJournals().map((j) => j.job.id)).toEqual([ID]);
    expect(localStorage.getItem('ample-draft.journal.torn')).not.toBeNull();
  });

  it('a full disk is said plainly; the work stays open and saves once there is room', async () => {
    setValue('bust', 'total', 63);
    const full = vi
      .spyOn(db.jobs, 'put')
      .mockRejectedValue(Object.assign(new Error('The quota has been exceeded.'), { name: 'QuotaExceededError' }));
    await saveNow();
    expect(useSave.getState()).toMatchObject({ state: 'failed', trouble: { code: 'storage-full' } });
    expect(step().values['total']).toBe(63);
    full.mockRestore();
    await saveNow();
    expect(useSave.getState().state).toBe('saved');
    expect(DEMO_WEARERS).toHaveLength(6);
  });
});
