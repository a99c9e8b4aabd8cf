// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { newestFirst } from '@ample/core/fitting/fit';
import type { MeasurementKey } from '@ample/core/pattern';
import { DEMO } from '@ample/samples';

/** A window of its own: all its stores are loaded afresh, over the one database. */
async function openWindow() {
  vi.resetModules();
  const [{ db }, jobs, library, body, windows] = await Promise.all([
    import('./db.ts'),
    import('./job.ts'),
    import('./library.ts'),
    import('./body.ts'),
    import('./windows.ts'),
  ]);
  return { db, ...jobs, ...library, ...body, ...windows };
}
type Window = Awaited<ReturnType<typeof openWindow>>;

const ID = 'marit-causeway';
const pause = (ms: number): Promise<void> => new Promise((r) => setTimeout(r, ms));
let stop: (() => void)[] = [];
let [first, second]: readonly [Window, Window] = [] as never;
beforeEach(async () => {
  localStorage.clear();
  first = await openWindow();
  await first.db.delete();
  second = await openWindow();
  for (const w of [first, second]) {
    await w.db.open();
    w.setDemo(DEMO);
    await w.openLibrary();
    w.openJob(ID);
    stop.push(w.startAutosave(), w.followWindows());
  }
});
afterEach(() => {
  stop.forEach((s) => s());
  stop = [];
});

const newest = (w: Window) => newestFirst(w.useJob.getState().wearer!.sets)[0]!;

describe('two windows that type into different fields', () => {
  it('end with both values, in the sets there were', async () => {
    const moments = fc.sample(fc.record({ saves: fc.boolean(), wait: fc.integer({ min: 0, max: 30 }) }), {
      seed: 18,
      numRuns: 60,
    });
    const { id } = newest(first);
    const before = first.useJob.getState().wearer!.sets.length;
    const last: Partial<Record<MeasurementKey, number>> = {};
    for (const [i, { saves, wait }] of moments.entries()) {
      const w = i % 2 === 0 ? first : second;
      const key: MeasurementKey = w === first ? 'waist' : 'hip';
      const value = (key === 'waist' ? 700 : 950) + i;
      w.setReading(id, key, 0, value);
      last[key] = value;
      if (saves) void w.saveNow();
      await pause(wait);
    }
    await Promise.all([first.saveNow(), second.saveNow()]);
    await pause(300);
    const kept = (await first.db.wearers.get('marit'))!;
    expect(kept.sets).toHaveLength(before);
    const set = kept.sets.find((s) => s.id === id)!;
    expect([set.readings.waist?.[0], set.readings.hip?.[0]]).toEqual([last.waist, last.hip]);
    expect(newest(first)).toEqual(newest(second));
  });

  it('end with both values where both were carried over from an earlier set', async () => {
    const id = first.addSet('2026-11-27', true);
    await first.saveNow();
    await vi.waitFor(() => expect(newest(second).id).toBe(id));
    first.setReading(id, 'waist', 0, 711);
    second.setReading(id, 'hip', 0, 977);
    await Promise.all([first.saveNow(), second.saveNow()]);
    const kept = (await first.db.wearers.get('marit'))!;
    expect(kept.sets.filter((s) => s.date === '2026-11-27')).toHaveLength(1);
    const set = kept.sets.find((s) => s.id === id)!;
    expect([set.readings.waist, set.readings.hip]).toEqual([[711], [977]]);
    expect(set.carried).not.toContain('waist');
    expect(set.carried).not.toContain('hip');
  });

  it('keep what one types while its save is under way, though the save brings a note of the other’s', async () => {
    second.editJob((j) => ({ ...j, title: 'Theirs' }));
    await second.saveNow();
    first.editJob((j) => ({ ...j, title: 'Mine' }));
    const saving = first.saveNow();
    first.editJob((j) => ({ ...j, notes: 'typed meanwhile' }));
    await saving;
    await first.saveNow();
    const kept = await first.db.jobs.get(ID);
    expect([kept?.title, kept?.notes]).toEqual(['Mine', 'typed meanwhile']);
  });

  it('keep what one typed about a body while the other has another job of it open', async () => {
    const id = newest(first).id;
    const { job } = second.useJob.getState();
    await second.db.jobs.put({ ...job!, id: 'marit-second', title: 'Another' });
    await second.openLibrary();
    first.setReading(id, 'waist', 0, 712);
    await first.saveNow();
    // A save under way in the second window ends after it has turned to another job of the same body.
    second.setReading(id, 'hip', 0, 978);
    const saving = second.saveNow();
    expect(second.openJob('marit-second')).toBe(true);
    await saving;
    second.setReading(id, 'height', 0, 1690);
    await second.saveNow();
    const kept = (await first.db.wearers.get('marit'))!.sets.find((s) => s.id === id)!;
    expect([kept.readings.waist?.[0], kept.readings.hip?.[0]]).toEqual([712, 978]);
  });
});
