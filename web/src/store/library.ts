import { create } from 'zustand';
import {
  JOB_VERSION,
  jobSchema,
  readJob,
  readPattern,
  readWearer,
  wearerSchema,
  type Job,
  type Wearer,
} from '@ample/core/documents';
import type { Pattern } from '@ample/core/pattern';
import type { KeepingCode, Refusal, Result } from '@ample/core/units';
import { db, openDatabase, tableOf, type Damaged } from './db.ts';
import { dropJournal, readJournals } from './journal.ts';
import { forgetKnown, knows, remove, saveTogether, storageTrouble } from './persistence.ts';
import { freshId } from '../lib/ids.ts';

/** Everything on the rail and in the drawers. */
interface Library {
  readonly ready: boolean;
  readonly wearers: readonly Wearer[];
  readonly patterns: readonly Pattern[];
  readonly jobs: readonly Job[];
  readonly damaged: readonly Damaged[];
  readonly trouble: Refusal<KeepingCode> | null;
}

export const useLibrary = create<Library>(() => ({
  ready: false,
  wearers: [],
  patterns: [],
  jobs: [],
  damaged: [],
  trouble: null,
}));

/** What an empty browser is filled with. */
export interface Demo {
  readonly wearers: readonly Wearer[];
  readonly jobs: readonly Job[];
}
let demo: Demo = { wearers: [], jobs: [] };
/** The app and its tests each say once what the demo is. */
export const setDemo = (documents: Demo): void => void (demo = documents);

/** Fills an empty browser with the demo scenario, once. */
async function seed(): Promise<void> {
  // Two windows opened at once: the second waits, and finds it done.
  await db.transaction('rw', [db.wearers, db.jobs, db.meta], async () => {
    if (await db.meta.get('seeded')) return;
    await db.wearers.bulkPut([...demo.wearers]);
    await db.jobs.bulkPut([...demo.jobs]);
    await db.meta.put({ key: 'seeded', value: new Date().toISOString() });
  });
}

interface Read<T> {
  readonly sound: T[];
  readonly damaged: readonly Omit<Damaged, 'id'>[];
  /** How many a newer version of the app has written. */
  readonly newer: number;
}

/** Sound documents, and the damaged ones whole. What a newer version wrote is neither: it stays where it is. */
function readAll<T>(kind: Damaged['kind'], rows: readonly unknown[], read: (value: unknown) => Result<T>): Read<T> {
  const sound: T[] = [];
  const damaged: Omit<Damaged, 'id'>[] = [];
  let newer = 0;
  for (const raw of rows) {
    const result = read(raw);
    if (result.ok) {
      knows(kind, String((raw as { id?: unknown }).id), raw);
      sound.push(result.value);
      continue;
    }
    if (result.error.code === 'document-newer') {
      newer += 1;
      continue;
    }
    const { where, what } = result.error.data;
    damaged.push({
      kind,
      key: String((raw as { id?: unknown }).id ?? ''),
      detail: where === undefined ? result.error.code : `${where}: ${what}`,
      raw,
    });
  }
  return { sound, damaged, newer };
}

/** Moves damaged documents out of the way; each leaves its place only once it is safe in the other. */
async function setAside(found: readonly Omit<Damaged, 'id'>[]): Promise<void> {
  for (const d of found)
    await db.transaction('rw', [db.damaged, tableOf(d.kind)], async () => {
      await db.damaged.add(d as Damaged);
      await tableOf(d.kind).delete(d.key);
    });
}

/**
 * Reads everything from the browser; a journal from a tab that closed in the middle is taken over. Reading and
 * writing fail apart: with a full disk the rail still shows everything there is.
 */
export async function openLibrary(): Promise<void> {
  let trouble: Refusal<KeepingCode> | null = null;
  const attempt = async (write: () => Promise<unknown>) => {
    try {
      await write();
    } catch (error) {
      trouble = storageTrouble(error);
    }
  };
  try {
    forgetKnown();
    await openDatabase();
    await attempt(seed);
    const wearers = readAll('wearer', await db.wearers.toArray(), readWearer);
    const patterns = readAll('pattern', await db.patterns.toArray(), readPattern);
    const jobs = readAll('job', await db.jobs.toArray(), readJob);
    const found = [...wearers.damaged, ...patterns.damaged, ...jobs.damaged];
    const newer = wearers.newer + patterns.newer + jobs.newer;
    await attempt(() => setAside(found));
    if (newer > 0) trouble ??= { code: 'stored-newer', data: { count: newer } };
    const kept = await db.damaged.toArray();
    // What could not be set aside for want of room is shown all the same, and stays where it is.
    const stuck = found.filter((d) => !kept.some((k) => k.kind === d.kind && k.key === d.key));
    const empty = trouble !== null && newer === 0 && jobs.sound.length === 0 && wearers.sound.length === 0;
    useLibrary.setState({
      ready: true,
      wearers: empty ? demo.wearers : wearers.sound,
      patterns: patterns.sound,
      jobs: empty ? demo.jobs : jobs.sound,
      damaged: [...kept, ...stuck.map((d, i) => ({ ...d, id: -1 - i }))],
    });
    for (const journal of readJournals()) {
      const saved = await saveTogether(journal, false, journal.bases);
      if (saved.ok) putInLibrary(saved.value.job, saved.value.wearer);
      // What another window has taken away is not brought back by a journal.
      if (saved.ok || saved.error.code === 'document-gone') dropJournal(journal.key);
      else {
        putInLibrary(journal.job, journal.wearer);
        trouble = saved.error;
      }
    }
    await attempt(tidyUp);
    useLibrary.setState({ trouble });
  } catch (error) {
    // Without storage the app still works on the demo; nothing will be kept, and it says so.
    useLibrary.setState({
      ready: true,
      wearers: demo.wearers,
      patterns: [],
      jobs: demo.jobs,
      trouble: storageTrouble(error),
    });
  }
}

/** The rail shows a change at once; the database follows. */
export function putInLibrary(job: Job, wearer: Wearer): void {
  const put = <T extends { readonly id: string }>(all: readonly T[], one: T): readonly T[] =>
    all.some((x) => x.id === one.id) ? all.map((x) => (x.id === one.id ? one : x)) : [...all, one];
  const own = 'chart' in job.pattern ? job.pattern : null;
  useLibrary.setState((s) => ({
    jobs: put(s.jobs, job),
    wearers: put(s.wearers, wearer),
    ...(own ? { patterns: put(s.patterns, own) } : {}),
  }));
}

/** So long another window may still want to know, and a picture taken out may be brought back by its undo. */
const HOUR = 3_600_000;

/**
 * Clears what other windows need no longer, and pictures that no fitting has shown for an hour. A picture of a job that
 * is not here to be read, damaged or just being saved elsewhere, is never taken for one that nobody shows.
 */
async function tidyUp(): Promise<void> {
  const now = Date.now();
  await db.touched.filter((t) => t.at < now - HOUR).delete();
  const { jobs } = useLibrary.getState();
  const here = jobs.map((j) => j.id);
  const shown = new Set(jobs.flatMap((j) => shownPhotos(j)));
  const known = JSON.parse((await db.meta.get('unshown'))?.value ?? '{}') as Record<string, number>;
  const unshown = (await db.photos.where('job').anyOf(here).primaryKeys()).filter((id) => !shown.has(id));
  const since = new Map(unshown.map((id) => [id, known[id] ?? now]));
  const gone = unshown.filter((id) => (since.get(id) ?? now) < now - HOUR);
  await db.photos.bulkDelete(gone);
  for (const id of gone) since.delete(id);
  await db.meta.put({ key: 'unshown', value: JSON.stringify(Object.fromEntries(since)) });
}
const shownPhotos = (job: Job): readonly string[] => job.fittings.flatMap((f) => f.photos.map((p) => p.id));

/** The wearer of a job: inline, or from the drawer. */
export function wearerOf(job: Job, wearers: readonly Wearer[]): Wearer | undefined {
  const ref = job.wearer;
  if ('sets' in ref) return ref;
  return 'id' in ref ? wearers.find((w) => w.id === ref.id) : undefined;
}

/** A job that is not open, with its wearer: shown on the rail at once and saved; failures are reported. */
export async function saveNew(job: Job, wearer: Wearer): Promise<void> {
  putInLibrary(job, wearer);
  const saved = await saveTogether({ job, wearer });
  useLibrary.setState({ trouble: saved.ok ? null : saved.error });
}

/** Changes a job that is not open; saved at once. */
export async function editStored(id: string, change: (job: Job) => Job): Promise<void> {
  const { jobs, wearers } = useLibrary.getState();
  const job = jobs.find((j) => j.id === id);
  const wearer = job && wearerOf(job, wearers);
  if (job && wearer) await saveNew(change(job), wearer);
}

/** A new wearer with an empty job on the first pattern. */
export async function startOwn(name: string, title: string, today: string, pattern: string | Pattern): Promise<string> {
  const id = freshId('');
  const wearer = wearerSchema.parse({
    format: 'ample-draft/wearer',
    version: 1,
    id: `w-${id}`,
    name,
    sets: [{ id: `s-${id}`, date: today, readings: {} }],
  });
  const job = jobSchema.parse({
    format: 'ample-draft/job',
    version: JOB_VERSION,
    id: `j-${id}`,
    title,
    wearer: { id: wearer.id },
    pattern: typeof pattern === 'string' ? { id: pattern } : pattern,
  });
  await saveNew(job, wearer);
  return job.id;
}

export async function clearDemo(): Promise<void> {
  const { jobs, wearers } = useLibrary.getState();
  const gone = jobs.filter((j) => j.demo).map((j) => j.id);
  const kept = jobs.filter((j) => !j.demo);
  const unused = demo.wearers.map((w) => w.id).filter((w) => !kept.some((j) => 'id' in j.wearer && j.wearer.id === w));
  useLibrary.setState({ jobs: kept, wearers: wearers.filter((w) => !unused.includes(w.id)) });
  try {
    await db.transaction('rw', [db.jobs, db.wearers, db.photos, db.touched], async () => {
      await db.photos.where('job').anyOf(gone).delete();
      await remove('job', gone);
      await remove('wearer', unused);
    });
  } catch (error) {
    useLibrary.setState({ trouble: storageTrouble(error) });
  }
}

export async function bringDemoBack(): Promise<void> {
  try {
    await db.meta.delete('seeded');
  } catch (error) {
    useLibrary.setState({ trouble: storageTrouble(error) });
  }
  await openLibrary();
}

export async function forgetDamaged(id: number): Promise<void> {
  await db.damaged.delete(id);
  useLibrary.setState((s) => ({ damaged: s.damaged.filter((d) => d.id !== id) }));
}
