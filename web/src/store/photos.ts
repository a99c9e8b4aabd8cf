import { MOST, type FittingPhoto } from '@ample/core/documents';
import { LIMITS } from '@ample/core/documents/bundle';
import type { Refusal, Result } from '@ample/core/units';
import { TOO_MANY } from '../workers/protocol.ts';
import { shrinkPhoto, type Shrunk } from '../workers/photoClient.ts';
import { db } from './db.ts';
import { editFitting } from './fittings.ts';
import { useJob } from './job.ts';
import { freshId } from '../lib/ids.ts';

/** Pictures larger than this are not opened: no phone takes them. */
const LARGEST = 60 * 2 ** 20;
const LARGEST_WORDS = '60 MB';

/** What is said of the pictures, and how they are made smaller. */
interface Taking {
  readonly caption?: string;
  readonly shrink?: (file: Blob) => Promise<Shrunk>;
}

/** Takes pictures into a fitting: made smaller in a worker, where they also lose what the camera wrote about place and time. */
export async function addPhotos(
  fitting: string,
  files: readonly File[],
  { caption = '', shrink = shrinkPhoto }: Taking = {},
): Promise<readonly Refusal[]> {
  const troubles: Refusal[] = [];
  for (const file of files) {
    const done = await addOne(fitting, file, { caption, shrink });
    if (!done.ok) troubles.push(done.error);
  }
  return troubles;
}

async function addOne(
  fitting: string,
  file: File,
  { caption, shrink }: Required<Taking>,
): Promise<Result<FittingPhoto>> {
  const job = useJob.getState().job;
  if (!job) return { ok: false, error: { code: 'photo-not-kept', data: {} } };
  const here = job.fittings.find((f) => f.id === fitting)?.photos.length ?? 0;
  if (here >= MOST.photos) return { ok: false, error: { code: 'photo-too-many', data: { most: MOST.photos } } };
  if (file.size > LARGEST)
    return { ok: false, error: { code: 'photo-too-large', data: { name: file.name, most: LARGEST_WORDS } } };
  let small: Shrunk;
  try {
    small = await shrink(file);
    if (small.bytes.length > LIMITS.photo) throw new Error('still too large');
  } catch (error) {
    const many = error instanceof Error && error.message.includes(TOO_MANY);
    return {
      ok: false,
      error: { code: many ? 'photo-too-many-pixels' : 'photo-not-a-picture', data: { name: file.name } },
    };
  }
  const id = freshId('ph', 16);
  try {
    await db.photos.put({ id, job: job.id, type: small.type, bytes: small.bytes });
  } catch {
    // The words of the fitting are kept elsewhere and are not touched by this.
    return { ok: false, error: { code: 'photo-not-kept', data: {} } };
  }
  const photo: FittingPhoto = { id, width: small.width, height: small.height, caption };
  editFitting(fitting, (f) => ({ ...f, photos: [...f.photos, photo] }));
  return { ok: true, value: photo };
}

export const setCaption = (fitting: string, id: string, caption: string): void =>
  editFitting(fitting, (f) => ({ ...f, photos: f.photos.map((p) => (p.id === id ? { ...p, caption } : p)) }));
/** Taken out of the fitting; undo brings it back. Opened an hour later or more, the app throws it away. */
export const removePhoto = (fitting: string, id: string): void =>
  editFitting(fitting, (f) => ({ ...f, photos: f.photos.filter((p) => p.id !== id) }));
