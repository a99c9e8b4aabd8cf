import { readJob, readWearer, type Job, type Wearer } from '@ample/core/documents';
import { TAB, type Bases } from './persistence.ts';

/**
 * The last change, written at once where a closing tab cannot lose it; the database follows a moment later and
 * clears it. Each window has its own, with what it began from, so that two never lose each other's work.
 */
const PREFIX = 'ample-draft.journal';
const KEY = `${PREFIX}.${TAB}`;

export interface Journal {
  readonly job: Job;
  readonly wearer: Wearer;
}
export interface FoundJournal extends Journal {
  readonly key: string;
  readonly bases: Bases;
}

export function writeJournal(entry: Journal, bases: Bases): void {
  try {
    localStorage.setItem(KEY, JSON.stringify({ ...entry, bases }));
  } catch {
    // A full or forbidden local storage only loses the safety net; the database save reports for itself.
  }
}

/** Clears this window's journal where it holds just what was saved. */
export function clearJournal(entry: Journal): void {
  try {
    const now = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Journal | null;
    if (now && JSON.stringify([now.job, now.wearer]) === JSON.stringify([entry.job, entry.wearer]))
      localStorage.removeItem(KEY);
  } catch {
    // Nothing was kept, so there is nothing to clear.
  }
}

/** Once the database holds it, an old journal must not bring back what is thrown away later. */
export function dropJournal(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // As above.
  }
}

/** Journals that windows left behind when they closed in the middle. A torn one is left alone. */
export function readJournals(): readonly FoundJournal[] {
  try {
    const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i));
    return keys.flatMap((key) => (key?.startsWith(PREFIX) ? (readOne(key) ?? []) : []));
  } catch {
    return [];
  }
}

function readOne(key: string): FoundJournal | null {
  try {
    const value = JSON.parse(localStorage.getItem(key) ?? '{}') as {
      job?: unknown;
      wearer?: unknown;
      bases?: { job?: unknown; wearer?: unknown };
    };
    const job = readJob(value.job);
    const wearer = readWearer(value.wearer);
    if (!job.ok || !wearer.ok) return null;
    const base = (b: unknown): string | undefined => (typeof b === 'string' ? b : undefined);
    const bases = { job: base(value.bases?.job), wearer: base(value.bases?.wearer) };
    return { key, job: job.value, wearer: wearer.value, bases };
  } catch {
    return null;
  }
}

/** Every journal that speaks of a wearer, gone. */
export function forgetInJournals(wearer: string): void {
  for (const j of readJournals()) if (j.wearer.id === wearer) dropJournal(j.key);
}
