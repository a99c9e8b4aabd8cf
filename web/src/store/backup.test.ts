// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { DEMO } from '@ample/samples';
import { readBundle, writeBundle } from '@ample/core/documents/bundle';
import { writeDocument } from '@ample/core/documents';
import { addFitting, addObservation } from './fittings.ts';
import { addPhotos, removePhoto } from './photos.ts';
import {
  backupDue,
  backupState,
  exportAll,
  exportJob,
  keptNow,
  offer,
  takeIn,
  undoable,
  undoImport,
} from './backup.ts';
import { db } from './db.ts';
import { closeJob, editJob, openJob, saveNow, useJob } from './job.ts';
import { writeJournal } from './journal.ts';
import { openLibrary, setDemo, startOwn, useLibrary } from './library.ts';
import { copyPattern } from './patterns.ts';
import { putPiece } from './places.ts';
import { deleteWearer } from './privacy.ts';

vi.mock('../workers/bundleClient.ts', () => ({
  packBundle: (...args: Parameters<typeof writeBundle>) => Promise.resolve(writeBundle(...args)),
  unpackBundle: (file: Blob) =>
    new Promise((resolve) => {
      const reader = new FileReader();
      reader.onload = () => resolve(readBundle(new Uint8Array(reader.result as ArrayBuffer)));
      reader.readAsArrayBuffer(file);
    }),
}));

const NOW = new Date('2026-11-24T10:00:00Z');
const jpeg = new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 7]);
const shrink = () => Promise.resolve({ bytes: jpeg, type: 'image/jpeg' as const, width: 4, height: 3 });
const picture = (name = 'IMG_1.jpg') => new File([jpeg], name);
const blob = (bytes: Uint8Array) => new Blob([bytes as BlobPart]);
const documents = async () => {
  const kept = await keptNow();
  return [...kept.wearers, ...kept.patterns, ...kept.jobs].map(writeDocument).join('');
};
async function wipe(): Promise<void> {
  closeJob();
  localStorage.clear();
  await db.delete();
  await db.open();
  await db.meta.put({ key: 'seeded', value: 'yes' });
  await openLibrary();
}

let own = '';
let fitting = '';
setDemo(DEMO);
beforeEach(async () => {
  useJob.setState({ job: null, wearer: null });
  localStorage.clear();
  await db.delete();
  await db.open();
  await openLibrary();
  own = await startOwn('Nele Brandt-Ost', 'Blouse', '2026-11-23', 'causeway-side');
  openJob(own);
  copyPattern();
  fitting = addFitting('toile', '2026-11-24', 'Toile 1');
  addObservation(fitting, 'waist-low', { pinned: 12 });
  await addPhotos(fitting, [picture()], { shrink });
  await saveNow();
});

describe('a backup', () => {
  it('brings everything back after the browser was wiped, letter for letter and picture for picture', async () => {
    const before = await documents();
    const bytes = await exportAll(NOW);
    await wipe();
    expect(useLibrary.getState().jobs).toEqual([]);
    const offered = await offer(blob(bytes));
    if (!offered.ok) throw new Error(offered.error.code);
    expect(offered.value.items.every((i) => i.what === 'new')).toBe(true);
    expect(await takeIn(offered.value.bundle, new Set(), NOW)).toBeNull();
    expect(await documents()).toBe(before);
    expect((await db.photos.toArray()).map((p) => [...p.bytes])).toEqual([[...jpeg]]);
    // And the file made of it is the same file.
    expect(Buffer.from(await exportAll(NOW)).equals(Buffer.from(bytes))).toBe(true);
  });

  it('shows what it would replace, leaves what one wants left, and is undone whole', async () => {
    const bytes = await exportAll(NOW);
    editJob((j) => ({ ...j, title: 'Changed since' }));
    await saveNow();
    const before = await documents();
    const offered = await offer(blob(bytes));
    if (!offered.ok) throw new Error(offered.error.code);
    expect(offered.value.items.filter((i) => i.what === 'differs').map((i) => i.id)).toEqual([own]);
    closeJob();
    await takeIn(offered.value.bundle, new Set([`job:${own}`]), NOW);
    expect(await documents()).toBe(before);
    await takeIn(offered.value.bundle, new Set(), NOW);
    expect((await db.jobs.get(own))?.title).toBe('Blouse');
    expect(await undoable()).toBe(NOW.toISOString());
    expect(await undoImport()).toBeNull();
    expect(await documents()).toBe(before);
    expect(await undoable()).toBeNull();
  });

  it('undone it takes the practice of the file back, but nothing that was practised since', async () => {
    const row = (id: string, best: number) => ({ id, best, times: 1, at: NOW.toISOString() });
    await db.practice.bulkPut([row('swayback free', 2), row('roundBack free', 5)]);
    const offered = await offer(blob(await exportAll(NOW)));
    if (!offered.ok) throw new Error(offered.error.code);
    await db.practice.clear();
    await db.practice.bulkPut([row('swayback free', 9)]);
    closeJob();
    expect(await takeIn(offered.value.bundle, new Set(), NOW)).toBeNull();
    expect(Object.fromEntries((await db.practice.toArray()).map((r) => [r.id, r.best]))).toEqual({
      'swayback free': 2,
      'roundBack free': 5,
    });
    await db.practice.put({ ...row('roundBack free', 1), times: 2 });
    expect(await undoImport()).toBeNull();
    expect(Object.fromEntries((await db.practice.toArray()).map((r) => [r.id, r.best]))).toEqual({
      'swayback free': 9,
      'roundBack free': 1,
    });
  });

  it('undone later leaves what has been worked on since, and names it', async () => {
    const bytes = await exportAll(NOW);
    editJob((j) => ({ ...j, title: 'Before' }));
    await saveNow();
    closeJob();
    const offered = await offer(blob(bytes));
    if (!offered.ok) throw new Error(offered.error.code);
    await takeIn(offered.value.bundle, new Set(), NOW);
    openJob(own);
    editJob((j) => ({ ...j, title: 'A week of work' }));
    await saveNow();
    closeJob();
    expect(await undoImport()).toMatchObject({ code: 'import-changed-since', data: { names: 'A week of work' } });
    expect((await db.jobs.get(own))?.title).toBe('A week of work');
    expect(await db.photos.count()).toBe(1);
  });

  it('of one job holds its wearer, pattern and pictures, and can be undone where it was new', async () => {
    const bytes = (await exportJob(own, NOW))!;
    await wipe();
    const offered = await offer(blob(bytes));
    if (!offered.ok) throw new Error(offered.error.code);
    expect(offered.value).toMatchObject({ photos: 1, bundle: { kind: 'job' } });
    await takeIn(offered.value.bundle, new Set(), NOW);
    expect(useLibrary.getState()).toMatchObject({ jobs: [{ id: own }], wearers: [{ name: 'Nele Brandt-Ost' }] });
    await undoImport();
    expect(useLibrary.getState()).toMatchObject({ jobs: [], wearers: [] });
    expect(await db.photos.count()).toBe(0);
  });

  it('that cannot be read, or does not fit on the disk, changes nothing', async () => {
    const bytes = await exportAll(NOW);
    const before = await documents();
    expect(await offer(blob(bytes.slice(0, -9)))).toMatchObject({ ok: false, error: { code: 'bundle-damaged' } });
    const offered = await offer(blob(bytes));
    if (!offered.ok) throw new Error(offered.error.code);
    const other = {
      ...offered.value.bundle,
      kept: { ...offered.value.bundle.kept, jobs: offered.value.bundle.kept.jobs.map((j) => ({ ...j, title: 'x' })) },
    };
    const put = vi
      .spyOn(db.photos, 'bulkPut')
      .mockRejectedValue(Object.assign(new Error('quota'), { name: 'QuotaExceededError' }) as never);
    expect(await takeIn(other, new Set(), NOW)).toMatchObject({ code: 'storage-full' });
    put.mockRestore();
    expect(await documents()).toBe(before);
  });

  it('is asked for after thirty days, for work of one’s own only', async () => {
    const at = (day: string) => new Date(`${day}T10:00:00Z`);
    const mine = [{ demo: false }];
    expect(backupDue(mine, '2026-10-01T10:00:00Z', null, at('2026-10-30'))).toBeNull();
    expect(backupDue(mine, '2026-10-01T10:00:00Z', null, at('2026-10-31'))).toBe(30);
    expect(backupDue(mine, '2026-10-01T10:00:00Z', '2026-10-20T10:00:00Z', at('2026-10-31'))).toBeNull();
    // A clock that stood wrong when it was exported does not silence the reminder for years.
    expect(backupDue(mine, '2026-10-01T10:00:00Z', '2099-01-01T10:00:00Z', at('2026-10-31'))).toBe(30);
    expect(backupDue([{ demo: true }], '2026-01-01T10:00:00Z', null, at('2026-10-31'))).toBeNull();
    expect(await backupState(mine, NOW)).toEqual({ since: null, exported: null });
    expect(await backupState(mine, at('2026-12-30'))).toEqual({ since: NOW.toISOString(), exported: null });
    await exportAll(NOW);
    expect((await backupState(mine, NOW)).exported).toBe(NOW.toISOString());
  });
});

describe('pictures', () => {
  it('that find no room are told of, and the words are kept', async () => {
    const put = vi
      .spyOn(db.photos, 'put')
      .mockRejectedValue(Object.assign(new Error('quota'), { name: 'QuotaExceededError' }) as never);
    addObservation(fitting, 'neck-gapes', { note: 'stands away when sitting' });
    expect(await addPhotos(fitting, [picture('second.jpg')], { shrink })).toMatchObject([{ code: 'photo-not-kept' }]);
    put.mockRestore();
    await saveNow();
    const kept = (await db.jobs.get(own))?.fittings[0];
    expect(kept?.observations.at(-1)?.note).toBe('stands away when sitting');
    expect(kept?.photos).toHaveLength(1);
  });
  it('that are none are named, and the others are taken', async () => {
    const some = (file: Blob) =>
      (file as File).name === 'note.txt' ? Promise.reject(new Error('no picture')) : shrink();
    const troubles = await addPhotos(fitting, [picture('note.txt'), picture('b.jpg')], { shrink: some });
    expect(troubles).toMatchObject([{ code: 'photo-not-a-picture', data: { name: 'note.txt' } }]);
    expect(useJob.getState().job?.fittings[0]?.photos).toHaveLength(2);
  });
  it('taken out of a fitting are gone when the app is opened an hour later, not before', async () => {
    removePhoto(fitting, useJob.getState().job!.fittings[0]!.photos[0]!.id);
    await saveNow();
    closeJob();
    await openLibrary();
    expect(await db.photos.count()).toBe(1);
    const clock = vi.spyOn(Date, 'now').mockReturnValue(Date.now() + 3_700_000);
    await openLibrary();
    clock.mockRestore();
    expect(await db.photos.count()).toBe(0);
  });
  it('of a job that is damaged stay with it, however long', async () => {
    closeJob();
    await db.jobs.update(own, { steps: 'eaten by moths' } as never);
    const clock = vi.spyOn(Date, 'now');
    for (const hours of [0, 2, 4]) {
      clock.mockReturnValue(Date.UTC(2026, 10, 24, hours));
      await openLibrary();
    }
    clock.mockRestore();
    expect(useLibrary.getState().damaged.map((d) => d.key)).toEqual([own]);
    expect(await db.photos.count()).toBe(1);
  });
});

it('a deleted wearer leaves nothing behind in this browser, and takes nobody else along', async () => {
  const bytes = await exportAll(NOW);
  const { job, wearer } = useJob.getState();
  writeJournal({ job: job!, wearer: wearer! }, { job: undefined, wearer: undefined });
  putPiece(own, 'front', { x: 1, y: 1 });
  await db.damaged.add({ kind: 'job', key: 'torn', detail: '', raw: { wearer: { id: wearer!.id } } } as never);
  editJob((j) => ({ ...j, notes: 'x' }));
  await saveNow();
  const offered = await offer(blob(bytes));
  if (offered.ok) await takeIn(offered.value.bundle, new Set(), NOW);
  expect(await deleteWearer(wearer!.id)).toBeNull();
  const tables = await Promise.all([db.wearers, db.jobs, db.damaged, db.before, db.meta].map((t) => t.toArray()));
  const everything =
    JSON.stringify(tables) + JSON.stringify(useLibrary.getState()) + JSON.stringify({ ...localStorage });
  for (const trace of ['Nele', wearer!.id, own]) expect(everything.includes(trace), trace).toBe(false);
  expect(await db.photos.count()).toBe(0);
  expect(useJob.getState().job).toBeNull();
  expect(
    useLibrary
      .getState()
      .wearers.map((w) => w.id)
      .sort(),
  ).toEqual(['alva', 'ines', 'marit', 'pim', 'runa', 'tove']);
  expect(await db.jobs.count()).toBe(8);
  // Opened anew, she does not come back.
  await openLibrary();
  expect(useLibrary.getState().wearers).toHaveLength(6);
});
