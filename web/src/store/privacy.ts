import type { Job } from '@ample/core/documents';
import type { KeepingCode, Refusal } from '@ample/core/units';
import { db } from './db.ts';
import { closeJob, saveNow, useJob } from './job.ts';
import { forgetInJournals } from './journal.ts';
import { useLibrary } from './library.ts';
import { tidyPieces } from './places.ts';
import { remove, storageTrouble } from './persistence.ts';

/** The jobs of a wearer, whether they name her or hold her. */
export const jobsOf = (jobs: readonly Job[], wearer: string): readonly Job[] =>
  jobs.filter((j) => 'id' in j.wearer && j.wearer.id === wearer);

/**
 * Deletes a wearer from this browser: measurements, jobs with their fittings and versions, pictures, what was set aside as
 * damaged, what an import kept to be undone, and what closing windows left behind. Files exported earlier are not reached.
 */
export async function deleteWearer(id: string): Promise<Refusal<KeepingCode> | null> {
  const { jobs, wearers } = useLibrary.getState();
  const gone = jobsOf(jobs, id).map((j) => j.id);
  if (useJob.getState().wearer?.id === id) {
    useJob.setState({ job: null, wearer: null });
    useJob.temporal.getState().clear();
    closeJob();
  }
  // A save that is still on its way must not come after.
  await saveNow();
  try {
    await db.transaction('rw', [db.wearers, db.jobs, db.photos, db.damaged, db.touched, db.before], async () => {
      await db.photos.where('job').anyOf(gone).delete();
      // A damaged document cannot be read, so all that name her go.
      await db.damaged
        .filter((d) => d.key === id || gone.includes(d.key) || JSON.stringify(d.raw).includes(`"${id}"`))
        .delete();
      await db.before.filter((b) => b.documents.some((d) => d.id === id || gone.includes(d.id))).delete();
      await remove('job', gone);
      await remove('wearer', [id]);
    });
  } catch (error) {
    return storageTrouble(error);
  }
  forgetInJournals(id);
  for (const job of gone) tidyPieces(job);
  const kept = jobs.filter((j) => !gone.includes(j.id));
  const damaged = await db.damaged.toArray();
  useLibrary.setState({ jobs: kept, wearers: wearers.filter((w) => w.id !== id), damaged });
  return null;
}

/** Deletes one job with its pictures; the wearer stays. */
export async function deleteJob(id: string): Promise<Refusal<KeepingCode> | null> {
  try {
    await db.transaction('rw', [db.jobs, db.photos, db.touched], async () => {
      await db.photos.where('job').equals(id).delete();
      await remove('job', [id]);
    });
  } catch (error) {
    return storageTrouble(error);
  }
  tidyPieces(id);
  useLibrary.setState((s) => ({ jobs: s.jobs.filter((j) => j.id !== id) }));
  return null;
}
