import { isSample } from '@ample/core/blocks';
import { readJob, readPattern, readWearer, type Job } from '@ample/core/documents';
import {
  keptOfJob,
  mergedPractice,
  planImport,
  type Bundle,
  type ImportItem,
  type Kept,
} from '@ample/core/documents/bundle';
import type { Refusal, Result } from '@ample/core/units';
import { packBundle, unpackBundle } from '../workers/bundleClient.ts';
import { db, tableOf, type Before, type Kind } from './db.ts';
import { saveNow } from './job.ts';
import { openLibrary } from './library.ts';
import { remove, storageTrouble, touch } from './persistence.ts';
import { readPractice } from './practice.ts';

const DAYS = 30;
const DAY = 86_400_000;

/** Everything the browser keeps, every document through its reader so that the same content always looks the same. */
export async function keptNow(): Promise<Kept> {
  await saveNow();
  const sound = <T>(rows: readonly unknown[], read: (value: unknown) => Result<T>): readonly T[] =>
    rows.flatMap((row) => {
      const r = read(row);
      return r.ok ? [r.value] : [];
    });
  const [wearers, patterns, jobs, photos, practice] = await Promise.all([
    db.wearers.toArray(),
    db.patterns.toArray(),
    db.jobs.toArray(),
    db.photos.toArray(),
    db.practice.toArray(),
  ]);
  return {
    wearers: sound(wearers, readWearer),
    patterns: sound(patterns, readPattern),
    jobs: sound(jobs, readJob),
    photos,
    practice,
  };
}

/** One file of everything; the day is noted, so that the reminder rests. */
export async function exportAll(at: Date): Promise<Uint8Array> {
  const bytes = await packBundle(await keptNow(), 'all', at.toISOString());
  await db.meta.put({ key: 'exported', value: at.toISOString() });
  return bytes;
}

/** One job with its wearer, pattern and pictures; null where the wearer is not here. */
export async function exportJob(id: string, at: Date): Promise<Uint8Array | null> {
  const kept = keptOfJob(await keptNow(), id);
  return kept && packBundle(kept, 'job', at.toISOString());
}

/** A file, read and held against what is here; nothing is changed yet. */
export interface Offered {
  readonly bundle: Bundle;
  readonly items: readonly ImportItem[];
  readonly photos: number;
}
export async function offer(file: Blob): Promise<Result<Offered>> {
  const read = await unpackBundle(file);
  if (!read.ok) return read;
  const bundle = withSamples(read.value);
  return {
    ok: true,
    value: { bundle, items: planImport(await keptNow(), bundle.kept), photos: bundle.kept.photos.length },
  };
}

/** A sample that a job carries whole is the one here: no copy of it is taken in. */
function withSamples(bundle: Bundle): Bundle {
  const jobs = bundle.kept.jobs.map((job) => {
    const { pattern } = job;
    return 'chart' in pattern && isSample(pattern.id) ? { ...job, pattern: { id: pattern.id } } : job;
  });
  return { ...bundle, kept: { ...bundle.kept, jobs } };
}

/** Takes a file in, all of it or nothing; what stood here is kept so that it can be undone. `leave` names what is not replaced. */
export async function takeIn({ kept }: Bundle, leave: ReadonlySet<string>, at: Date): Promise<Refusal | null> {
  const documents = [
    ...kept.wearers.map((raw) => ({ kind: 'wearer' as const, raw })),
    ...kept.patterns.map((raw) => ({ kind: 'pattern' as const, raw })),
    ...kept.jobs.map((raw) => ({ kind: 'job' as const, raw })),
  ].filter(({ kind, raw }) => !leave.has(`${kind}:${raw.id}`));
  const jobs = new Set(documents.filter((d) => d.kind === 'job').map((d) => d.raw.id));
  const photos = kept.photos.filter((p) => jobs.has(p.job));
  try {
    await db.transaction('rw', TABLES(), async () => {
      const practised = await db.practice.toArray();
      const practice = mergedPractice(practised, kept.practice ?? []);
      const before: Before = {
        ...{ key: 'import', at: at.toISOString(), documents: [], photos: [] },
        practice: practice.map((written) => ({
          ...{ id: written.id, written },
          raw: practised.find((p) => p.id === written.id) ?? null,
        })),
      };
      for (const { kind, raw } of documents)
        before.documents.push({ kind, id: raw.id, raw: (await tableOf(kind).get(raw.id)) ?? null, written: raw });
      for (const p of photos) before.photos.push({ id: p.id, raw: (await db.photos.get(p.id)) ?? null });
      await db.before.put(before);
      for (const { kind, raw } of documents) await put(kind, raw);
      await db.photos.bulkPut([...photos]);
      await db.practice.bulkPut([...practice]);
    });
  } catch (error) {
    return storageTrouble(error);
  }
  await openLibrary();
  await readPractice();
  return null;
}

const TABLES = () => [db.wearers, db.patterns, db.jobs, db.photos, db.touched, db.before, db.practice];
async function put(kind: Kind, raw: { readonly id: string }): Promise<void> {
  await (tableOf(kind) as { put: (row: unknown) => Promise<unknown> }).put(raw);
  await touch(kind, [raw.id]);
}

/** When a file was last taken in, while that can still be undone. */
export const undoable = async (): Promise<string | null> => (await db.before.get('import'))?.at ?? null;

/** Everything as it stood before the last file was taken in; what has been worked on since is left, and named. */
export async function undoImport(): Promise<Refusal | null> {
  const left: string[] = [];
  try {
    await saveNow();
    await db.transaction('rw', TABLES(), async () => {
      const before = await db.before.get('import');
      if (!before) return;
      for (const { kind, id, raw, written } of before.documents) {
        const now: unknown = await tableOf(kind).get(id);
        if (now !== undefined && JSON.stringify(now) !== JSON.stringify(written)) left.push(nameOf(now));
        else if (raw === null) await remove(kind, [id]);
        else await put(kind, raw as { readonly id: string });
      }
      for (const { id, raw } of left.length > 0 ? [] : before.photos)
        if (raw === null) await db.photos.delete(id);
        else await db.photos.put(raw);
      for (const { id, raw, written } of before.practice ?? []) {
        // What was practised again since stays as it is: nobody unlearns.
        if (JSON.stringify(await db.practice.get(id)) !== JSON.stringify(written)) continue;
        if (raw === null) await db.practice.delete(id);
        else await db.practice.put(raw);
      }
      await db.before.delete('import');
    });
  } catch (error) {
    return storageTrouble(error);
  }
  await openLibrary();
  await readPractice();
  return left.length > 0 ? { code: 'import-changed-since', data: { names: left.join(', ') } } : null;
}

const nameOf = (raw: unknown): string => {
  const { name, title } = raw as { readonly name?: string; readonly title?: string };
  return name ?? (title || 'Untitled');
};

/** How many days one's own work has stood in this browser alone, where that is worth saying; null where it is not. */
export function backupDue(
  jobs: readonly Pick<Job, 'demo'>[],
  since: string | null,
  exported: string | null,
  now: Date,
): number | null {
  // A day that is still to come was written by a clock that was wrong.
  const from = [exported, since].find((day) => day !== null && new Date(day) <= now) ?? null;
  if (from === null || jobs.every((j) => j.demo)) return null;
  const days = Math.floor((now.getTime() - new Date(from).getTime()) / DAY);
  return days >= DAYS ? days : null;
}

/** What the reminder goes by; the first time there is work of one's own, the days begin to count. */
export async function backupState(
  jobs: readonly Pick<Job, 'demo'>[],
  now: Date,
): Promise<{ readonly since: string | null; readonly exported: string | null }> {
  const value = async (key: string): Promise<string | null> => (await db.meta.get(key))?.value ?? null;
  const [since, exported] = [await value('since'), await value('exported')];
  if (since === null && jobs.some((j) => !j.demo)) await db.meta.put({ key: 'since', value: now.toISOString() });
  return { since, exported };
}

/** Asks the browser not to clear what is kept here when room runs short; false where it will not promise. */
export async function askToPersist(): Promise<boolean> {
  try {
    return (await navigator.storage?.persisted?.()) || (await navigator.storage?.persist?.()) || false;
  } catch {
    return false;
  }
}
