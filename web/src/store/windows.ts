import { liveQuery } from 'dexie';
import { readJob, readPattern, readWearer, type Job, type Wearer } from '@ample/core/documents';
import type { Result } from '@ample/core/units';
import { format as clock } from '../lib/time.ts';
import { db, tableOf, type Kind, type Touched } from './db.ts';
import { replaceOpen, unsaved, useJob, useSave } from './job.ts';
import { useLibrary, wearerOf } from './library.ts';
import { knows, TAB } from './persistence.ts';

const READ: Readonly<Record<Kind, (value: unknown) => Result<{ readonly id: string }>>> = {
  wearer: readWearer,
  pattern: readPattern,
  job: readJob,
};
const LIST = { wearer: 'wearers', pattern: 'patterns', job: 'jobs' } as const;

/**
 * Follows what other windows write, live. The rail shows it at once; the open job takes it over while nothing is unsaved
 * here, else the next save brings both together. Returns what stops it.
 */
export function followWindows(): () => void {
  const seen = new Map<string, string>();
  const writeOf = (t: Touched): string => t.write ?? String(t.at);
  let turn: Promise<void> = Promise.resolve();
  const subscription = liveQuery(() => db.touched.toArray()).subscribe({
    next: (rows) => {
      const fresh = rows.filter((r) => r.tab !== TAB && seen.get(r.key) !== writeOf(r));
      for (const r of fresh) seen.set(r.key, writeOf(r));
      if (fresh.length > 0) turn = turn.then(() => take(fresh)).catch(() => undefined);
    },
    // Without a database there is nothing to follow.
    error: () => undefined,
  });
  return () => subscription.unsubscribe();
}

async function take(rows: readonly Touched[]): Promise<void> {
  for (const { key } of rows) {
    const at = key.indexOf(':');
    const kind = key.slice(0, at) as Kind;
    const id = key.slice(at + 1);
    const raw: unknown = await tableOf(kind).get(id);
    const open = useJob.getState();
    const isOpen = (kind === 'job' && open.job?.id === id) || (kind === 'wearer' && open.wearer?.id === id);
    if (raw === undefined) {
      drop(kind, id);
      if (isOpen) useSave.setState({ state: 'failed', trouble: { code: 'document-gone', data: {} } });
      continue;
    }
    const read = READ[kind](raw);
    if (!read.ok) continue;
    put(kind, read.value);
    // Unsaved work: the next save sees that the other window wrote, and merges.
    if (isOpen && unsaved()) continue;
    knows(kind, id, raw);
    if (isOpen) adopt();
  }
}

function put(kind: Kind, one: { readonly id: string }): void {
  useLibrary.setState((s) => {
    const list: readonly { readonly id: string }[] = s[LIST[kind]];
    return {
      [LIST[kind]]: list.some((x) => x.id === one.id) ? list.map((x) => (x.id === one.id ? one : x)) : [...list, one],
    };
  });
}
const drop = (kind: Kind, id: string): void =>
  useLibrary.setState((s) => ({ [LIST[kind]]: s[LIST[kind]].filter((x) => x.id !== id) }));

/** The open documents as the library now has them. */
function adopt(): void {
  const { job, wearer } = useJob.getState();
  const { jobs, wearers } = useLibrary.getState();
  const now: Job | undefined = jobs.find((j) => j.id === job?.id);
  const who: Wearer | undefined = now && wearerOf(now, wearers);
  if (!now || !who || (JSON.stringify(now) === JSON.stringify(job) && JSON.stringify(who) === JSON.stringify(wearer)))
    return;
  replaceOpen(now, who);
  useSave.setState({ notice: { code: 'window-adopted', data: { time: clock(new Date()) } } });
}
