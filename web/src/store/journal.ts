import { readJob, readWearer, type Job, type Wearer } from '@ample/core/formats';

/**
 * The last change, written at once where a closing tab cannot lose it; the database follows a moment later and
 * clears it. Small, so that it fits even when the disk is nearly full.
 */
const KEY = 'ample-draft.journal';

export interface Journal {
  readonly job: Job;
  readonly wearer: Wearer;
}

export function writeJournal(entry: Journal): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(entry));
  } catch {
    // A full or forbidden local storage only loses the safety net; the database save reports for itself.
  }
}

export function clearJournal(entry: Journal): void {
  try {
    if (localStorage.getItem(KEY) === JSON.stringify(entry)) localStorage.removeItem(KEY);
  } catch {
    // Nothing was kept, so there is nothing to clear.
  }
}

export function readJournal(): Journal | null {
  try {
    const text = localStorage.getItem(KEY);
    if (text === null) return null;
    const value = JSON.parse(text) as { job?: unknown; wearer?: unknown };
    const job = readJob(value.job);
    const wearer = readWearer(value.wearer);
    return job.ok && wearer.ok ? { job: job.value, wearer: wearer.value } : null;
  } catch {
    return null;
  }
}
