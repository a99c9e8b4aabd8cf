import type { Job, Wearer } from '../schema.ts';
import { writeDocument } from '../read.ts';
import type { Kept, Practised } from './types.ts';

/** What importing one document would do here. */
export interface ImportItem {
  readonly kind: 'wearer' | 'pattern' | 'job';
  readonly id: string;
  readonly name: string;
  /** `same` is already here, byte for byte; `differs` would be replaced. */
  readonly what: 'new' | 'same' | 'differs';
}

export type Documents = Omit<Kept, 'photos' | 'practice'>;

const wearerName = (job: Job, wearers: readonly Wearer[]): string => {
  const ref = job.wearer;
  return 'sets' in ref ? ref.name : 'id' in ref ? (wearers.find((w) => w.id === ref.id)?.name ?? '') : '';
};

/** What a bundle would add, replace, or leave as it is. */
export function planImport(here: Documents, there: Documents): readonly ImportItem[] {
  const items = <T extends { readonly id: string }>(
    kind: ImportItem['kind'],
    mine: readonly T[],
    theirs: readonly T[],
    nameOf: (one: T) => string,
  ): readonly ImportItem[] =>
    theirs.map((one) => {
      const had = mine.find((x) => x.id === one.id);
      const what = !had ? 'new' : writeDocument(had) === writeDocument(one) ? 'same' : 'differs';
      return { kind, id: one.id, name: nameOf(one), what };
    });
  return [
    ...items('wearer', here.wearers, there.wearers, (w) => w.name),
    ...items('pattern', here.patterns, there.patterns, (p) => p.name),
    ...items('job', here.jobs, there.jobs, (j) =>
      [j.title || 'Untitled', wearerName(j, there.wearers)].filter(Boolean).join(' · '),
    ),
  ];
}

/** Everything that belongs to one job, to give to a friend or to keep. Null when its wearer is missing. */
export function keptOfJob(all: Kept, id: string): Kept | null {
  const job = all.jobs.find((j) => j.id === id);
  if (!job) return null;
  const [w, p] = [job.wearer, job.pattern];
  const wearers = 'id' in w && !('sets' in w) ? all.wearers.filter((x) => x.id === w.id) : [];
  if (!('sets' in w) && wearers.length === 0) return null;
  const patterns = 'id' in p && !('chart' in p) ? all.patterns.filter((x) => x.id === p.id) : [];
  return { wearers, patterns, jobs: [job], photos: all.photos.filter((x) => x.job === id) };
}

/** Two records of practice as one: of the same thing the better score, the more often and the later day. */
export function mergedPractice(here: readonly Practised[], there: readonly Practised[]): readonly Practised[] {
  const all = new Map(here.map((p) => [p.id, p]));
  for (const p of there) {
    const had = all.get(p.id);
    all.set(
      p.id,
      had
        ? {
            ...p,
            best: Math.min(had.best, p.best),
            times: Math.max(had.times, p.times),
            at: had.at > p.at ? had.at : p.at,
          }
        : p,
    );
  }
  return [...all.values()];
}
