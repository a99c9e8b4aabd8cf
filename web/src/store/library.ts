import { create } from 'zustand';
import { jobSchema, readJob, readPattern, readWearer, wearerSchema, type Job, type Wearer } from '@ample/core/formats';
import type { Pattern } from '@ample/core/pattern';
import type { Refusal, Result } from '@ample/core/units';
import { DEMO_JOBS, DEMO_WEARERS } from '@ample/samples';
import { AmpleDatabase, type Damaged } from './db.ts';
import { clearJournal, readJournal } from './journal.ts';

/** Everything on the rail and in the drawers. */
interface Library {
  readonly ready: boolean;
  readonly wearers: readonly Wearer[];
  readonly patterns: readonly Pattern[];
  readonly jobs: readonly Job[];
  readonly damaged: readonly Damaged[];
  readonly trouble: Refusal | null;
}

export const db = new AmpleDatabase();
export const useLibrary = create<Library>(() => ({
  ready: false,
  wearers: [],
  patterns: [],
  jobs: [],
  damaged: [],
  trouble: null,
}));

/** What went wrong with storage, by kind: a full disk has its own way on. */
export function storageTrouble(error: unknown): Refusal {
  const text = error instanceof Error ? `${error.name} ${error.message}` : String(error);
  return /quota/i.test(text)
    ? { code: 'storage-full', data: {} }
    : { code: 'storage-failed', data: { detail: text.slice(0, 120) } };
}

/** Fills an empty browser with the demo scenario, once. */
async function seed(): Promise<void> {
  if (await db.meta.get('seeded')) return;
  await db.transaction('rw', [db.wearers, db.jobs, db.meta], async () => {
    await db.wearers.bulkPut([...DEMO_WEARERS]);
    await db.jobs.bulkPut([...DEMO_JOBS]);
    await db.meta.put({ key: 'seeded', value: new Date().toISOString() });
  });
}

interface Read<T> {
  readonly sound: T[];
  readonly damaged: readonly Omit<Damaged, 'id'>[];
}

/** Sound documents, and the damaged ones whole. */
function readAll<T>(kind: Damaged['kind'], rows: readonly unknown[], read: (value: unknown) => Result<T>): Read<T> {
  const sound: T[] = [];
  const damaged: Omit<Damaged, 'id'>[] = [];
  for (const raw of rows) {
    const result = read(raw);
    if (result.ok) {
      sound.push(result.value);
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
  return { sound, damaged };
}

/** Moves damaged documents out of the way; each leaves its place only once it is safe in the other. */
async function setAside(found: readonly Omit<Damaged, 'id'>[]): Promise<void> {
  const tables = { wearer: db.wearers, pattern: db.patterns, job: db.jobs };
  for (const d of found)
    await db.transaction('rw', [db.damaged, tables[d.kind]], async () => {
      await db.damaged.add(d as Damaged);
      await tables[d.kind].delete(d.key);
    });
}

/**
 * Reads everything from the browser; a journal from a tab that closed in the middle is taken over. Reading and
 * writing fail apart: with a full disk the rail still shows everything there is.
 */
export async function openLibrary(): Promise<void> {
  let trouble: Refusal | null = null;
  const attempt = async (write: () => Promise<unknown>) => {
    try {
      await write();
    } catch (error) {
      trouble = storageTrouble(error);
    }
  };
  try {
    await attempt(seed);
    const wearers = readAll('wearer', await db.wearers.toArray(), readWearer);
    const patterns = readAll('pattern', await db.patterns.toArray(), readPattern);
    const jobs = readAll('job', await db.jobs.toArray(), readJob);
    const found = [...wearers.damaged, ...patterns.damaged, ...jobs.damaged];
    await attempt(() => setAside(found));
    const kept = await db.damaged.toArray();
    // What could not be set aside for want of room is shown all the same, and stays where it is.
    const stuck = found.filter((d) => !kept.some((k) => k.kind === d.kind && k.key === d.key));
    const empty = trouble !== null && jobs.sound.length === 0 && wearers.sound.length === 0;
    useLibrary.setState({
      ready: true,
      wearers: empty ? DEMO_WEARERS : wearers.sound,
      patterns: patterns.sound,
      jobs: empty ? DEMO_JOBS : jobs.sound,
      damaged: [...kept, ...stuck.map((d, i) => ({ ...d, id: -1 - i }))],
    });
    const journal = readJournal();
    if (journal) {
      const failed = await saveDocuments(journal.job, journal.wearer);
      if (failed) trouble = failed;
      // Once the database holds it, an old journal must not bring back what is thrown away later.
      else clearJournal(journal);
    }
    useLibrary.setState({ trouble });
  } catch (error) {
    // Without storage the app still works on the demo; nothing will be kept, and it says so.
    useLibrary.setState({
      ready: true,
      wearers: DEMO_WEARERS,
      patterns: [],
      jobs: DEMO_JOBS,
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

export async function saveDocuments(job: Job, wearer: Wearer): Promise<Refusal | null> {
  putInLibrary(job, wearer);
  try {
    await db.transaction('rw', [db.jobs, db.wearers, db.patterns], async () => {
      await db.jobs.put(job);
      await db.wearers.put(wearer);
      // A pattern of one's own goes into the drawer with the job that changed it.
      if ('chart' in job.pattern) await db.patterns.put(job.pattern);
    });
    return null;
  } catch (error) {
    return storageTrouble(error);
  }
}

/** A new wearer with an empty job on the first pattern. */
export async function startOwn(name: string, title: string, today: string, pattern: string | Pattern): Promise<string> {
  const id = crypto.randomUUID().slice(0, 8);
  const wearer = wearerSchema.parse({
    format: 'ample-draft/wearer',
    version: 1,
    id: `w-${id}`,
    name,
    sets: [{ id: `s-${id}`, date: today, readings: {} }],
  });
  const job = jobSchema.parse({
    format: 'ample-draft/job',
    version: 2,
    id: `j-${id}`,
    title,
    wearer: { id: wearer.id },
    pattern: typeof pattern === 'string' ? { id: pattern } : pattern,
  });
  useLibrary.setState({ trouble: await saveDocuments(job, wearer) });
  return job.id;
}

export async function clearDemo(): Promise<void> {
  const { jobs, wearers } = useLibrary.getState();
  const gone = jobs.filter((j) => j.demo).map((j) => j.id);
  const kept = jobs.filter((j) => !j.demo);
  const unused = DEMO_WEARERS.map((w) => w.id).filter((w) => !kept.some((j) => 'id' in j.wearer && j.wearer.id === w));
  useLibrary.setState({ jobs: kept, wearers: wearers.filter((w) => !unused.includes(w.id)) });
  try {
    await db.jobs.bulkDelete(gone);
    await db.wearers.bulkDelete(unused);
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
