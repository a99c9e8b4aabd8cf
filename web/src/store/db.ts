import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Job, Wearer } from '@ample/core/documents';
import type { PhotoFile, Practised } from '@ample/core/documents/bundle';
import type { Pattern } from '@ample/core/pattern';
import type { Standing } from './importHistory.ts';

export type Kind = 'wearer' | 'pattern' | 'job';

export interface Damaged {
  id: number;
  kind: Kind;
  key: string;
  detail: string;
  /** Exactly what was found. */
  raw: unknown;
}

/** Which document was written last by which window: the others look here, live. */
export interface Touched {
  /** "job:id". */
  key: string;
  tab: string;
  /** When, by the clock of that window, which may be set back. */
  at: number;
  /** Of this one write: by it a new one is told from one that was seen. */
  write?: string;
}

/** What stood here before a file was taken in, so that it can be undone; null where nothing stood. */
export interface Before {
  key: 'import';
  at: string;
  /** `written` is what the file put there: what differs from it now, one has worked on since. */
  documents: { kind: Kind; id: string; raw: unknown; written: unknown }[];
  photos: { id: string; raw: PhotoFile | null }[];
  /** Left out by versions that did not keep it. */
  practice?: { id: string; raw: Practised | null; written: Practised }[];
}

/** The pattern file that is being brought in, and apart from it, since it changes often, what was done so far. */
export type Sheet = { key: 'file'; name: string; file: Blob } | { key: 'standing'; standing: Standing };

/** What the browser keeps. Documents are stored as the files hold them and read through the same schemas. */
export class AmpleDatabase extends Dexie {
  wearers!: EntityTable<Wearer, 'id'>;
  patterns!: EntityTable<Pattern & { id: string }, 'id'>;
  jobs!: EntityTable<Job, 'id'>;
  photos!: EntityTable<PhotoFile, 'id'>;
  damaged!: EntityTable<Damaged, 'id'>;
  touched!: EntityTable<Touched, 'key'>;
  before!: EntityTable<Before, 'key'>;
  sheet!: Table<Sheet, Sheet['key']>;
  practice!: EntityTable<Practised, 'id'>;
  meta!: EntityTable<{ key: string; value: string }, 'key'>;

  constructor(name = 'ample-draft') {
    super(name);
    this.version(1).stores({ wearers: 'id', patterns: 'id', jobs: 'id', damaged: '++id', meta: 'key' });
    this.version(2).stores({ photos: 'id, job', touched: 'key', before: 'key' });
    this.version(3).stores({ sheet: 'key' });
    this.version(4).stores({ practice: 'id' });
  }
}

export const db = new AmpleDatabase();

/** A database that does not open within this, ms, is taken for one that never will. */
const PATIENCE = 8_000;
let silent = false;
export const isSilent = (): boolean => silent;
/**
 * Opens the database, or gives it up: from then on everything asked of it fails at once instead of waiting for ever.
 * Throws where it did not open.
 */
export async function openDatabase(patience = PATIENCE): Promise<void> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      silent = true;
      db.close({ disableAutoOpen: true });
      reject(new Error('it does not answer'));
    }, patience);
  });
  try {
    await Promise.race([db.open(), late]);
  } finally {
    clearTimeout(timer);
  }
}
export const tableOf = (kind: Kind) => ({ wearer: db.wearers, pattern: db.patterns, job: db.jobs })[kind];
