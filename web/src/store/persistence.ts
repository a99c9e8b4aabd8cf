import { merge3, readJob, readWearer, type Clash, type Job, type Wearer } from '@ample/core/documents';
import { versionOf, withVersion } from '@ample/core/fitting/toile';
import { ok, refuse, type KeepingCode, type Refusal, type Result } from '@ample/core/units';
import { format as clock } from '../lib/time.ts';
import { db, isSilent, tableOf, type Kind } from './db.ts';
import { freshId } from '../lib/ids.ts';

/** This window, among others on the same database. */
export const TAB: string = freshId('');

/** Documents as this window last read or wrote them, letter for letter: what differs from it, another has written. */
const known = new Map<string, string>();
const keyOf = (kind: Kind, id: string): string => `${kind}:${id}`;
export const knows = (kind: Kind, id: string, raw: unknown): void =>
  void (raw === undefined ? known.delete(keyOf(kind, id)) : known.set(keyOf(kind, id), JSON.stringify(raw)));
export const knownText = (kind: Kind, id: string): string | undefined => known.get(keyOf(kind, id));
export const forgetKnown = (): void => known.clear();

/** Tells other windows, in the transaction that writes. */
export const touch = (kind: Kind, ids: readonly string[]): Promise<unknown> =>
  db.touched.bulkPut(ids.map((id) => ({ key: keyOf(kind, id), tab: TAB, at: Date.now(), write: freshId('') })));

/** The result of a save: the documents as they now stand, and anything to report about them. */
export interface Saved {
  readonly job: Job;
  readonly wearer: Wearer;
  readonly notice: Refusal<KeepingCode> | null;
}

/** What went wrong with storage, by kind: a full disk has its own way on. */
export function storageTrouble(error: unknown): Refusal<KeepingCode> {
  const text = error instanceof Error ? `${error.name} ${error.message}` : String(error);
  if (/quota/i.test(text)) return { code: 'storage-full', data: {} };
  if (isSilent()) return { code: 'storage-silent', data: {} };
  if (/MissingAPI|SecurityError/i.test(text)) return { code: 'storage-missing', data: {} };
  return { code: 'storage-failed', data: { detail: text.slice(0, 120) } };
}

/** The texts a change began from, where they are not what this window knows: a journal brings its own. */
export interface Bases {
  readonly job: string | undefined;
  readonly wearer: string | undefined;
}

/**
 * Writes a job and its wearer. Where another window has written in between, both are brought together; what cannot be is
 * kept beside. A document that another window took away is not brought back unless `again`.
 */
export async function saveTogether(
  mine: { readonly job: Job; readonly wearer: Wearer },
  again = false,
  bases: Bases = { job: knownText('job', mine.job.id), wearer: knownText('wearer', mine.wearer.id) },
): Promise<Result<Saved, KeepingCode>> {
  try {
    const done = await db.transaction('rw', [db.jobs, db.wearers, db.patterns, db.touched], async () => {
      const [rawJob, rawWearer] = await Promise.all([db.jobs.get(mine.job.id), db.wearers.get(mine.wearer.id)]);
      const gone = (bases.job !== undefined && !rawJob) || (bases.wearer !== undefined && !rawWearer);
      if (gone && !again) return refuse('document-gone');
      const theirs = {
        job: changedElsewhere(rawJob, bases.job, readJob),
        wearer: changedElsewhere(rawWearer, bases.wearer, readWearer),
      };
      const saved = bringTogether(mine, theirs);
      await write(saved, mine, { job: !rawJob, wearer: !rawWearer });
      return ok(saved);
    });
    if (done.ok) {
      knows('job', done.value.job.id, done.value.job);
      knows('wearer', done.value.wearer.id, done.value.wearer);
    }
    return done;
  } catch (error) {
    return { ok: false, error: storageTrouble(error) };
  }
}

async function write(
  { job, wearer }: Saved,
  mine: { readonly job: Job; readonly wearer: Wearer },
  fresh: { readonly job: boolean; readonly wearer: boolean },
): Promise<void> {
  await db.jobs.put(job);
  await db.wearers.put(wearer);
  // A pattern of one's own goes into the drawer with the job that changed it.
  if ('chart' in job.pattern) await db.patterns.put(job.pattern);
  const changed = (kind: 'job' | 'wearer', now: unknown): boolean =>
    fresh[kind] || JSON.stringify(now) !== knownText(kind, mine[kind].id);
  if (changed('job', job)) await touch('job', [job.id]);
  if (changed('wearer', wearer)) await touch('wearer', [wearer.id]);
}

interface Elsewhere<T> {
  readonly base: T;
  readonly theirs: T;
}

/** What another window has made of a document since this one knew it; null where nothing, or nothing that reads. */
function changedElsewhere<T>(
  raw: unknown,
  base: string | undefined,
  read: (value: unknown) => Result<T>,
): Elsewhere<T> | null {
  if (raw === undefined || base === undefined || JSON.stringify(raw) === base) return null;
  const [was, theirs] = [read(JSON.parse(base)), read(raw)];
  return was.ok && theirs.ok ? { base: was.value, theirs: theirs.value } : null;
}

function bringTogether(
  mine: { readonly job: Job; readonly wearer: Wearer },
  theirs: { readonly job: Elsewhere<Job> | null; readonly wearer: Elsewhere<Wearer> | null },
): Saved {
  if (!theirs.job && !theirs.wearer) return { ...mine, notice: null };
  const now = new Date();
  const from = `From the other window, ${clock(now)}`;
  let { job, wearer } = mine;
  let clashed = 0;
  if (theirs.job) {
    const { merged, clashes } = merge3(theirs.job.base, mine.job, theirs.job.theirs);
    clashed += clashes.length;
    const [choices, words] = parted(clashes, CHOICES);
    job = { ...merged, notes: noted(merged.notes, from, words, 4000) };
    if (choices.length > 0) {
      const body = theirs.wearer?.theirs ?? mine.wearer;
      job = withVersion(job, versionOf(theirs.job.theirs, body, freshId('v'), from, now.toISOString()));
    }
  }
  if (theirs.wearer) {
    const { merged, clashes } = merge3(theirs.wearer.base, mine.wearer, theirs.wearer.theirs);
    clashed += clashes.length;
    const [sets, words] = parted(clashes, /^sets\./);
    const ids = new Set(sets.map((c) => c.path.split('.')[1]));
    // What two windows measured differently stays as a set of its own.
    const beside = theirs.wearer.theirs.sets
      .filter((s) => ids.has(s.id))
      .map((s) => ({ ...s, id: freshId('s'), notes: [s.notes, `${from}.`].filter(Boolean).join(' ') }));
    wearer = { ...merged, sets: [...merged.sets, ...beside], notes: noted(merged.notes, from, words, 2000) };
  }
  return { job, wearer, notice: { code: clashed > 0 ? 'window-clash' : 'window-merged', data: { time: clock(now) } } };
}

/** What a version keeps; all else the other window wrote is kept in words. */
const CHOICES = /^(size|sizeMethod|cup|view|hanging|steps|order|pattern)(\.|$)/;
const parted = (clashes: readonly Clash[], by: RegExp): readonly [readonly Clash[], readonly Clash[]] => [
  clashes.filter((c) => by.test(c.path)),
  clashes.filter((c) => !by.test(c.path)),
];

/** Notes with what the other window had written elsewhere, line by line; as much as a document takes. */
function noted(notes: string, from: string, clashes: readonly Clash[], most: number): string {
  const lines = clashes.flatMap(({ path, theirs }) =>
    theirs === null || theirs === undefined || theirs === ''
      ? []
      : [`${from}, ${path.split('.').at(-1)}: ${typeof theirs === 'string' ? theirs : JSON.stringify(theirs)}`],
  );
  return lines.length === 0 ? notes : [notes, ...lines].filter(Boolean).join('\n').slice(0, most);
}

/** Takes documents away, and tells the other windows. Inside a transaction over their tables. */
export async function remove(kind: Kind, ids: readonly string[]): Promise<void> {
  await tableOf(kind).bulkDelete([...ids]);
  for (const id of ids) knows(kind, id, undefined);
  await touch(kind, ids);
}
