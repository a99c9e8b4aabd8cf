// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { DEMO } from '@ample/samples';
import { newestFirst } from '@ample/core/fitting/fit';
import type { Job, Wearer } from '@ample/core/documents';
import { setReading } from './body.ts';
import { db } from './db.ts';
import { editJob, history, openJob, saveNow, setValue, startAutosave, useJob, useSave } from './job.ts';
import { readJournals, writeJournal } from './journal.ts';
import { openLibrary, setDemo, useLibrary } from './library.ts';
import { knownText } from './persistence.ts';
import { followWindows } from './windows.ts';

const ID = 'marit-causeway';
let stop: (() => void)[] = [];
setDemo(DEMO);
beforeEach(async () => {
  localStorage.clear();
  await db.delete();
  await db.open();
  useJob.setState({ job: null, wearer: null });
  useSave.setState({ state: 'saved', at: null, trouble: null, notice: null });
  await openLibrary();
  openJob(ID);
  stop = [startAutosave(), followWindows()];
});
afterEach(() => stop.forEach((s) => s()));

/** What another window does: writes, and says so. */
async function elsewhere(change: {
  readonly job?: (j: Job) => Job;
  readonly wearer?: (w: Wearer) => Wearer;
}): Promise<void> {
  await db.transaction('rw', [db.jobs, db.wearers, db.touched], async () => {
    if (change.job) await db.jobs.put(change.job((await db.jobs.get(ID))!));
    if (change.wearer) await db.wearers.put(change.wearer((await db.wearers.get('marit'))!));
    await db.touched.bulkPut(
      [...(change.job ? [`job:${ID}`] : []), ...(change.wearer ? ['wearer:marit'] : [])].map((key) => ({
        key,
        tab: 'other',
        at: Date.now(),
      })),
    );
  });
}
async function until(holds: () => boolean): Promise<void> {
  for (let i = 0; i < 200 && !holds(); i++) await new Promise((r) => setTimeout(r, 10));
  expect(holds()).toBe(true);
}
const set = () => newestFirst(useJob.getState().wearer!.sets)[0]!;

describe('two windows', () => {
  it('show each other’s changes at once, on the rail and in the open job', async () => {
    await elsewhere({ job: (j) => ({ ...j, fabric: 'Rust linen' }) });
    await until(() => useJob.getState().job?.fabric === 'Rust linen');
    expect(useLibrary.getState().jobs.find((j) => j.id === ID)?.fabric).toBe('Rust linen');
    expect(useSave.getState().notice).toMatchObject({ code: 'window-adopted' });
    // Undo cannot take back the other's work.
    expect(history().pastStates).toEqual([]);
    // And taking it over is no change to be saved again.
    expect(useSave.getState().state).toBe('saved');
  });

  it('see a change of a window whose clock was set back, and two in the same moment', async () => {
    const told = async (fabric: string, at: number): Promise<void> => {
      await db.transaction('rw', [db.jobs, db.touched], async () => {
        await db.jobs.put({ ...(await db.jobs.get(ID))!, fabric });
        await db.touched.put({ key: `job:${ID}`, tab: 'other', at, write: fabric });
      });
      await until(() => useJob.getState().job?.fabric === fabric);
    };
    const now = Date.now();
    await told('first', now);
    await told('an hour back', now - 3_600_000);
    await told('the same moment', now - 3_600_000);
  });

  it('bring both changes together when one saves what it began before the other did', async () => {
    setValue('bust', 'total', 61);
    setReading(set().id, 'waist', 0, 701);
    await elsewhere({
      job: (j) => ({ ...j, notes: 'from the other window' }),
      wearer: (w) => ({ ...w, notes: 'also from there' }),
    });
    await saveNow();
    const [job, wearer] = [(await db.jobs.get(ID))!, (await db.wearers.get('marit'))!];
    expect(job.notes).toBe('from the other window');
    expect(job.steps[0]?.values['total']).toBe(61);
    expect(wearer.notes).toBe('also from there');
    expect(newestFirst(wearer.sets)[0]?.readings.waist?.[0]).toBe(701);
    expect(useJob.getState().job).toEqual(job);
    expect(useSave.getState()).toMatchObject({ state: 'saved', notice: { code: 'window-merged' } });
    expect(readJournals()).toEqual([]);
  });

  it('keep the other’s where both changed the same: the job as a version, measurements as a set', async () => {
    const id = set().id;
    setValue('bust', 'total', 61);
    setReading(id, 'hip', 0, 1001);
    await elsewhere({
      job: (j) => ({ ...j, steps: j.steps.map((s) => ({ ...s, values: { total: 33 } })) }),
      wearer: (w) => ({
        ...w,
        sets: w.sets.map((s) => (s.id === id ? { ...s, readings: { ...s.readings, hip: [999] } } : s)),
      }),
    });
    await saveNow();
    const [job, wearer] = [(await db.jobs.get(ID))!, (await db.wearers.get('marit'))!];
    expect(job.steps[0]?.values['total']).toBe(61);
    expect(job.versions.map((v) => v.steps[0]?.values['total'])).toEqual([33]);
    expect(wearer.sets.find((s) => s.id === id)?.readings.hip?.[0]).toBe(1001);
    expect(wearer.sets.filter((s) => s.readings.hip?.[0] === 999)).toHaveLength(1);
    expect(useSave.getState().notice).toMatchObject({ code: 'window-clash' });
  });

  it('keep the other’s words where both wrote in the same place, and lessons of both', async () => {
    editJob((j) => ({ ...j, fabric: 'Rust linen' }));
    useJob.setState((s) => ({ wearer: { ...s.wearer!, name: 'Marit Q.' } }));
    const lesson = (job: string) => ({ job, pattern: 'P', date: '2026-11-24', steps: [], body: {} });
    useJob.setState((s) => ({ wearer: { ...s.wearer!, learnt: [lesson('mine')] } }));
    await elsewhere({
      job: (j) => ({ ...j, fabric: 'Slate wool' }),
      wearer: (w) => ({ ...w, name: 'M. Quell', learnt: [lesson('theirs')] }),
    });
    await saveNow();
    const [job, wearer] = [(await db.jobs.get(ID))!, (await db.wearers.get('marit'))!];
    expect(job.fabric).toBe('Rust linen');
    expect(job.notes).toMatch(/^From the other window, \d\d:\d\d, fabric: Slate wool$/);
    // Nothing of the plan clashed: no version is made of it.
    expect(job.versions).toEqual([]);
    expect(wearer.name).toBe('Marit Q.');
    expect(wearer.notes).toMatch(/From the other window, \d\d:\d\d, name: M\. Quell$/);
    expect(wearer.learnt.map((l) => l.job).sort()).toEqual(['mine', 'theirs']);
  });

  it('do not bring back what the other took away unless asked to', async () => {
    await db.transaction('rw', [db.jobs, db.touched], async () => {
      await db.jobs.delete(ID);
      await db.touched.put({ key: `job:${ID}`, tab: 'other', at: Date.now() });
    });
    await until(() => useSave.getState().trouble?.code === 'document-gone');
    expect(useLibrary.getState().jobs.some((j) => j.id === ID)).toBe(false);
    editJob((j) => ({ ...j, notes: 'still here' }));
    await saveNow();
    expect(await db.jobs.get(ID)).toBeUndefined();
    await saveNow(true);
    expect((await db.jobs.get(ID))?.notes).toBe('still here');
    expect(useSave.getState().state).toBe('saved');
  });

  it('take a journal over together with what was written after it', async () => {
    const { job, wearer } = useJob.getState();
    const bases = { job: knownText('job', ID), wearer: knownText('wearer', 'marit') };
    writeJournal({ job: { ...job!, fabric: 'typed as the window closed' }, wearer: wearer! }, bases);
    await elsewhere({ job: (j) => ({ ...j, notes: 'written later' }) });
    await openLibrary();
    expect(await db.jobs.get(ID)).toMatchObject({ fabric: 'typed as the window closed', notes: 'written later' });
    expect(readJournals()).toEqual([]);
  });
});
