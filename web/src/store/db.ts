import Dexie, { type EntityTable } from 'dexie';
import type { Job, Wearer } from '@ample/core/formats';
import type { Pattern } from '@ample/core/pattern';

export interface Damaged {
  id: number;
  kind: 'wearer' | 'pattern' | 'job';
  key: string;
  detail: string;
  /** Exactly what was found. */
  raw: unknown;
}

/** What the browser keeps. Documents are stored as the files hold them and read through the same schemas. */
export class AmpleDatabase extends Dexie {
  wearers!: EntityTable<Wearer, 'id'>;
  patterns!: EntityTable<Pattern & { id: string }, 'id'>;
  jobs!: EntityTable<Job, 'id'>;
  damaged!: EntityTable<Damaged, 'id'>;
  meta!: EntityTable<{ key: string; value: string }, 'key'>;

  constructor(name = 'ample-draft') {
    super(name);
    this.version(1).stores({ wearers: 'id', patterns: 'id', jobs: 'id', damaged: '++id', meta: 'key' });
  }
}
