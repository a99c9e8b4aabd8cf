import { writeDocument, type Job } from '@ample/core/documents';
import { exportJob, keptNow } from './backup.ts';
import { AMPLE, fileName } from './export.ts';

/**
 * How the system's share sheet takes a job: as our own file with its pictures; where it takes only well-known kinds, as a
 * text without them; not at all where there is none.
 */
export function waysToShare(): 'file' | 'text' | null {
  const takes = (name: string, type: string): boolean => {
    try {
      return navigator.canShare?.({ files: [new File(['.'], name, { type })] }) ?? false;
    } catch {
      return false;
    }
  };
  return takes('job.ample', AMPLE) ? 'file' : takes('job.txt', 'text/plain') ? 'text' : null;
}

/** Hands a job to the share sheet. False where its wearer is not here; a sheet put away again is no fault. */
export async function shareJob(job: Job, name: string): Promise<boolean> {
  const file = waysToShare() === 'file' ? await asFile(job, name) : await asText(job, name);
  if (!file) return false;
  try {
    await navigator.share({ files: [file], title: name });
  } catch (error) {
    if (!(error instanceof Error) || error.name !== 'AbortError') throw error;
  }
  return true;
}

async function asFile(job: Job, name: string): Promise<File | null> {
  const bytes = await exportJob(job.id, new Date());
  return bytes && new File([bytes as BlobPart], `${fileName(name)}.ample`, { type: AMPLE });
}

/** The job with wearer and pattern within it, as the terminal and “Import a file” read it. */
async function asText(job: Job, name: string): Promise<File | null> {
  const { wearers, patterns } = await keptNow();
  const [w, p] = [job.wearer, job.pattern];
  const wearer = 'sets' in w ? w : 'id' in w ? wearers.find((x) => x.id === w.id) : undefined;
  if (!wearer) return null;
  const own = 'id' in p && !('chart' in p) ? patterns.find((x) => x.id === p.id) : undefined;
  const whole: unknown = { ...job, wearer, pattern: own ?? p };
  return new File([writeDocument(whole)], `${fileName(name)}.job.txt`, { type: 'text/plain' });
}
